import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import type { SectionId } from './ids'
import { arranged, partsOf, standingOn, type Placed } from './parts'
import type { Section } from './section'

interface Piece {
  readonly id: SectionId
  readonly kind: Section['kind']
  readonly from: 'site' | 'page'
}
const id = (text: string) => text as SectionId
const piece = (from: Piece['from'], kind: Piece['kind'], n: number): Piece => ({
  id: id(`${from}-${kind}-${n}`),
  kind,
  from,
})
const kinds = fc.constantFrom<Piece['kind'][]>('header', 'band', 'footer')
const pieces = (from: Piece['from']) =>
  fc.array(kinds, { maxLength: 8 }).map((all) => all.map((kind, n) => piece(from, kind, n)))

/** Any site and page: sections of both, and places of parts, of which some are gone. */
const anySite = fc.tuple(pieces('site'), pieces('page')).chain(([parts, own]) => {
  const ids = [...parts.map((each) => each.id), id('gone')]
  return fc
    .tuple(fc.subarray(ids), fc.array(fc.nat({ max: 20 }), { minLength: 20, maxLength: 20 }))
    .map(([placed, at]) => {
      const list: Array<Placed<Piece>> = [...own]
      placed.forEach((part, i) =>
        list.splice(at[i]! % (list.length + 1), 0, { kind: 'part', id: part }),
      )
      return { parts, own, list }
    })
})

test('whatever a page places: header first, footer last, its order between, nothing that is not there', () => {
  const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)
  console.warn(`arranged: EASEL_SEED=${seed}`)
  fc.assert(
    fc.property(anySite, ({ parts, own, list }) => {
      const all = arranged(parts, list)
      const rank = { header: 0, band: 1, footer: 2 }
      const ranks = all.map(({ kind }) => rank[kind])
      expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
      for (const kind of ['header', 'footer'] as const) {
        const ends = all.filter((each) => each.kind === kind)
        const mine = own.filter((each) => each.kind === kind)
        expect(ends).toEqual(mine.length ? mine : parts.filter((each) => each.kind === kind))
      }
      const bands = all.filter(({ kind }) => kind === 'band').map((each) => each.id)
      const wanted = list.flatMap((each) => {
        if (each.kind === 'band') return [each.id]
        const part = each.kind === 'part' && parts.find((one) => one.id === each.id)
        return part && part.kind === 'band' ? [part.id] : []
      })
      expect(bands).toEqual(wanted)
    }),
    { seed, numRuns: 300 },
  )
})

test('a site without parts is laid out as it ever was', () => {
  for (const { frame, pages } of demoSites) {
    expect(partsOf(frame)).toEqual([])
    for (const page of pages) {
      const standing = standingOn(frame, page)
      expect(standing.map(({ doc }) => doc)).toEqual([
        'frame',
        ...page.body.order.map(() => page.id),
        'frame',
      ])
    }
    // A page that is not at hand still has its header and footer.
    expect(standingOn(frame, undefined)).toHaveLength(2)
  }
})
