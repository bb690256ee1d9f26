import type { Page } from '@playwright/test'
import { openBrowser } from './browser'
import { largeSite, openLarge } from './large-editor'
import { largePage } from './large-page'

/** A frame at 60 Hz, in milliseconds. */
const FRAME = 1000 / 60
const ELEMENTS = 2000
const CLICKS = 60
/** Clicks until the browser has compiled what they run; the very first one is told by itself. */
const WARMING = 12

const p95 = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.ceil(values.length * 0.95) - 1]!

/** Notes of every click when it was, when the window changed last after it, and its frames. */
function noteClicks(): void {
  const held = window as unknown as { clicks: number[][] }
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
      // The time that a frame is given is when it was due; what ran until it is begun is drawn in it.
      const next = () => {
        const begun = performance.now()
        frames.push(begun)
        if (begun - start < 250) return void requestAnimationFrame(next)
        observer.disconnect()
        const drawn = frames.find((frame) => frame >= last) ?? begun
        held.clicks.push([frames[0]! - start, drawn - start])
      }
      requestAnimationFrame(next)
    },
    true,
  )
}

async function clicked(page: Page, points: ReadonlyArray<readonly [number, number]>) {
  await page.evaluate(() => void ((window as unknown as { clicks: number[][] }).clicks = []))
  for (let n = 0; n < WARMING + CLICKS; n += 1) {
    await page.mouse.click(...points[n % points.length]!)
    await page.waitForTimeout(320)
  }
  const all = await page.evaluate(() => (window as unknown as { clicks: number[][] }).clicks)
  return { first: all[0]!, warm: all.slice(WARMING) }
}

/** From a click on the stage to the whole trace in sight, beside a click that does nothing. */
export async function benchSelecting(): Promise<void> {
  const site = await largeSite(largePage(ELEMENTS), 'Selecting')
  const browser = await openBrowser()
  const page = await openLarge(browser, site)
  const stage = page.frameLocator('iframe[title="The page, live"]')
  const points: Array<readonly [number, number]> = []
  for (const selector of ['h2.heading', '.main-button', '.paragraph']) {
    const box = (await stage.locator(selector).first().boundingBox())!
    points.push([box.x + 12, box.y + box.height / 2])
  }
  // What bundles this file gives functions their names by it.
  await page.evaluate('globalThis.__name = (named) => named')
  await page.evaluate(noteClicks)
  // A title in the bar: nothing listens to it.
  const bare = (await clicked(page, [[680, 6]])).warm.map(([frame]) => frame!)
  const { first, warm } = await clicked(page, points)
  const ours = warm.map(([, drawn]) => drawn!)
  await browser.close()
  const over = p95(ours) - p95(bare)
  console.log(
    `selecting an element on a page of ${ELEMENTS}, to its full trace: p95 ${(over / FRAME).toFixed(1)} frames over a bare click (${p95(ours).toFixed(0)} ms, bare ${p95(bare).toFixed(0)}; the first click after loading ${first[1]!.toFixed(0)} ms)`,
  )
}
