import { fromHsl, fromOklch, toHsl, toOklch, type Color } from '@/core/color'

export type Coordinates = readonly [number, number, number]

interface Channel {
  readonly label: string
  readonly max: number
  readonly step: number
  readonly unit: string
  /** What a person reads, of a coordinate. */
  readonly write: (value: number) => string
}

/** A way to move through colours: three channels, two of them on the area. */
export interface ColorModel {
  readonly label: string
  readonly channels: readonly [Channel, Channel, Channel]
  /** Channels of the area, across and up, and the one that is left for the whole of it. */
  readonly area: readonly [across: number, up: number, rest: number]
  readonly hue: number
  readonly coordinates: (color: Color) => Coordinates
  readonly color: (at: Coordinates, alpha: number) => Color
}

const degrees: Channel = {
  label: 'Hue',
  max: 360,
  step: 1,
  unit: '°',
  write: (value) => String(Math.round(value)),
}
const share = (label: string): Channel => ({
  label,
  max: 100,
  step: 1,
  unit: '%',
  write: (value) => String(Math.round(value)),
})

export const colorModels = {
  oklch: {
    label: 'OKLCH',
    channels: [
      share('Lightness'),
      {
        label: 'Chroma',
        max: 0.34,
        step: 0.005,
        unit: '',
        write: (value) => value.toFixed(3),
      },
      degrees,
    ],
    area: [1, 0, 2],
    hue: 2,
    coordinates: (color) => {
      const { l, c, h } = toOklch(color)
      return [l * 100, c, h]
    },
    color: ([l, c, h], alpha) => fromOklch({ l: l / 100, c, h, alpha }),
  },
  hsl: {
    label: 'HSL',
    channels: [degrees, share('Saturation'), share('Lightness')],
    area: [1, 2, 0],
    hue: 0,
    coordinates: (color) => {
      const { h, s, l } = toHsl(color)
      return [h, s, l]
    },
    color: ([h, s, l], alpha) => fromHsl({ h, s, l, alpha }),
  },
} as const satisfies Record<string, ColorModel>

export type ColorModelId = keyof typeof colorModels

/** The coordinates of a colour; a grey keeps the hue that was chosen, so that it can be left again. */
export function coordinatesOf(model: ColorModel, color: Color, before?: Coordinates): Coordinates {
  const at = model.coordinates(color)
  if (!before || toOklch(color).c > 0.002) return at
  return at.map((value, i) => (i === model.hue ? before[i]! : value)) as unknown as Coordinates
}
