import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { BegunSite, Result } from '@/core/payloads'
import { localOwner } from '../access'
import { beginFromArchiveApart, writeArchive } from '../archive'
import { closeTestDatabase, openTestDatabase, siteId, stateOf } from '../database/database.fixture'
import { StorageFailed } from '../storage'
import { outcomeOf, valueOf } from './failure'
import { readApart, ReadingStopped, stopReaders } from '.'

beforeAll(() => openTestDatabase('reading_test'))
afterAll(async () => {
  await stopReaders()
  await closeTestDatabase()
})

test('a font is read in a thread of its own', async () => {
  const bytes = readFileSync('public/fonts/sheet-words.woff2')
  expect(await readApart('font', { bytes })).toMatchObject({ ok: true, value: { style: 'normal' } })
  const nothing = await readApart<Result<unknown>>('font', { bytes: Buffer.from('nothing') })
  expect(nothing).toEqual({ ok: false, problem: { code: 'font', why: 'not-a-font' } })
})

test('a site is begun from its archive in a thread, while this one goes on', async () => {
  const archive = await writeArchive(localOwner, siteId)
  if (!archive.ok) throw new Error(archive.problem.code)
  let ticks = 0
  const timer = setInterval(() => (ticks += 1), 5)
  const begun = await beginFromArchiveApart(localOwner, Buffer.from(archive.value.data))
  clearInterval(timer)
  expect(begun).toMatchObject({ ok: true })
  expect(ticks).toBeGreaterThan(3)
  const { id } = (begun as { value: BegunSite }).value
  expect(JSON.parse(await stateOf(id))).toHaveProperty('pages.home')
})

describe('with files that were made to stop it', () => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'easel-reader-')), 'reader.mjs')
  beforeAll(async () => {
    writeFileSync(
      file,
      `export const font = () => { for (;;); }
       export const archive = ({ fill }) => {
         if (!fill) return { value: 'read' }
         const all = []
         for (;;) all.push({ n: all.length })
       }`,
    )
    await stopReaders()
    process.env.EASEL_READER = file
    process.env.EASEL_READER_MEMORY = '64'
  })
  afterAll(async () => {
    await stopReaders()
    delete process.env.EASEL_READER
    delete process.env.EASEL_READER_MEMORY
  })

  test('what takes too long is stopped, and the next is read', async () => {
    await expect(readApart('font', {}, 1)).rejects.toMatchObject({ why: 'too-long' })
    expect(await readApart('archive', {})).toBe('read')
  })

  test('what goes wrong in a thread is told as if it had gone wrong here', async () => {
    const parent = { code: '57P03', message: 'starting up' }
    const away = { name: 'SequelizeConnectionError', message: 'away', parent }
    expect(() => valueOf({ failure: away })).toThrow(expect.objectContaining({ parent }))
    const told = await outcomeOf(() => Promise.reject(new StorageFailed('full', 'no room')))
    expect(() => valueOf(told)).toThrow(StorageFailed)
    expect(await outcomeOf(() => Promise.resolve(3))).toEqual({ value: 3 })
  })

  test('what fills the memory ends its own thread alone', async () => {
    await expect(readApart('archive', { fill: true })).rejects.toMatchObject({ why: 'too-large' })
    expect(await readApart('archive', {})).toBe('read')
  })

  test('more than can wait are told so', async () => {
    const all = Array.from({ length: 60 }, () =>
      readApart('font', {}, 2).catch((error: unknown) => error),
    )
    const faults = (await Promise.all(all)) as ReadingStopped[]
    const why = new Set(faults.map((each) => each.why))
    expect(faults.every((each) => each instanceof ReadingStopped)).toBe(true)
    expect([...why].sort()).toEqual(['too-long', 'too-many'])
  })
})
