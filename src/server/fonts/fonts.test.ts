import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { convert } from 'fontverter'
import { fontFiles, siteFonts, subsets } from '@/core/render'
import { fontSchema, fontVersion, type Font } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stranger,
} from '../database/database.fixture'
import { saveEdits } from '../edits'
import { publish, publishedFile } from '../publishing'
import { readyFont, rightsOf } from './ready-font'
import { readFontFile, takeFont } from './take-font'

beforeAll(() => openTestDatabase('fonts_test'))
afterAll(closeTestDatabase)

const room = mkdtempSync(path.join(tmpdir(), 'easel-fonts-'))
const python = (...given: string[]) =>
  execFileSync(
    '/usr/bin/python3',
    [path.join(import.meta.dirname ?? __dirname, 'fonts.fixture.py'), ...given],
    {
      encoding: 'utf8',
    },
  )

interface Reading {
  readonly family: string
  readonly fsType: number
  readonly weights: readonly [number, number]
  readonly license: string
  readonly points: number
  readonly width: number
}
const reading = (...files: string[]) => JSON.parse(python('read', ...files)) as Reading[]

function made(name: string, options: object = {}): Buffer {
  const file = path.join(room, name)
  python('make', file, JSON.stringify(options))
  return readFileSync(file)
}

const ready = async (bytes: Uint8Array) => {
  const result = await readyFont(bytes)
  return result.ok ? result.value : result.problem
}
const why = async (bytes: Uint8Array) => {
  const found = await ready(bytes)
  return 'why' in found ? found.why : found
}

const shipped = siteFonts.map((font) =>
  path.join(
    process.cwd(),
    'node_modules/@fontsource-variable',
    font.package,
    'files',
    fontFiles(font).find((file) => file.includes('-latin-wght'))!,
  ),
)

test('names, weights and rights are those that fontTools reads, of every typeface that ships', async () => {
  const readings = reading(...shipped)
  for (const [i, file] of shipped.entries()) {
    const { family, weights, license, fsType, width } = readings[i]!
    const found = await ready(readFileSync(file))
    expect(found).toMatchObject({ family, weights, style: 'normal' })
    expect(license.replaceAll(/\s+/g, ' ').trim().slice(0, 400)).toBe(
      (found as unknown as Font).license,
    )
    expect(rightsOf(fsType)).toBe('installable')
    expect(siteFonts[i]!.width).toBeCloseTo(width, 3)
  }
}, 120_000)

test.each(['plain.ttf', 'plain.otf'])(
  '%s, as it is and as WOFF and WOFF2, keeps all that it has',
  async (name) => {
    const bytes = made(name, { is_cff: name.endsWith('.otf'), weight: 650 })
    for (const format of ['sfnt', 'woff', 'woff2'] as const) {
      const found = await ready(await convert(bytes, format))
      expect(found).toMatchObject({
        family: 'Plain Square',
        weights: [650, 650],
        license: 'For squares only',
      })
      const kept = path.join(room, 'kept.woff2')
      writeFileSync(kept, (found as { data: Uint8Array }).data)
      expect(reading(kept)[0]).toMatchObject({ family: 'Plain Square', points: 28 })
    }
  },
)

test.each([
  [0, 'installable'],
  [2, 'forbidden'],
  [4, 'print-only'],
  [8, 'editable'],
  [0x104, 'print-only'],
  [0x200, 'forbidden'],
  [0x20a, 'forbidden'],
  // Of several the least restrictive counts.
  [6, 'print-only'],
  [12, 'editable'],
] as const)('fsType %i is %s', (fsType, rights) => expect(rightsOf(fsType)).toBe(rights))

test('rights are respected: what forbids embedding is refused, what forbids subsetting stays whole', async () => {
  expect(await why(made('no.ttf', { fs_type: 2 }))).toBe('forbidden')
  expect(await why(made('print.ttf', { fs_type: 4 }))).toBe('print-only')
  expect(await why(made('bitmaps.ttf', { fs_type: 0x200 }))).toBe('forbidden')
  expect(await ready(made('edit.ttf', { fs_type: 8 }))).not.toHaveProperty('whole')
  expect(await ready(made('whole.ttf', { fs_type: 0x100 }))).toMatchObject({ whole: true })
})

test('what is no font is told as what it is, and nothing falls over', async () => {
  const bytes = made('good.ttf')
  const woff2 = await convert(bytes, 'woff2')
  expect(await why(Buffer.from('nothing like a font'))).toBe('not-a-font')
  expect(await why(Buffer.alloc(0))).toBe('not-a-font')
  expect(await why(Buffer.from('wOF2'))).toBe('broken')
  expect(await why(bytes.subarray(0, bytes.length / 2))).toBe('broken')
  expect(await why(woff2.subarray(0, woff2.length / 2))).toBe('broken')
  expect(await why(made('few.ttf', { letters: 'abc' }))).toBe('no-letters')
  python(
    'collect',
    path.join(room, 'two.ttc'),
    path.join(room, 'good.ttf'),
    path.join(room, 'few.ttf'),
  )
  expect(await why(readFileSync(path.join(room, 'two.ttc')))).toBe('collection')
  const bomb = Buffer.from(woff2)
  bomb.writeUInt32BE(0x7fffffff, 16)
  expect(await why(bomb)).toBe('too-large-inside')
})

test.each([14, 15])(
  'a letter made of %i levels of glyphs that are made of two each is refused at once',
  async (levels) => {
    const file = path.join(room, `double-${levels}.ttf`)
    python('double', file, String(levels))
    const bytes = readFileSync(file)
    expect(bytes.length).toBeLessThan(5000)
    expect(await why(bytes)).toBe('too-complex')
    expect(await takeFont(localOwner, siteId, await convert(bytes, 'woff2'))).toMatchObject({
      problem: { code: 'font', why: 'too-complex' },
    })
  },
)

test('glyphs that are made of themselves, or too deep, are too complex', async () => {
  const file = path.join(room, 'double-24.ttf')
  python('double', file, '24')
  expect(await why(readFileSync(file))).toBe('too-complex')
})

test('any byte changed: it is read, or refused with a reason', async () => {
  const woff2 = await convert(made('any.ttf'), 'woff2')
  for (let at = 0; at < woff2.length; at += Math.max(1, Math.floor(woff2.length / 60))) {
    const other = Buffer.from(woff2)
    other[at] = other[at]! ^ 0xff
    const result = await readyFont(other)
    expect(result.ok || result.problem.code === 'font').toBe(true)
  }
}, 60_000)

async function taken(options: object = {}): Promise<Font> {
  const result = await takeFont(localOwner, siteId, made('site.ttf', options))
  if (!result.ok) throw new Error(result.problem.code)
  return fontSchema.parse({ schema: fontVersion, id: 'squares', ...result.value })
}

const save = async (...edits: object[]) =>
  saveEdits(
    localOwner,
    siteId,
    await revisionOf(siteId),
    edits.map((edit) => ({ clientId: crypto.randomUUID(), edit: edit as never })),
  )

/** Characters in each file, by fontTools. */
const charactersIn = (files: string[]) =>
  files.map((file) =>
    Number(
      execFileSync('/usr/bin/python3', [
        '-c',
        'import sys; from fontTools.ttLib import TTFont; print(len(TTFont(sys.argv[1]).getBestCmap()))',
        file,
      ]).toString(),
    ),
  )

test('a font of a site: shown to who may see the site, published in parts once it is used', async () => {
  const font = await taken({ family: 'Squares "of" <ours>' })
  expect(await readFontFile(localOwner, siteId, font.file)).toBeDefined()
  expect(await readFontFile(stranger, siteId, font.file)).toBeUndefined()
  expect(await readFontFile(localOwner, siteId, 'f'.repeat(64))).toBeUndefined()
  expect((await save({ type: 'addFont', font })).ok).toBe(true)
  expect((await publish(localOwner, siteId)).ok).toBe(true)
  const css = async () => Buffer.from((await publishedFile(siteId, 'site.css'))!).toString()
  expect(await css()).not.toContain('squares-')

  expect((await save({ type: 'setSettings', settings: { headingFace: font.family } })).ok).toBe(
    true,
  )
  expect((await publish(localOwner, siteId)).ok).toBe(true)
  const written = await css()
  const names = [...written.matchAll(/fonts\/(squares-[\w-]+\.woff2)/g)].map(([, name]) => name!)
  expect(names).toHaveLength(Object.keys(subsets).length + 1)
  const files = await Promise.all(
    names.map(async (name) => {
      const file = path.join(room, name)
      writeFileSync(file, (await publishedFile(siteId, `fonts/${name}`))!)
      return file
    }),
  )
  // Each part has its own characters and a space: 26 letters in one, alpha in another.
  expect(charactersIn(files)).toEqual([2, 1, 27])
})
