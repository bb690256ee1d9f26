import { randomUUID } from 'node:crypto'
import { unzipSync, zipSync, strToU8, type Zippable } from 'fflate'
import sharp from 'sharp'
import { canonicalJson, pageVersion, pictureVersion, recordsOf, type Page } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stranger,
} from '../database/database.fixture'
import { select } from '../database/sets'
import { readHistory, redo, saveEdits, undo } from '../edits'
import { checkIndex } from '../uses'
import { hashOf, loadWhole } from '../records'
import { takePicture } from '../sites'
import { beginFromArchive, writeArchive } from '.'

beforeAll(() => openTestDatabase('archive_test'))
afterAll(closeTestDatabase)

const written = async (site = siteId) => {
  const archive = await writeArchive(localOwner, site)
  if (!archive.ok) throw new Error(archive.problem.code)
  return Buffer.from(archive.value.data)
}
const countSites = async () =>
  (await select<{ count: number }>('select count(*)::int as count from sites', []))[0]!.count
const countFaults = async () => (await checkIndex()).faults.length
const recordsIn = async (site: string) =>
  recordsOf(await loadWhole(site)).map(({ kind, id, record }) => [kind, id, canonicalJson(record)])

/** An archive with some of its entries changed. */
async function changed(change: (entries: Record<string, Uint8Array>) => void): Promise<Buffer> {
  const entries = unzipSync(await written())
  change(entries)
  return Buffer.from(zipSync(entries as Zippable))
}
const manifest = (entries: Record<string, Uint8Array>) =>
  JSON.parse(Buffer.from(entries['site.json']!).toString()) as {
    version: number
    records: Array<{ kind: string; id: string; hash: string; schema: number }>
    files: string[]
  }
const withManifest = (entries: Record<string, Uint8Array>, next: object) => {
  entries['site.json'] = strToU8(JSON.stringify(next))
}

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

describe('with its history', () => {
  const withHistory = async (site: string) => {
    const archive = await writeArchive(localOwner, site, true)
    if (!archive.ok) throw new Error(archive.problem.code)
    return Buffer.from(archive.value.data)
  }
  const plain = async (site: string) => {
    const copy = await beginFromArchive(localOwner, await written(site))
    if (!copy.ok) throw new Error(copy.problem.code)
    return copy.value.id
  }
  const to = async (site: string, ...edits: object[]) => {
    for (const edit of edits) {
      const sent = [{ clientId: randomUUID(), edit: edit as never }]
      const result = await saveEdits(localOwner, site, await revisionOf(site), sent)
      expect(result).toMatchObject({ ok: true })
    }
  }
  const texts = (site: string) =>
    recordsIn(site).then((all) => all.map((each) => each.join(' ')).join('\n'))

  test('a site is read back with every step, and goes back through them to the first bytes', async () => {
    const site = await plain(siteId)
    const first = await texts(site)
    await to(
      site,
      { type: 'setSlot', slot: 'brand', value: '#5b2a86' },
      { type: 'removePage', page: 'about' },
      { type: 'renameSite', name: 'Other' },
    )
    expect(await undo(localOwner, site, await revisionOf(site))).toMatchObject({ ok: true })
    const begun = await beginFromArchive(localOwner, await withHistory(site))
    if (!begun.ok) throw new Error(begun.problem.code)
    const copy = begun.value.id
    expect(await texts(copy)).toBe(await texts(site))
    const told = async (of: string) => {
      const history = await readHistory(localOwner, of)
      return history.ok && history.value.entries.map(({ at: _at, ...each }) => each)
    }
    expect(await told(copy)).toEqual(await told(site))
    for (let i = 0; i < 2; i += 1) {
      expect(await undo(localOwner, copy, await revisionOf(copy))).toMatchObject({ ok: true })
    }
    expect(await texts(copy)).toBe(first)
    expect(await redo(localOwner, copy, await revisionOf(copy))).toMatchObject({ ok: true })
    expect(await countFaults()).toBe(0)
  })

  test.each<readonly [string, (history: Array<Record<string, unknown>>) => unknown]>([
    ['no list', () => ({})],
    ['steps out of order', (all) => [...all].reverse()],
    ['a step back to what comes after', ([one]) => [{ ...one, target: 7 }]],
    ['a kind that is none', ([one]) => [{ ...one, kind: 'drop' }]],
    [
      'a record of a version that there is not',
      ([one]) => [{ ...one, records: [{ kind: 'page', id: 'home', schema: 99, changes: [] }] }],
    ],
  ])('a history with %s is refused, and nothing is stored', async (_, change) => {
    const site = await plain(siteId)
    await to(site, { type: 'renameSite', name: 'One' }, { type: 'renameSite', name: 'Two' })
    const entries = unzipSync(await withHistory(site))
    const history = JSON.parse(Buffer.from(entries['history.json']!).toString()) as Array<
      Record<string, unknown>
    >
    const text = JSON.stringify(change(history))
    entries['history.json'] = strToU8(text)
    withManifest(entries, { ...manifest(entries), history: hashOf(text) })
    const before = await countSites()
    const bytes = Buffer.from(zipSync(entries as Zippable))
    expect(await beginFromArchive(localOwner, bytes)).toMatchObject({
      problem: { code: 'archive', why: 'tampered' },
    })
    expect(await countSites()).toBe(before)
  })

  test('a step of it that leads to a snippet which runs is refused, and nothing is changed', async () => {
    const docs = await loadWhole(siteId)
    const [page, embed] = Object.values(docs.pages).flatMap(({ id, body }) =>
      Object.values(body.elements).flatMap((each) => (each.kind === 'embed' ? [id, each] : [])),
    ) as unknown as [string, { id: string; content: { html: string } }]
    const site = await plain(siteId)
    await to(site, { type: 'renameSite', name: 'One' })
    const entries = unzipSync(await withHistory(site))
    const [one] = JSON.parse(Buffer.from(entries['history.json']!).toString()) as [object]
    const path = ['body', 'elements', embed.id, 'content', 'html']
    const changes = [{ path, from: '<script>alert(1)</script>', to: embed.content.html }]
    const records = [{ kind: 'page', id: page, schema: pageVersion, changes }]
    const text = JSON.stringify([{ ...one, records }])
    entries['history.json'] = strToU8(text)
    withManifest(entries, { ...manifest(entries), history: hashOf(text) })
    const begun = await beginFromArchive(localOwner, Buffer.from(zipSync(entries as Zippable)))
    if (!begun.ok) throw new Error(begun.problem.code)
    const copy = begun.value.id
    const before = await texts(copy)
    expect(await undo(localOwner, copy, await revisionOf(copy))).toMatchObject({ ok: false })
    expect(await texts(copy)).toBe(before)
  })
})
