import fc from 'fast-check'
import { cleanSvg } from './svg'
import { drawnElements } from './svg-expansion'

const picture = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inside}</svg>`

/** Groups of which each draws the one before twice. */
function doubling(levels: number, twice: (of: number) => string, first = '<rect/>') {
  const groups = Array.from({ length: levels }, (_, i) => twice(i + 1))
  return picture(`<defs><g id="n0">${first}</g>${groups.join('')}</defs><use href="#n${levels}"/>`)
}
const uses = (n: number) =>
  `<g id="n${n}"><use href="#n${n - 1}"/><use xlink:href="#n${n - 1}"/></g>`

test('a picture that comes to millions of elements is refused, however it refers', () => {
  expect(cleanSvg(doubling(24, uses))).toBeUndefined()
  const ways: ReadonlyArray<readonly [string, (n: number) => string]> = [
    [
      'mask',
      (n) => `<mask id="m${n}"><rect mask="url(#m${n - 1})"/><g mask="url('#m${n - 1}')"/></mask>`,
    ],
    [
      'clipPath',
      (n) =>
        `<clipPath id="m${n}"><rect style="clip-path: url(#m${n - 1})"/><path clip-path="url(#m${n - 1})"/></clipPath>`,
    ],
    [
      'marker',
      (n) =>
        `<marker id="m${n}"><path marker-start="url(#m${n - 1})" marker-end="url(#m${n - 1})"/></marker>`,
    ],
  ]
  for (const [tag, make] of ways) {
    const all = Array.from({ length: 24 }, (_, i) => make(i + 1)).join('')
    const text = picture(
      `<${tag} id="m0"><rect/></${tag}>${all}<rect mask="url(#m24)" clip-path="url(#m24)" marker-end="url(#m24)"/>`,
    )
    expect([tag, cleanSvg(text)]).toEqual([tag, undefined])
  }
})

test('references of style sheets count as well', () => {
  const rules = Array.from({ length: 24 }, (_, i) => `.c${i + 1}{mask:url(#m${i})}`).join('')
  const masks = Array.from({ length: 24 }, (_, i) => {
    const n = i + 1
    return `<mask id="m${n}"><rect class="c${n}"/><path class="a c${n}"/></mask>`
  })
  const text = picture(
    `<style>${rules}</style><mask id="m0"><rect/></mask>${masks.join('')}<rect class="c24"/>`,
  )
  expect(cleanSvg(text)).toBeUndefined()
})

test('circles and long chains end', () => {
  expect(
    cleanSvg(picture('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>')),
  ).toBeDefined()
  const chain = Array.from({ length: 20_000 }, (_, i) => `<use id="u${i}" href="#u${i + 1}"/>`)
  expect(cleanSvg(picture(chain.join('')))).toBeUndefined()
})

test('what drawings really hold is taken', () => {
  const many = Array.from({ length: 900 }, (_, i) => `<use href="#leaf" x="${i}"/>`).join('')
  const text = picture(`<symbol id="leaf"><path d="M0 0h9"/><path d="M0 1h9"/></symbol>${many}`)
  expect(cleanSvg(text)).toBeDefined()
  const clipped = Array.from({ length: 300 }, () => '<rect class="c"/>').join('')
  const exported = picture(
    `<style>.c{clip-path:url(#c)}</style><clipPath id="c"><path d="M0 0h9"/></clipPath>${clipped}`,
  )
  expect(cleanSvg(exported)).toBeDefined()
})

test('as many elements as a browser would draw', () => {
  const seed = Math.floor(Math.random() * 1e9)
  console.warn(`svg expansion: seed ${seed}`)
  // Each group draws some of those before it, so there are no circles; the count is that of the elements in use.
  const plan = fc.array(fc.array(fc.nat(), { maxLength: 3 }), { minLength: 1, maxLength: 8 })
  fc.assert(
    fc.property(plan, (groups) => {
      const counts: number[] = []
      const parts = groups.map((picks, i) => {
        const of = i ? picks.map((pick) => pick % i) : []
        counts.push(1 + of.reduce((sum, each) => sum + 1 + counts[each]!, 0))
        return `<g id="g${i}">${of.map((each) => `<use href="#g${each}"/>`).join('')}</g>`
      })
      const last = groups.length - 1
      const text = picture(`<defs>${parts.join('')}</defs><use href="#g${last}"/>`)
      expect(drawnElements(text)).toBe(1 + 1 + counts[last]!)
    }),
    { seed },
  )
})
