import { demoSites } from '@demo/sites'
import { bandsOf as bandsIn } from '@/core/uses'
import {
  sectionsInOrder,
  type Frame,
  type SectionId,
  type StyleId,
  type ThemeId,
} from '@/core/site'
import { bandsOnPage, withThemes } from './bands'

const { frame, pages } = demoSites[0]!
const entries = pages.map(({ id, title, path, body }) => ({
  id,
  title,
  path,
  bands: bandsIn(body),
}))
const entry = (id: string) => entries.find((each) => each.id === id)!
const bandsOf = (id: string, site: Frame = frame) => bandsOnPage('tern', site, entry(id) as never)

test('a page is its header, its sections and its footer, top to bottom', () => {
  const names = bandsOf('home').map(({ name }) => name)
  expect(names[0]).toBe('Header')
  expect(names.at(-1)).toBe('Footer')
  expect(names.slice(1, -1)).toEqual(
    sectionsInOrder(pages.find(({ id }) => id === 'home')!.body).map(({ name }) => name),
  )
})

test('a header that blends looks like the section under it, page by page', () => {
  for (const id of ['home', 'workshops', 'about']) {
    const [header, first] = bandsOf(id)
    expect(header).toMatchObject({ name: 'Header', doc: 'frame', blends: true })
    expect(header!.background).toBe(first!.background)
    expect(header!.theme).toBe(first!.theme)
  }
})

test('a gradient and a picture are drawn as they are; a theme leaves a fill of its own', () => {
  const newsletter = bandsOf('home').find(({ name }) => name === 'Newsletter')!
  expect(newsletter.background).toMatch(/^linear-gradient\(/)
  expect(newsletter.background).not.toContain('var(')
  const given = (theme: string) => (band: { section: string }) =>
    band.section === newsletter.section ? (theme as ThemeId) : undefined
  const spark = withThemes('tern', bandsOf('home'), frame, given('on-spark'))
  const there = spark.find(({ name }) => name === 'Newsletter')!
  expect(there).toMatchObject({ background: newsletter.background, themeName: 'On Spark' })
})

test('a small page shows the main button that its style decides, in every theme', () => {
  const id = 'main-button' as StyleId
  const style = { ...frame.styles[id], looks: { fill: { rest: { value: '#123456' } } } }
  const decided = { ...frame, styles: { ...frame.styles, [id]: style } } as Frame
  expect(new Set(bandsOf('home').map(({ chip }) => chip)).size).toBeGreaterThan(1)
  expect(new Set(bandsOf('home', decided).map(({ chip }) => chip))).toEqual(new Set(['#123456']))
})

test('with the themes that are proposed, the header follows the section under it', () => {
  const bands = bandsOf('home')
  const asProposed = withThemes('tern', bands, frame, ({ doc }) =>
    doc === 'frame' ? undefined : ('on-ink' as ThemeId),
  )
  const [header, first] = asProposed
  expect(first!.background).not.toBe(bands[1]!.background)
  expect(header).toMatchObject({ blends: true, background: first!.background, theme: 'on-ink' })
  expect(asProposed.at(-1)).toEqual(bands.at(-1))
  expect(withThemes('tern', bands, frame, () => undefined)).toEqual(bands)
})

test('parts and a header of its own are drawn where they stand, though the page is not at hand', () => {
  const { body } = frame
  const call = {
    ...body.sections['footer' as SectionId]!,
    id: 'call' as SectionId,
    kind: 'band' as const,
  }
  const withPart = {
    ...frame,
    body: {
      ...body,
      order: [...body.order, call.id],
      sections: { ...body.sections, [call.id]: { ...call, name: 'Call' } },
    },
  }
  const first = entry('home').bands[0]!
  const page = {
    ...entry('home'),
    bands: [{ kind: 'part', id: 'call' }, first, { kind: 'part', id: 'gone' }],
  }
  const drawn = (bands: readonly object[]) =>
    bandsOnPage('tern', withPart, { ...page, bands } as never)
  const all = drawn(page.bands)
  expect(all.map(({ kind }) => kind)).toEqual(['header', 'band', 'band', 'footer'])
  expect(all[1]).toMatchObject({ doc: 'frame', name: 'Call', section: 'call' })
  // The header blends with what lies under it, be that a part.
  expect(all[0]).toMatchObject({ blends: true, background: all[1]!.background })
  const own = { ...first, id: 'mine', kind: 'header', name: 'Mine' }
  expect(drawn([own, first])[0]).toMatchObject({ doc: 'home', name: 'Mine', blends: false })
  // One that is hidden leaves the page without.
  expect(drawn([{ ...own, hidden: true }, first])[0]).toMatchObject({ kind: 'band' })
})
