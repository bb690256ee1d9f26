import { pictureVersion, siteDocs } from '@/core/site'
import { unzipSync, strFromU8 } from 'fflate'
import { demoSites } from '@demo/sites'
import promises from 'node:fs/promises'
import sharp from 'sharp'
import path from 'node:path'
import { renderSite } from '@/core/render'
import { localOwner } from '../access'
import { closeTestDatabase, openTestDatabase, save, siteId } from '../database/database.fixture'
import { select, tell } from '../database/sets'
import { hashOf, loadWhole, tidyUp } from '../records'
import { takePicture } from '../sites'
import { fileStore, localFolder } from '../storage'
import { publicationOf, publish, publishedFile, publishedZip } from '.'

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
  await expect(store.put('../outside.txt', 'x')).rejects.toThrow('not the hash of a file')
  expect(await store.readOld('a/../../b')).toBeUndefined()
})

const written = async () => {
  const published = await publish(localOwner, siteId)
  if (!published.ok) throw new Error(published.problem.code)
  return published.value.written
}

test('publishing anew writes only what is other than before', async () => {
  expect(await written()).toBe(0)
  await save({ type: 'setSlot', slot: 'spark', value: '#a03311' })
  expect(await written()).toBe(1)
  await save({
    type: 'setSectionTheme',
    sections: [{ doc: 'about', section: 'story' }],
    theme: 'on-mist',
  })
  const [about] = await select<{ source: string }>(
    `select source from publication_files where site_id = $1 and name = 'about.html'`,
    [siteId],
  )
  expect(await written()).toBeLessThanOrEqual(2)
  await save({ type: 'setPage', page: 'about', title: 'Who we are' })
  expect(await written()).toBe(1)
  expect(about!.source).toBeTruthy()
  expect(Buffer.from((await publishedFile(siteId, 'about.html'))!).toString()).toContain(
    '<title>Who we are',
  )
})

test('what was published in pieces is what the renderer writes of the whole', async () => {
  await save({ type: 'setSlot', slot: 'spark', value: '#a03312' })
  await written()
  const docs = await loadWhole(siteId)
  const files = renderSite(docs)
  for (const [name, text] of files) {
    expect([name, Buffer.from((await publishedFile(siteId, name))!).toString()]).toEqual([
      name,
      text,
    ])
  }
})

test('where visitors switch editions, every page has a dark twin, and every link of both leads somewhere', () => {
  const { frame, pages } = demoSites[0]!
  const docs = siteDocs({ ...frame, edition: 'switch' }, pages)
  const files = renderSite(docs)
  const written = [...files].filter(([name]) => name.endsWith('.html'))
  // Pages of add-ons stand beside the site and have one edition.
  const ofSite = written.filter(([name]) => !name.startsWith('add-ons/'))
  expect(ofSite).toHaveLength(2 * pages.length)
  for (const { path } of pages) {
    const dark = files.get(`dark/${path}.html`)!
    expect(dark).toContain('<html lang="en" data-edition="dark">')
    expect(dark).toContain(`<a class="edition-switch" href="../${path}.html">Light edition</a>`)
    expect(files.get(`${path}.html`)).toContain(
      `<a class="edition-switch" href="dark/${path}.html">Dark edition</a>`,
    )
  }
  for (const [name, html] of ofSite) {
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
  expect([...renderSite(docs).keys()].some((name) => name.startsWith('dark/'))).toBe(false)
})

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

test('a run that fails tells why, and what was published stays', async () => {
  const before = Buffer.from((await publishedFile(siteId, 'index.html'))!).toString()
  const put = jest.spyOn(promises, 'open')
  for (const [n, [code, why]] of (
    [
      ['ENOSPC', 'full'],
      ['EROFS', 'read-only'],
      ['EACCES', 'read-only'],
      ['EIO', 'other'],
    ] as const
  ).entries()) {
    await save({ type: 'setSlot', slot: 'ink', value: `#11111${n}` })
    put.mockImplementation(() => Promise.reject(Object.assign(new Error(code), { code })))
    await expect(publish(localOwner, siteId)).rejects.toMatchObject({ why })
  }
  put.mockRestore()
  expect(Buffer.from((await publishedFile(siteId, 'index.html'))!).toString()).toBe(before)
  expect(Buffer.from((await publishedFile(siteId, 'site.css'))!).toString()).not.toContain('#11111')
})

const hours = (count: number) => new Date(Date.now() - count * 3_600_000)
const put = async (text: string | Buffer, age: Date) => {
  const hash = hashOf(text)
  await fileStore().put(hash, text)
  const file = path.join(process.env.EASEL_FILES!, 'by-hash', hash.slice(0, 2), hash)
  await promises.utimes(file, age, age)
  return hash
}

test('what nothing refers to is taken away once it is old, and what the history can bring back is kept', async () => {
  const png = await sharp({ create: { width: 1, height: 1, channels: 3, background: '#1d5955' } })
    .png()
    .toBuffer()
  const [loose, young] = [await put('nobody wants this', hours(2)), await put('just put', hours(0))]
  const removed = await put(png, hours(2))
  const picture = {
    schema: pictureVersion,
    id: 'gone',
    file: removed,
    fileName: 'gone.png',
    mediaType: 'image/png',
    width: 1,
    height: 1,
    alt: '',
  }
  expect(await save({ type: 'addPicture', picture })).toMatchObject({ ok: true })
  expect(await save({ type: 'removePicture', picture: 'gone' })).toMatchObject({ ok: true })
  await tell(`update contents set at = now() - interval '2 hours'`, [])
  await tidyUp()
  const store = fileStore()
  expect(await Promise.all([loose, young, removed].map(store.has))).toEqual([false, true, true])
  // Whatever the site and what is published need is still there.
  expect(await publish(localOwner, siteId)).toMatchObject({ ok: true })
  expect((await publishedZip(localOwner, siteId)).ok).toBe(true)
  expect((await loadWhole(siteId)).frame.name).toBe('Tern & Thistle')
})

test('a picture that is uploaded again is not tidied away before its edit lands', async () => {
  const bytes = await sharp({ create: { width: 3, height: 2, channels: 3, background: '#e8b04b' } })
    .png()
    .toBuffer()
  const hash = await put(bytes, hours(2))
  expect(await takePicture(localOwner, siteId, 'again.png', bytes)).toMatchObject({
    value: { file: hash },
  })
  await tidyUp()
  expect(await fileStore().has(hash)).toBe(true)
})

test('a stored file that is gone gives no archive without it', async () => {
  const [file] = await select<{ hash: string }>(
    `select hash from publication_files where site_id = $1 and name = 'site.css'`,
    [siteId],
  )
  await fileStore().remove(file!.hash)
  expect(await publishedZip(localOwner, siteId)).toEqual({
    ok: false,
    problem: { code: 'publication-gone' },
  })
  expect(await publishedFile(siteId, 'site.css')).toBeUndefined()
})

test('what is published again says when that was', async () => {
  const first = await publish(localOwner, siteId)
  await tell(`update publications set created_at = now() - interval '3 days'`, [])
  const old = await publicationOf(localOwner, siteId)
  await publish(localOwner, siteId)
  const now = await publicationOf(localOwner, siteId)
  if (!first.ok || !old.ok || !now.ok) throw new Error('not published')
  expect(Date.now() - Date.parse(old.value!.at)).toBeGreaterThan(250_000_000)
  expect(Date.now() - Date.parse(now.value!.at)).toBeLessThan(60_000)
})
