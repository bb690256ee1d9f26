import { siteDocs } from '@/core/site'
import { unzipSync, strFromU8 } from 'fflate'
import { demoSites } from '@demo/sites'
import promises from 'node:fs/promises'
import { localOwner } from './actor'
import { closeTestDatabase, openTestDatabase, save, siteId } from './database.fixture'
import {
  publicationOf,
  publish,
  publishedFile,
  publishedZip,
  renderSite,
  tidyPublications,
} from './publishing'
import { fileStore, localFolder } from './storage'

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

test('where visitors switch editions, every page has a dark twin, and every link of both leads somewhere', () => {
  const { frame, pages } = demoSites[0]!
  const docs = {
    frame: { ...frame, edition: 'switch' as const },
    pages: Object.fromEntries(pages.map((page) => [page.id, page])),
  }
  const files = renderSite(docs, {})
  const written = [...files].filter(([name]) => name.endsWith('.html'))
  expect(written).toHaveLength(2 * pages.length)
  for (const { path } of pages) {
    const dark = files.get(`dark/${path}.html`)!
    expect(dark).toContain('<html lang="en" data-edition="dark">')
    expect(dark).toContain(`<a class="edition-switch" href="../${path}.html">Light edition</a>`)
    expect(files.get(`${path}.html`)).toContain(
      `<a class="edition-switch" href="dark/${path}.html">Dark edition</a>`,
    )
  }
  for (const [name, html] of written) {
    const links = [...html.matchAll(/ href="([^"#:]+\.(?:html|css))"/g)].map(([, href]) => href!)
    expect(links.length).toBeGreaterThan(3)
    for (const href of links) {
      const { pathname } = new URL(href, `https://example.org/${name}`)
      expect([...files.keys()]).toContain(pathname.slice(1))
    }
  }
})

test('a site of one edition has no twins', () => {
  const { frame, pages } = demoSites[0]!
  const docs = siteDocs(frame, pages)
  expect([...renderSite(docs, {}).keys()].some((name) => name.startsWith('dark/'))).toBe(false)
})

const published = `published/${siteId}`

test('what is published is of one moment, whatever is saved meanwhile', async () => {
  let running = true
  const writer = (async () => {
    for (let n = 1; running; n += 1) {
      const value = `#0000${(n % 90) + 10}`
      await save(
        { type: 'setSlot', slot: 'brand', value },
        { type: 'setCustomCss', css: `a{color:${value}}` },
      )
    }
  })()
  for (let n = 0; n < 12; n += 1) {
    const result = await publish(localOwner, siteId)
    if (!result.ok) throw new Error(result.problem.code)
    const css = Buffer.from((await publishedFile(siteId, 'site.css'))!).toString()
    const custom = Buffer.from((await publishedFile(siteId, 'custom.css'))!).toString()
    const value = /--slot-brand: (#\w+);/.exec(css)![1]
    if (/^#0000/.test(value!)) expect(custom).toBe(`a{color:${value}}`)
  }
  running = false
  await writer
}, 60_000)

test('a run that fails leaves no folder, tells why, and what was published stays', async () => {
  const before = Buffer.from((await publishedFile(siteId, 'index.html'))!).toString()
  const kept = await fileStore().foldersIn(published)
  const put = jest.spyOn(promises, 'writeFile')
  for (const [code, why] of [
    ['ENOSPC', 'full'],
    ['EROFS', 'read-only'],
    ['EACCES', 'read-only'],
    ['EIO', 'other'],
  ] as const) {
    let written = 0
    put.mockImplementation(() => {
      if ((written += 1) < 3) return Promise.resolve()
      return Promise.reject(Object.assign(new Error(code), { code }))
    })
    await expect(publish(localOwner, siteId)).rejects.toMatchObject({ why })
  }
  put.mockRestore()
  expect(await fileStore().foldersIn(published)).toEqual(kept)
  expect(Buffer.from((await publishedFile(siteId, 'index.html'))!).toString()).toBe(before)
})

test('what a killed run has left is taken away, at the start and by the next run', async () => {
  const store = fileStore()
  const [current] = await store.foldersIn(published)
  await store.put(`${published}/7-killed/index.html`, 'half')
  await tidyPublications()
  expect(await store.foldersIn(published)).toEqual([current])
  await store.put(`${published}/8-killed/index.html`, 'half')
  expect(await publish(localOwner, siteId)).toMatchObject({ ok: true })
  expect(await store.foldersIn(published)).toHaveLength(1)
})

test('a stored folder that is gone gives no archive without its files', async () => {
  const [folder] = await fileStore().foldersIn(published)
  await fileStore().removeAll(`${published}/${folder}`)
  expect(await publishedZip(localOwner, siteId)).toEqual({
    ok: false,
    problem: { code: 'publication-gone' },
  })
  expect(await publishedFile(siteId, 'index.html')).toBeUndefined()
})
