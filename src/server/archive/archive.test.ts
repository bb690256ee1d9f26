import { readFileSync } from 'node:fs'
import { strToU8 } from 'fflate'
import sharp from 'sharp'
import { canonicalJson, fontVersion, pictureVersion, type Page } from '@/core/site'
import { localOwner } from '../access'
import { closeTestDatabase, openTestDatabase, siteId, stranger } from '../database/database.fixture'
import { saveEdits } from '../edits'
import { hashOf, loadWhole } from '../records'
import { takePicture } from '../sites'
import { changed, countSites, manifest, recordsIn, withManifest, written } from './archive.fixture'
import { beginFromArchive, writeArchive } from '.'

beforeAll(() => openTestDatabase('archive_test'))
afterAll(closeTestDatabase)

test('a site that was kept as a file is read back in full, record for record, under a name of its own', async () => {
  const begun = await beginFromArchive(localOwner, await written())
  if (!begun.ok) throw new Error(begun.problem.code)
  expect(begun.value.id).not.toBe(siteId)
  // Vector pictures are taken clean, which writes them in one way; all else is the same to the letter.
  const others = async (site: string) =>
    (await recordsIn(site)).filter(([kind, , text]) => kind !== 'picture' || !text!.includes('svg'))
  expect(await others(begun.value.id)).toEqual(await others(siteId))
  const again = await beginFromArchive(localOwner, await written(begun.value.id))
  if (!again.ok) throw new Error(again.problem.code)
  expect(await recordsIn(again.value.id)).toEqual(await recordsIn(begun.value.id))
})

test('nobody keeps a site that is not theirs to read', async () => {
  expect(await writeArchive(stranger, siteId)).toMatchObject({ ok: false })
})

test.each<readonly [string, string, () => Promise<Buffer>]>([
  ['no archive at all', 'not-an-archive', async () => Buffer.from('hello')],
  ['one cut short', 'not-an-archive', async () => (await written()).subarray(0, -2000)],
  [
    'one of a newer version',
    'newer',
    () => changed((all) => withManifest(all, { ...manifest(all), version: 3 })),
  ],
  ['one without its list', 'incomplete', () => changed((all) => delete all['site.json'])],
  [
    'one that lacks a record',
    'incomplete',
    () => changed((all) => delete all['records/page/home.json']),
  ],
  [
    'one whose record was changed',
    'tampered',
    () =>
      changed((all) => {
        const text = Buffer.from(all['records/page/home.json']!).toString()
        all['records/page/home.json'] = strToU8(text.replace('Home', 'Hone'))
      }),
  ],
  [
    'one whose picture was changed',
    'tampered',
    () =>
      changed((all) => {
        const name = Object.keys(all).find((each) => each.startsWith('files/'))!
        all[name] = strToU8('something else')
      }),
  ],
  [
    'one that leads outside',
    'foreign',
    () => changed((all) => (all['../evil.json'] = strToU8('{}'))),
  ],
  [
    'one with a file of another kind',
    'foreign',
    () => changed((all) => (all['records/page/x.sh'] = strToU8(''))),
  ],
  [
    'one with a page that has no shape',
    'tampered',
    () =>
      changed((all) => {
        const list = manifest(all)
        const page = list.records.find(({ id }) => id === 'home')!
        all['records/page/home.json'] = strToU8('{"schema":6,"id":"home"}')
        page.hash = hashOf('{"schema":6,"id":"home"}')
        withManifest(all, list)
      }),
  ],
  [
    'one with a record of zeros without end',
    'too-large',
    () => changed((all) => (all['records/page/home.json'] = new Uint8Array(40_000_000))),
  ],
])('%s is refused with a word, and nothing is stored', async (_, why, make) => {
  const before = await countSites()
  const begun = await beginFromArchive(localOwner, await make())
  expect(begun).toEqual({ ok: false, problem: { code: 'archive', why } })
  expect(await countSites()).toBe(before)
})

test('a vector picture that runs something is taken clean, though its hash is right', async () => {
  const evil =
    '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script><rect width="9" height="9"/></svg>'
  const archive = await changed((all) => {
    const list = manifest(all)
    const logo = list.records.find(({ kind, id }) => kind === 'picture' && id === 'logo')!
    const record = JSON.parse(Buffer.from(all['records/picture/logo.json']!).toString()) as {
      file: string
    }
    const text = JSON.stringify({ ...record, file: hashOf(evil) })
    all['records/picture/logo.json'] = strToU8(text)
    all[`files/${hashOf(evil)}`] = strToU8(evil)
    logo.hash = hashOf(text)
    withManifest(all, list)
  })
  const begun = await beginFromArchive(localOwner, archive)
  if (!begun.ok) throw new Error(JSON.stringify(begun.problem))
  const { pictures } = await loadWhole(begun.value.id)
  expect(pictures['logo']!.file).not.toBe(hashOf(evil))
  // What went is told by name.
  expect(begun.value.leftOut).toEqual([{ of: pictures['logo']!.fileName, what: ['script'] }])
})

test('a snippet that runs something is taken clean, and its page is told', async () => {
  let title = ''
  const archive = await changed((all) => {
    const list = manifest(all)
    for (const listed of list.records.filter(({ kind }) => kind === 'page')) {
      const name = `records/page/${listed.id}.json`
      const page = JSON.parse(Buffer.from(all[name]!).toString()) as Page
      const [id, element] =
        Object.entries(page.body.elements).find(([, { kind }]) => kind === 'embed') ?? []
      if (!id || !element) continue
      title = page.title
      const content = { ...element.content, html: '<p>Hello</p><script>alert(1)</script>' }
      const elements = { ...page.body.elements, [id]: { ...element, content } }
      const text = JSON.stringify({ ...page, body: { ...page.body, elements } })
      all[name] = strToU8(text)
      listed.hash = hashOf(text)
      break
    }
    withManifest(all, list)
  })
  const begun = await beginFromArchive(localOwner, archive)
  if (!begun.ok) throw new Error(JSON.stringify(begun.problem))
  expect(title).not.toBe('')
  expect(begun.value.leftOut).toEqual([{ of: `snippets of the page ${title}`, what: [] }])
  const { pages } = await loadWhole(begun.value.id)
  expect(JSON.stringify(pages)).not.toContain('alert(1)')
})

/** An archive with one of its pages changed, whose hash is right. */
const withPage = (change: (page: Page) => unknown) =>
  changed((entries) => {
    const list = manifest(entries)
    const page = list.records.find(({ kind }) => kind === 'page')!
    const name = `records/page/${page.id}.json`
    const record = JSON.parse(Buffer.from(entries[name]!).toString()) as Page
    change(record)
    const text = canonicalJson(record)
    entries[name] = strToU8(text)
    page.hash = hashOf(text)
    withManifest(entries, list)
  })

test.each<readonly [string, (page: Page) => unknown]>([
  [
    'its own child',
    ({ body }) => {
      const [element] = Object.values(body.elements)
      element!.children = [element!.id]
    },
  ],
  [
    'held twice by others that are held twice',
    ({ body }) => {
      const all = Object.values(body.elements)
      all.forEach((each, i) => {
        if (all[i + 1]) each.children = [all[i + 1]!.id, all[i + 1]!.id]
      })
    },
  ],
])('an element that is %s is refused at once', async (_, change) => {
  expect(await beginFromArchive(localOwner, await withPage(change))).toMatchObject({
    problem: { code: 'archive', why: 'tampered' },
  })
})

describe('fonts', () => {
  const withFont = (bytes: Uint8Array) =>
    changed((entries) => {
      const list = manifest(entries)
      const file = hashOf(bytes)
      const font = {
        ...{ schema: fontVersion, id: 'own', file, fileName: 'own.woff2', family: 'Own' },
        ...{ style: 'normal', weights: [400, 400], license: 'Nobody asked.' },
      }
      const text = canonicalJson(font as never)
      entries['records/font/own.json'] = strToU8(text)
      entries[`files/${file}`] = bytes
      list.records.push({ kind: 'font', id: 'own', schema: fontVersion, hash: hashOf(text) })
      withManifest(entries, { ...list, files: [...list.files, file] })
    })

  test('that are none are refused, and nothing is stored', async () => {
    const before = await countSites()
    for (const bytes of [strToU8('<script>alert(1)</script>'), strToU8('wOF2 and no more')]) {
      expect(await beginFromArchive(localOwner, await withFont(bytes))).toMatchObject({
        problem: { code: 'archive', why: 'font' },
      })
    }
    expect(await countSites()).toBe(before)
  })

  test('that are whole come along to the byte', async () => {
    const bytes = readFileSync('public/fonts/sheet-words.woff2')
    const begun = await beginFromArchive(localOwner, await withFont(bytes))
    if (!begun.ok) throw new Error(JSON.stringify(begun.problem))
    const { fonts } = await loadWhole(begun.value.id)
    expect(fonts['own']!.file).toBe(hashOf(bytes))
  })
})

describe('pictures', () => {
  const take = (bytes: Uint8Array, name = 'A photo.JPG') =>
    takePicture(localOwner, siteId, name, bytes)
  const photo = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#1d5955' } })

  test('are kept to the byte where they fit, and the same bytes once', async () => {
    const bytes = await photo(300, 200).jpeg().toBuffer()
    const taken = await take(bytes)
    expect(taken).toMatchObject({
      ok: true,
      value: {
        file: hashOf(bytes),
        fileName: 'a-photo.jpg',
        mediaType: 'image/jpeg',
        width: 300,
        height: 200,
      },
    })
    const picture = {
      schema: pictureVersion,
      id: 'a-photo',
      alt: '',
      ...(taken as { value: object }).value,
    }
    const edit = { clientId: crypto.randomUUID(), edit: { type: 'addPicture', picture } as never }
    expect((await saveEdits(localOwner, siteId, 0, [edit])).ok).toBe(true)
    expect(await take(bytes, 'other.jpg')).toMatchObject({
      ok: true,
      value: { known: { id: 'a-photo' } },
    })
    // Another picture of the same name gets another one.
    const other = await take(await photo(301, 200).jpeg().toBuffer())
    expect(other).toMatchObject({ value: { fileName: 'a-photo-2.jpg' } })
  })

  test('40 megapixels come smaller; what tells a place goes; a GIF stands still', async () => {
    const large = await take(await photo(8000, 5000).png().toBuffer())
    expect(large).toMatchObject({ ok: true, value: { width: 2560, height: 1600 } })
    const withPlace = await photo(200, 100)
      .withExif({ IFD0: { Copyright: 'somebody' } })
      .jpeg()
      .toBuffer()
    const clean = await take(withPlace)
    expect(clean.ok && 'file' in clean.value && clean.value.file).not.toBe(hashOf(withPlace))
    const gif = await take(await photo(60, 40).gif().toBuffer())
    expect(gif).toMatchObject({ ok: true, value: { mediaType: 'image/png', width: 60 } })
  })

  test.each<readonly [string, string, () => Promise<Uint8Array>]>([
    ['more pixels than 64 million', 'too-many-pixels', () => photo(9000, 9000).png().toBuffer()],
    [
      'a truncated one',
      'cut-short',
      async () => (await photo(900, 900).jpeg().toBuffer()).subarray(0, 2000),
    ],
    [
      'a program with the ending of a picture',
      'not-a-picture',
      async () => Buffer.from('MZ\u0090\0program'),
    ],
    ['HTML', 'unclean-vector', async () => Buffer.from('<html><script>1</script></html>')],
    ['nothing', 'not-a-picture', async () => Buffer.of()],
  ])('%s is told', async (_, why, make) => {
    expect(await take(await make())).toEqual({ ok: false, problem: { code: 'picture', why } })
  })
})
