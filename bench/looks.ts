import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { buildSync } from 'esbuild'
import { closeDatabase } from '@/server/database/connection'
import { select } from '@/server/database/sets'
import { median, openBrowser, spent } from './browser'
import { address, call, largeSite, openLarge } from './large-editor'
import { largePage } from './large-page'

/** A frame at 60 Hz, in milliseconds. */
const FRAME = 1000 / 60
const ELEMENTS = 2000
const CLICKS = 60

const p95 = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.ceil(values.length * 0.95) - 1]!

/** Notes of every click when it was, when the window changed last after it, and its frames. */
function noteClicks(): void {
  const held = window as unknown as { clicks: number[][] }
  held.clicks = []
  document.addEventListener(
    'click',
    (event) => {
      const start = event.timeStamp
      let last = start
      const observer = new MutationObserver(() => (last = performance.now()))
      observer.observe(document.body, {
        subtree: true,
        childList: true,
        attributes: true,
        characterData: true,
      })
      const frames: number[] = []
      const next = (at: number) => {
        frames.push(at)
        if (at - start < 250) return void requestAnimationFrame(next)
        observer.disconnect()
        // What is drawn is there with the first frame behind the last change.
        const drawn = frames.find((frame) => frame >= last) ?? at
        held.clicks.push([frames[0]! - start, drawn - start])
      }
      requestAnimationFrame(next)
    },
    true,
  )
}

async function clicked(page: Page, points: ReadonlyArray<readonly [number, number]>) {
  // What bundles this file gives functions their names by it.
  await page.evaluate('globalThis.__name = (named) => named')
  await page.evaluate(noteClicks)
  for (let n = 0; n < CLICKS; n += 1) {
    await page.mouse.click(...points[n % points.length]!)
    await page.waitForTimeout(320)
  }
  return page.evaluate(() => (window as unknown as { clicks: number[][] }).clicks)
}

/** From a click on the stage to the whole trace in sight, beside a click that does nothing. */
async function benchSelecting(): Promise<void> {
  const site = await largeSite(largePage(ELEMENTS), 'Selecting')
  const browser = await openBrowser()
  const page = await openLarge(browser, site)
  const stage = page.frameLocator('iframe[title="The page, live"]')
  const points: Array<readonly [number, number]> = []
  for (const selector of ['h2.heading', '.main-button', '.paragraph']) {
    const box = (await stage.locator(selector).first().boundingBox())!
    points.push([box.x + 12, box.y + box.height / 2])
  }
  // A title in the bar: nothing listens to it.
  const bare = (await clicked(page, [[680, 6]])).map(([frame]) => frame!)
  const ours = (await clicked(page, points)).map(([, drawn]) => drawn!)
  await browser.close()
  const over = p95(ours) - p95(bare)
  console.log(
    `selecting an element on a page of ${ELEMENTS}, to its full trace: p95 ${(over / FRAME).toFixed(1)} frames over a bare click (${p95(ours).toFixed(0)} ms, bare ${p95(bare).toFixed(0)})`,
  )
}

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

const bundle = (contents: string) =>
  buildSync({
    stdin: { contents, resolveDir: process.cwd(), loader: 'tsx' },
    bundle: true,
    write: false,
    format: 'iife',
    jsx: 'automatic',
    logLevel: 'error',
    define: { 'process.env.NODE_ENV': '"production"', 'process.env': '{}' },
  }).outputFiles[0]!.text

/** A page of our own origin with frames such as the stage is drawn in. */
async function framed(
  script: string,
  frames: number,
): Promise<{ page: Page; close: () => Promise<void> }> {
  const browser = await openBrowser()
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    bypassCSP: true,
  })
  const page = await context.newPage()
  // An empty page of the same origin, so that it may look into its frames.
  const blank = `${address}/bench-blank`
  await page.route(blank, (route) =>
    route.fulfill({ contentType: 'text/html', body: '<!doctype html><body></body>' }),
  )
  page.on('pageerror', (error) => console.error(error.message))
  await page.goto(blank)
  await page.evaluate(async (count) => {
    for (let i = 0; i < count; i += 1) {
      const frame = document.createElement('iframe')
      frame.src = '/stage'
      frame.sandbox.add('allow-same-origin')
      frame.style.cssText = 'position:fixed;top:0;left:0;width:1140px;height:900px;border:0'
      document.body.append(frame)
      await new Promise((resolve) => frame.addEventListener('load', resolve))
    }
  }, frames)
  await page.addScriptTag({ content: script })
  return { page, close: () => browser.close() }
}

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

const SURVEYED = 50

const SURVEY = `
import { designs, designSite } from './src/core/designs/ready'
import { createStageWriter } from './src/ui/stage/stage-document'
import { survey } from './src/ui/survey/survey'
import { surveyWidths } from './src/ui/survey/findings'
const all = designs.map((design) => designSite(design, design.id).docs).flatMap((docs) => Object.values(docs.pages).map((page) => ({ docs, page })))
const some = Array.from({ length: ${SURVEYED} }, (_, i) => all[i % all.length])
const pages = some.map(({ page }, i) => ({ id: page.id, title: page.title, path: String(i), order: String(i) }))
const wider = (docs) => ({ ...docs, frame: { ...docs.frame, settings: { ...docs.frame.settings, headingFace: 'Unbounded', titleFace: 'Unbounded' } } })
const frames = () => [...document.querySelectorAll('iframe')].map((frame) => ({ frame, document: frame.contentDocument }))
window.survey = async () => {
  const start = performance.now()
  const found = await survey({
    siteId: 'bench', frames: frames(), pages, signal: new AbortController().signal,
    load: async ({ path }) => { const { docs } = some[Number(path)]; return [docs, wider(docs)] },
    onProgress: () => undefined,
  })
  return [performance.now() - start, found.findings.length]
}
window.layOut = async () => {
  const start = performance.now()
  const held = frames()
  const writers = held.map(({ document }) => createStageWriter(document))
  for (const { docs, page } of some) {
    for (const [i, shown] of [docs, wider(docs)].entries()) {
      writers[i].write('bench', shown, page.id)
      void held[i].document.body.offsetHeight
      while (held[i].document.fonts.status !== 'loaded') await new Promise((resolve) => setTimeout(resolve, 15))
    }
    for (const width of surveyWidths) for (const { frame, document } of held) {
      frame.style.width = width + 'px'
      void document.body.offsetHeight
    }
    await new Promise((resolve) => setTimeout(resolve))
  }
  return performance.now() - start
}`

interface Surveyor {
  survey: () => Promise<[number, number]>
  layOut: () => Promise<number>
  long: number[]
}

/** What the survey takes beside laying the same pages out in the same frames, and how long its strokes are. */
async function benchSurvey(): Promise<void> {
  const script = bundle(SURVEY)
  const [ours, bare, long]: [number[], number[], number[]] = [[], [], []]
  let count = 0
  for (let run = 0; run < 3; run += 1) {
    for (const way of ['survey', 'layOut'] as const) {
      const { page, close } = await framed(script, 2)
      // Scripts and typefaces are there once: neither is what is measured.
      await page.evaluate(() => (window as unknown as Surveyor).layOut())
      await page.evaluate(() => {
        const held = window as unknown as Surveyor
        held.long = []
        new PerformanceObserver((list) => {
          for (const { duration } of list.getEntries()) held.long.push(Math.round(duration))
        }).observe({ type: 'longtask' })
      })
      if (way === 'survey') {
        const [time, findings] = await page.evaluate(() => (window as unknown as Surveyor).survey())
        ours.push(time)
        count = findings
        long.push(...(await page.evaluate(() => (window as unknown as Surveyor).long)))
      } else bare.push(await page.evaluate(() => (window as unknown as Surveyor).layOut()))
      await close()
    }
  }
  const [took, lay] = [median(ours), median(bare)]
  console.log(
    `survey of ${SURVEYED} pages at three widths, before and after: ${(took / lay).toFixed(2)} × laying them out (${(took / 1000).toFixed(1)} s, ${(lay / 1000).toFixed(1)}), ${count} findings; tasks over 50 ms meanwhile: ${long.length ? long.join(', ') : 'none'}`,
  )
}

/** Looks: selecting, a style that many have, the survey of what a change did to words. */
export async function benchLooks(): Promise<void> {
  await benchSelecting()
  await benchStyleWrite()
  await benchStyleOnStage()
  await benchSurvey()
  await closeDatabase()
}
