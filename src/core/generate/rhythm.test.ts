import fc from 'fast-check'
import { ternFrame } from '@demo/tern/frame'
import { type Frame } from '../site'
import { proposeRhythm, proposeRhythms, themesByKind } from './rhythm'

test('a rhythm alternates, uses the vivid theme once, near the end', () => {
  const kinds = themesByKind(ternFrame)
  const kindOf = (id: string) =>
    Object.entries(kinds).find(([, all]) => all.some((each) => each.id === id))![0]
  const rhythm = proposeRhythm(ternFrame, 8).map(kindOf)
  expect(rhythm).toEqual(['pale', 'pale', 'pale', 'dark', 'pale', 'pale', 'vivid', 'dark'])
  expect(proposeRhythm(ternFrame, 8)[0]).not.toBe(proposeRhythm(ternFrame, 8)[1])
  expect(proposeRhythm(ternFrame, 0)).toEqual([])
})

describe('rhythms for several pages', () => {
  const page = (...names: string[]) => names.map((name) => ({ name, theme: 'on-ink' }))

  test('sections of one name are alike wherever they stand', () => {
    const pages = [
      page('Opening', 'This month', 'The bench', 'Kind words', 'Join us', 'Newsletter'),
      page('Opening', 'Article', 'Newsletter '),
      page('Basket', 'newsletter'),
    ]
    const [first, second, third] = proposeRhythms(ternFrame, pages)
    expect(second![0]).toBe(first![0])
    expect(second![2]).toBe(first![5])
    expect(third![1]).toBe(first![5])
  })

  test('for one page, what other pages have is kept to', () => {
    const others = [[{ name: 'Newsletter', theme: 'on-brand' }]]
    const [only] = proposeRhythms(ternFrame, [page('Opening', 'Newsletter')], others)
    expect(only![1]).toBe('on-brand')
  })

  test('a section with a fill of its own keeps its theme, and so do those of its name', () => {
    const filled = { name: 'Newsletter', theme: 'on-ink', fill: { value: '#123456' } }
    const pages = [page('Opening', 'Newsletter'), [...page('Opening'), filled], [filled]]
    const [first, second, third] = proposeRhythms(ternFrame, pages)
    expect([first![1], second![1], third![0]]).toEqual(['on-ink', 'on-ink', 'on-ink'])
  })

  test('no two neighbours are alike, nor the last section and the footer, on any pages', () => {
    const footer = ternFrame.body.sections['footer' as never]!['theme']
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 6 }), (heights) => {
        const pages = heights.map((height, p) =>
          page(...Array.from({ length: height }, (_, i) => `Section ${p} ${i}`)),
        )
        for (const rhythm of proposeRhythms(ternFrame, pages)) {
          const down = [...rhythm, footer]
          down.slice(1).forEach((theme, i) => expect(theme).not.toBe(down[i]))
        }
      }),
    )
  })

  test('one theme is all there is: everything has it', () => {
    const [only] = ternFrame.themes.order
    const byId = { [only!]: ternFrame.themes.byId[only!]! }
    const frame = { ...ternFrame, themes: { ...ternFrame.themes, order: [only!], byId } }
    expect(proposeRhythms(frame as Frame, [page('a', 'b')])).toEqual([[only, only]])
  })
})
