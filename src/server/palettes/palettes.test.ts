import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { brandSheet } from '@/core/formats'
import type { Palette } from '@/core/site'
import { demoSites } from '@demo/sites'
import { localOwner } from '../access'
import { drawBrandSheet } from './brand-sheet-pdf'
import {
  closeTestDatabase,
  openTestDatabase,
  otherSiteId as ferry,
  revisionOf,
  siteId,
  stateOf,
  stranger,
} from '../database/database.fixture'
import { saveEdits, undo } from '../edits'
import { loadFrame } from '../records'
import { brandSheetPdf, copyPalette } from './palettes'
import { listShares, readShare, revokeShare, sharePalette } from './shares'
import { slotUses } from '../uses'

beforeAll(() => openTestDatabase('palettes_test'))
afterAll(closeTestDatabase)

const frameOf = loadFrame
const share = async () => {
  const made = await sharePalette(localOwner, siteId, await revisionOf(siteId))
  if (!made.ok) throw new Error(made.problem.code)
  return made.value
}

/** What poppler's pdftotext reads in a PDF. */
function textOf(pdf: Uint8Array): string {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'easel-pdf-')), 'sheet.pdf')
  writeFileSync(file, pdf)
  return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
}

describe('a read-only link', () => {
  test('shows the palette as it was, to anyone, until it is revoked', async () => {
    const { id } = await share()
    await saveEdits(localOwner, siteId, await revisionOf(siteId), [
      {
        clientId: crypto.randomUUID(),
        edit: { type: 'setSlot', slot: 'brand', value: '#ff0000' } as never,
      },
    ])
    const read = await readShare(id)
    expect(read).toMatchObject({ ok: true, value: { title: 'Tern & Thistle' } })
    expect(read.ok && read.value.colors[2]).toEqual({ name: 'Brand', value: '#1d5955' })
    await undo(localOwner, siteId, await revisionOf(siteId))

    expect(await revokeShare(stranger, siteId, id)).toMatchObject({ ok: false })
    expect(await readShare(id)).toMatchObject({ ok: true })
    expect(await revokeShare(localOwner, siteId, id)).toEqual({ ok: true, value: null })
    expect(await readShare(id)).toEqual({ ok: false, problem: { code: 'not-found' } })
    expect(await revokeShare(localOwner, siteId, id)).toMatchObject({ ok: false })
  })

  test('cannot be guessed, and others do not see the list', async () => {
    const ids = [(await share()).id, (await share()).id]
    expect(ids[0]).toMatch(/^[\w-]{32}$/)
    expect(ids[0]).not.toBe(ids[1])
    expect(await listShares(stranger, siteId)).toMatchObject({ ok: false })
    const open = await listShares(localOwner, siteId)
    expect(open.ok && open.value.map(({ id }) => id)).toEqual(expect.arrayContaining(ids))
    for (const wrong of ['', 'x', `${ids[0]}x`, `${ids[0]!.slice(0, 31)}!`, "' or 1=1 --"]) {
      expect(await readShare(wrong)).toEqual({ ok: false, problem: { code: 'not-found' } })
    }
  })

  test('is not made by who may not edit, nor on an old state', async () => {
    const base = await revisionOf(siteId)
    expect(await sharePalette(stranger, siteId, base)).toMatchObject({ ok: false })
    expect(await sharePalette(localOwner, siteId, base + 5)).toMatchObject({
      ok: false,
      problem: { code: 'stale' },
    })
  })
})

describe('carrying a palette to another site', () => {
  test('keeps it there as a study, which one undo takes away', async () => {
    const before = await stateOf(ferry)
    const copied = await copyPalette(localOwner, siteId, ferry)
    expect(copied).toEqual({ ok: true, value: { study: 'tern-thistle' } })
    const [study] = (await frameOf(ferry)).studies
    expect(study).toMatchObject({ name: 'Tern & Thistle' })
    expect(study!.colors.map(({ name }) => name)).toEqual([
      'Paper',
      'Mist',
      'Brand',
      'Spark',
      'Slate',
      'Ink',
    ])
    await undo(localOwner, ferry, await revisionOf(ferry))
    expect(await stateOf(ferry)).toBe(before)
  })

  test('needs rights on both', async () => {
    expect(await copyPalette(stranger, siteId, ferry)).toMatchObject({ ok: false })
    expect(await copyPalette(localOwner, siteId, 'nowhere')).toMatchObject({ ok: false })
  })
})

test('the uses of a slot are counted by place', async () => {
  const uses = await slotUses(localOwner, siteId, 'brand')
  expect(uses.ok && uses.value.places.themes).toBeGreaterThan(10)
  expect(await slotUses(localOwner, siteId, 'nowhere')).toEqual({ ok: true, value: { places: {} } })
})

describe('the brand sheet', () => {
  test('holds names, all codes and the contrast of every pair', async () => {
    const sheet = await brandSheetPdf(localOwner, siteId)
    const text = textOf((sheet.ok && sheet.value) as Uint8Array)
    for (const word of ['Tern & Thistle', 'Paper', '#1d5955', 'rgb(29 89 85)', 'hsl(176 50.85%']) {
      expect(text).toContain(word)
    }
    expect(text).toContain('on Paper')
    // Ink on Paper, cut to one decimal; the same ratio from wcag-contrast is 14.7.
    expect(text).toContain('14.7')
  })

  test('of 64 colours runs over pages, of none says so', async () => {
    const { palette } = demoSites[0]!.frame
    const slots = Array.from({ length: 64 }, (_, i) => ({
      id: `s-${i}`,
      name: `Slot number ${i}`,
      value: `hsl(${i * 5} 60% 50%)`,
      was: [],
    }))
    const many = {
      ...palette,
      order: slots.map(({ id }) => id),
      slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
    } as unknown as Palette
    const text = textOf(await drawBrandSheet(brandSheet('Many', many)))
    expect(text.match(/Slot number \d+/g)!.length).toBeGreaterThanOrEqual(64)
    const none = textOf(await drawBrandSheet(brandSheet('None', { ...many, order: [] })))
    expect(none).toContain('No slot holds a colour yet.')
  })
})

test('a palette is not carried onto its own site', async () => {
  const before = await stateOf(siteId)
  expect(await copyPalette(localOwner, siteId, siteId)).toEqual({
    ok: false,
    problem: { code: 'own-site' },
  })
  expect(await stateOf(siteId)).toBe(before)
})
