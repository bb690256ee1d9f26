import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { closeDatabase } from '@/server/database/connection'
import { select } from '@/server/database/sets'
import { median, spent } from './browser'
import { bundle, framed } from './framed'
import { address, call } from './large-editor'

const ELEMENTS = 2000
const PAGES = 200
const WEARING = 25

/** Pages of headings that all have one style. */
function wearingPage(n: number) {
  const ids = Array.from({ length: WEARING }, (_, i) => `h${n}-${i}`)
  const elements = Object.fromEntries(
    ids.map((id) => [
      id,
      {
        id,
        kind: 'heading',
        style: 'many',
        content: { runs: [{ text: `Heading ${id}` }], level: 2 },
      },
    ]),
  )
  const section = {
    id: 's',
    name: 'S',
    kind: 'band',
    theme: 'on-ground',
    layout: 'stack',
    children: ids,
  }
  return {
    schema: 9,
    id: `wearing-${n}`,
    order: `Zz${String(n).padStart(3, '0')}5`,
    title: `Wearing ${n}`,
    path: `wearing-${n}`,
    description: '',
    body: { order: ['s'], sections: { s: section }, elements },
  }
}

/** What one change of a style that thousands have writes on the server. */
async function benchStyleWrite(): Promise<void> {
  const site = await call<{ id: string }>('sites', { name: 'Wearing', from: { design: 'empty' } })
  const send = async (...edits: object[]) => {
    const { revision } = (await (await fetch(`${address}/api/sites/${site.id}`)).json()) as {
      revision: number
    }
    await call(`sites/${site.id}/edits`, {
      base: revision,
      edits: edits.map((edit) => ({ clientId: randomUUID(), edit })),
    })
    return revision
  }
  await send({ type: 'addStyle', style: { id: 'many', name: 'Many', kind: 'heading', looks: {} } })
  for (let n = 0; n < PAGES; n += 20) {
    await send(
      ...Array.from({ length: 20 }, (_, i) => ({ type: 'addPage', page: wearingPage(n + i) })),
    )
  }
  const change = {
    type: 'setLooks',
    settings: [{ on: { style: 'many' }, key: 'text', state: 'rest', value: { value: '#7a1fa2' } }],
  }
  const before = await send(change)
  const [{ records } = { records: -1 }] = await select<{ records: number }>(
    'select count(*)::int as records from edit_records where site_id = $1 and revision > $2',
    [site.id, before],
  )
  console.log(
    `a style that ${(PAGES * WEARING).toLocaleString('en-GB')} elements on ${PAGES} pages have, changed: ${records} record written`,
  )
}

const CHANGES = 60

/** The stage, driven from outside: a page on which a style or a custom property changes again and again. */
const STAGE = `
import { applyEdit } from './src/core/edit'
import { createStageWriter } from './src/ui/stage/stage-document'
import { largePage } from './bench/large-page'
const large = largePage(${ELEMENTS})
const [page] = Object.values(large.pages)
const elements = Object.fromEntries(Object.entries(page.body.elements).map(([id, each]) =>
  [id, each.kind === 'heading' ? { ...each, style: 'many' } : each]))
const style = { id: 'many', name: 'Many', kind: 'heading', looks: { text: { rest: { value: '#112233' } } } }
const docs = { ...large, frame: { ...large.frame, styles: { ...large.frame.styles, many: style } },
  pages: { [page.id]: { ...page, body: { ...page.body, elements } } } }
const color = (n) => '#' + (0x203040 + n * 0x010203).toString(16)
window.begin = (frame) => {
  const writer = createStageWriter(frame.contentDocument)
  writer.write('bench', docs, page.id)
  const root = frame.contentDocument
  const own = root.createElement('style')
  own.textContent = '.by-hand .heading { color: var(--by-hand) !important }'
  root.head.append(own)
  window.restyle = (n) => {
    const edit = { type: 'setLooks', settings: [{ on: { style: 'many' }, key: 'text', state: 'rest', value: { value: color(n) } }] }
    writer.tryOn((now) => { const result = applyEdit(now, edit); return result.ok ? result.docs : now })
    void root.body.offsetHeight
  }
  window.byHand = (n) => {
    root.documentElement.classList.add('by-hand')
    root.documentElement.style.setProperty('--by-hand', color(n))
    void root.body.offsetHeight
  }
}`

interface StageDriver {
  begin: (frame: HTMLIFrameElement) => void
  restyle: (n: number) => void
  byHand: (n: number) => void
}

async function costOf(page: Page, way: 'restyle' | 'byHand'): Promise<number> {
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const before = await spent(session)
  for (let n = 0; n < CHANGES; n += 1) {
    await page.evaluate(([name, at]) => (window as unknown as StageDriver)[name](at), [
      way,
      n,
    ] as const)
  }
  const after = await spent(session)
  const sum = (of: typeof before) => of.style + of.layout
  return ((sum(after) - sum(before)) * 1000) / CHANGES
}

/** One change of a style on the stage, beside setting one custom property that as many elements take. */
async function benchStyleOnStage(): Promise<void> {
  const { page, close } = await framed(bundle(STAGE), 1)
  await page.evaluate(() =>
    (window as unknown as StageDriver).begin(document.querySelector('iframe')!),
  )
  await page.waitForTimeout(1500)
  const times = { restyle: [] as number[], byHand: [] as number[] }
  for (let run = 0; run < 3; run += 1) {
    times.restyle.push(await costOf(page, 'restyle'))
    times.byHand.push(await costOf(page, 'byHand'))
  }
  await close()
  const [ours, bare] = [median(times.restyle), median(times.byHand)]
  console.log(
    `a style that 400 of ${ELEMENTS} elements have, changed on the stage: style and layout ${(ours / bare).toFixed(2)} × one custom property set by hand (${ours.toFixed(2)} ms, by hand ${bare.toFixed(2)})`,
  )
}

/** A style that thousands of elements have: what its change writes, and what it costs the stage. */
export async function benchStyle(): Promise<void> {
  await benchStyleWrite()
  await closeDatabase()
  await benchStyleOnStage()
}
