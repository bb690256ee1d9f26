import type { Browser } from '@playwright/test'
import { renderSite, shadesInUse, shadesOnPages, slotProperties } from '@/core/render'
import { fromOklch, writeHex } from '@/core/color'
import type { Page, SlotId } from '@/core/site'
import { median, openBrowser, spent } from './browser'
import { largePage } from './large-page'

const FRAMES = 40
const ROUNDS = 5

interface Drag {
  readonly html: string
  /** The properties that are written in each frame. */
  readonly steps: Array<Array<[string, string]>>
}

/** Writes properties once a frame and tells what script and style recalculation cost, in ms a frame. */
async function drag(browser: Browser, { html, steps }: Drag) {
  // As on the stage: no transitions, so that a frame holds one change only.
  const page = await browser.newPage({
    viewport: { width: 1140, height: 800 },
    reducedMotion: 'reduce',
  })
  await page.setContent(html)
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const run = () =>
    page.evaluate(async (values) => {
      const { style } = document.documentElement
      for (const properties of values) {
        await new Promise(requestAnimationFrame)
        for (const [name, value] of properties) style.setProperty(name, value)
      }
      await new Promise(requestAnimationFrame)
    }, steps)
  await run()
  const costs: number[] = []
  for (let round = 0; round < ROUNDS; round += 1) {
    const before = await spent(session)
    await run()
    const after = await spent(session)
    costs.push(((after.script - before.script + after.style - before.style) * 1000) / FRAMES)
  }
  await page.close()
  return median(costs)
}

const values = Array.from({ length: FRAMES }, (_, i) =>
  writeHex(fromOklch({ l: 0.4 + (i % 30) / 100, c: 0.1, h: (i * 4) % 360, alpha: 1 })),
)

/** Our page, as it is published and as it stands on the stage. */
function ours(count: number): Drag {
  const docs = largePage(count)
  const files = renderSite({ ...docs, frame: { ...docs.frame, customCss: '' } })
  const html = files
    .get('large.html')!
    .replace(/<meta http-equiv[^>]*>|<link[^>]*>/g, '')
    .replace('</head>', () => `<style>${files.get('site.css')}</style></head>`)
  const slot = 'spark' as SlotId
  const pages: Page[] = Object.values(docs.pages)
  const shades = [...(shadesInUse(docs.frame, shadesOnPages(pages)).get(slot)?.values() ?? [])]
  const held = docs.frame.palette.slots[slot]!
  const steps = values.map((value) =>
    slotProperties({ slots: { [slot]: { ...held, value } } }, slot, shades),
  )
  return { html, steps }
}

/**
 * A bare page of the same elements, as one would write it by hand to try this
 * out: the text, one rule that colours everything from one property, no themes,
 * no roles, no shapes.
 */
function bare(html: string): Drag {
  const plain = html
    .replace(
      /<style>[\s\S]*<\/style>/,
      () => '<style>:root { --hand: #d65a2a } body * { color: var(--hand) }</style>',
    )
    .replace(/ (?:class|data-[a-z]+)="[^"]*"/g, '')
  return { html: plain, steps: values.map((value) => [['--hand', value]]) }
}

/** Dragging a slot against one property set by hand, on pages of growing size. */
export async function benchDrag(): Promise<void> {
  const browser = await openBrowser()
  console.log(
    '\nDragging a slot: script + style recalculation, ms a frame (median of 5 runs of 40 frames)',
  )
  console.log('elements      ours      bare     ratio')
  for (const count of [500, 1000, 2000, 4000]) {
    const page = ours(count)
    const hand = bare(page.html)
    const mine = await drag(browser, page)
    const theirs = await drag(browser, hand)
    const row = [mine.toFixed(3), theirs.toFixed(3), (mine / theirs).toFixed(2)]
    console.log(`${String(count).padStart(8)}${row.map((cell) => cell.padStart(10)).join('')}`)
  }
  await browser.close()
}
