import type { PageId, ThemeId } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  save,
  siteId,
  stranger,
} from '../database/database.fixture'
import { publish, publishedFile } from '../publishing'
import { loadWhole } from '../records'
import { proposedRhythms, themeUses } from '../uses'
import { listPages } from './pages'
import { partPlaces } from './parts'

beforeAll(() => openTestDatabase('parts_test'))
afterAll(closeTestDatabase)

const done = async (...edits: object[]) => expect(await save(...edits)).toMatchObject({ ok: true })
const places = async () => {
  const found = await partPlaces(localOwner, siteId)
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}
const usesOf = async (theme: ThemeId) => {
  const uses = await themeUses(localOwner, siteId)
  return uses.ok ? uses.value[theme] : undefined
}
const themeOf = async (page: string) => {
  const html = Buffer.from((await publishedFile(siteId, `${page}.html`))!).toString()
  return /data-theme="([^"]+)" data-section="call"/.exec(html)?.[1]
}

test('where a part stands is counted, told to the map, and published wherever it stands', async () => {
  const { pages } = await loadWhole(siteId)
  const { body } = pages['home' as PageId]!
  const section = body.order.at(-2)!
  const { theme } = body.sections[section]!
  const count = Object.keys(pages).length
  expect(Object.values(await places())).toEqual([
    { pages: count, titles: [] },
    { pages: count, titles: [] },
  ])
  const before = (await usesOf(theme))!.sections
  const ids = Object.fromEntries(Object.keys(body.elements).map((id, i) => [id, `part-${i}`]))
  await done({ type: 'keepPart', doc: 'home', section, part: 'call', ids })
  await done(
    { type: 'placePart', doc: 'about', part: 'call' },
    { type: 'placePart', doc: 'shop', part: 'call' },
  )
  expect((await places()).call).toEqual({ pages: 3, titles: ['Home', 'Shop', 'About'] })
  const listed = await listPages(localOwner, siteId)
  const about = listed.ok && listed.value.pages.find(({ id }) => id === 'about')
  expect(about && about.bands.at(-1)).toEqual({ kind: 'part', id: 'call' })
  // It is one section, however often it stands.
  expect((await usesOf(theme))!.sections).toBe(before)

  await done({
    type: 'setSectionTheme',
    sections: [{ doc: 'frame', section: 'call' }],
    theme: 'on-mist',
  })
  expect(await publish(localOwner, siteId)).toMatchObject({ ok: true })
  for (const page of ['index', 'about', 'shop']) expect(await themeOf(page)).toBe('on-mist')
  expect(await themeOf('workshops')).toBeUndefined()

  // A rhythm heeds a part and leaves it as it is.
  const rhythms = await proposedRhythms(localOwner, siteId, ['about' as PageId])
  if (!rhythms.ok) throw new Error(rhythms.problem.code)
  const [proposed] = rhythms.value.pages
  expect(proposed!.themes.map(([id]) => id)).not.toContain('call')
  expect(proposed!.themes.at(-1)![1]).not.toBe('on-mist')
})

test('a header of a page’s own is taken off the count of the site’s', async () => {
  const { frame, pages } = await loadWhole(siteId)
  const ids = Object.fromEntries(
    Object.keys(frame.body.elements).map((id, i) => [id, `own-header-${i}`]),
  )
  await done({ type: 'loosenPart', doc: 'about', part: 'header', section: 'own', ids })
  expect((await places()).header!.pages).toBe(Object.keys(pages).length - 1)
  expect(await publish(localOwner, siteId)).toMatchObject({ ok: true })
  const html = Buffer.from((await publishedFile(siteId, 'about.html'))!).toString()
  expect(html.match(/<header/g)).toHaveLength(1)
  expect(html).toContain('data-section="own"')
})

test('a part in a part is refused; a page that goes takes its places along; strangers learn nothing', async () => {
  expect(await save({ type: 'placePart', doc: 'frame', part: 'call' })).toMatchObject({
    problem: { problem: 'part-in-part' },
  })
  await done({ type: 'removePage', page: 'shop' })
  expect((await places()).call!.titles).toEqual(['Home', 'About'])
  expect((await partPlaces(stranger, siteId)).ok).toBe(false)
})
