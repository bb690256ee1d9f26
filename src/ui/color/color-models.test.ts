import fc from 'fast-check'
import { colorOf, difference, fromBytes, toBytes } from '@/core/color'
import { colorModels, coordinatesOf, type ColorModel } from './color-models'

const models = Object.entries(colorModels) as Array<[string, ColorModel]>
const byte = fc.nat(255)
const color = fc.tuple(byte, byte, byte).map((bytes) => fromBytes(bytes))

describe.each(models)('%s', (_name, model) => {
  test('leads from a colour to its coordinates and back', () => {
    fc.assert(
      fc.property(color, (any) => {
        const back = model.color(model.coordinates(any), any.alpha)
        // What the eye cannot tell apart: well below one unit of CIEDE2000.
        expect(difference(any, back)).toBeLessThan(0.01)
      }),
    )
  })

  test('keeps every coordinate within what its sliders reach', () => {
    fc.assert(
      fc.property(color, (any) => {
        model.coordinates(any).forEach((value, i) => {
          expect(value).toBeGreaterThanOrEqual(-1e-6)
          expect(value).toBeLessThanOrEqual(model.channels[i]!.max + 1e-6)
        })
      }),
    )
  })

  test('has three channels, each on the area or beside it', () => {
    expect([...model.area].sort()).toEqual([0, 1, 2])
    expect(model.channels[model.hue]!.label).toBe('Hue')
    for (const { write, max } of model.channels) expect(write(max)).toMatch(/^\d+(\.\d+)?$/)
  })

  test('a grey keeps the hue that was chosen before, a colour its own', () => {
    const grey = colorOf('#808080')!
    const before = coordinatesOf(model, colorOf('#1d5955')!)
    expect(coordinatesOf(model, grey, before)[model.hue]).toBe(before[model.hue])
    expect(coordinatesOf(model, grey)).toEqual(model.coordinates(grey))
    const orange = colorOf('#d65a2a')!
    expect(coordinatesOf(model, orange, before)).toEqual(model.coordinates(orange))
  })
})

test('HSL of CSS Color 4, §7.1: hsl(120deg 100% 25%) is #008000', () => {
  const { coordinates, color: make } = colorModels.hsl
  expect(toBytes(make([120, 100, 25.098], 1))).toEqual([0, 128, 0])
  const [h, s, l] = coordinates(colorOf('green')!)
  expect([h, s]).toEqual([120, 100])
  expect(l).toBeCloseTo(25.1, 1)
})
