import { openBrowser, spent } from './browser'

/** Moves of one drag, and how long after it long tasks are waited for, in milliseconds. */
const MOVES = 80
const AFTER = 3000

export interface Dragged {
  /** Script of the window and of the stage, and recalculation of styles, in milliseconds. */
  readonly script: number
  readonly restyle: number
  /** Tasks over 50 ms after the pointer rests. */
  readonly long: readonly number[]
}

/** Drags a slot over the colour area of the editor, as a hand does, and lets it rest. */
export async function dragSlot(site: string): Promise<Dragged> {
  const browser = await openBrowser()
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(site)
  await page.locator('[data-slot="brand"]').click()
  const area = page.getByRole('slider', { name: 'Chroma and lightness' })
  const box = (await area.boundingBox())!
  const at = (n: number) =>
    [
      box.x + box.width * (0.2 + (0.6 * n) / MOVES),
      box.y + box.height * (0.5 + 0.3 * Math.sin(n / 6)),
    ] as const
  // What a window does once, when it opens, is no part of a drag.
  await page.waitForTimeout(3000)
  await page.mouse.move(...at(0))
  await page.mouse.down()
  for (let n = 0; n < 10; n += 1) await page.mouse.move(...at(n))
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const before = await spent(session)
  for (let n = 10; n < MOVES; n += 1) {
    await page.mouse.move(...at(n))
    await page.waitForTimeout(16)
  }
  const after = await spent(session)
  await page.evaluate(() => {
    const held = window as unknown as { long: number[] }
    held.long = []
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) held.long.push(Math.round(duration))
    }).observe({ type: 'longtask' })
  })
  await page.mouse.up()
  await page.waitForTimeout(AFTER)
  const long = await page.evaluate(() => (window as unknown as { long: number[] }).long)
  await browser.close()
  return {
    script: (after.script - before.script) * 1000,
    restyle: (after.style - before.style) * 1000,
    long,
  }
}
