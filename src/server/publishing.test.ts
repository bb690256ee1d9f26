import { unzipSync, strFromU8 } from 'fflate'
import { localOwner } from './actor'
import { closeTestDatabase, openTestDatabase, siteId } from './database.fixture'
import { publicationOf, publish, publishedFile, publishedZip } from './publishing'
import { localFolder } from './storage'

beforeAll(() => openTestDatabase('publishing_test'))
afterAll(closeTestDatabase)

test('what is not published is told, and not served', async () => {
  expect(await publicationOf(localOwner, siteId)).toEqual({ ok: true, value: null })
  expect(await publishedZip(localOwner, siteId)).toEqual({
    ok: false,
    problem: { code: 'not-published' },
  })
  expect(await publishedFile(siteId, 'index.html')).toBeUndefined()
})

test('publishing writes every page with its pictures and fonts, and the archive holds the same', async () => {
  const published = await publish(localOwner, siteId)
  expect(published).toMatchObject({ ok: true, value: { address: `/published/${siteId}/` } })
  const zip = await publishedZip(localOwner, siteId)
  if (!zip.ok) throw new Error(zip.problem.code)
  const files = unzipSync(zip.value)
  const names = Object.keys(files).map((name) => name.slice(siteId.length + 1))
  for (const name of [
    'index.html',
    'workshops.html',
    'site.css',
    'custom.css',
    'assets/logo.svg',
    'fonts/karla-latin-wght-normal.woff2',
  ]) {
    expect(names).toContain(name)
    expect(Buffer.from((await publishedFile(siteId, name))!)).toEqual(
      Buffer.from(files[`${siteId}/${name}`]!),
    )
  }
  const css = strFromU8(files[`${siteId}/site.css`]!)
  expect(css).toContain('--slot-brand: #1d5955;')
  expect(css).toContain('[data-theme="on-ink"] {')
  const html = strFromU8(files[`${siteId}/index.html`]!)
  expect(html).toContain('Books bound by hand, beside the harbour')
  expect(html).not.toMatch(/<script|https?:\/\//)
})

test('only what was published can be fetched', async () => {
  for (const name of ['../../../package.json', '..%2fsite.css', '/etc/passwd', 'nothing.html']) {
    expect(await publishedFile(siteId, name)).toBeUndefined()
  }
})

test('the file store stays in its folder', async () => {
  const store = localFolder('/nowhere')
  await expect(store.put('../outside.txt', 'x')).rejects.toThrow('not a storage key')
  expect(await store.get('a/../../b')).toBeUndefined()
})
