import { ternFrame } from '@demo/tern/frame'
import { median, openBrowser } from './browser'

const [THEMES, ROWS] = [24, 60]

const p95 = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? 0

/** A sheet of all roles in 24 themes in the running application: opening it, setting whole rows, typing ten keys a second. */
export async function benchSheet(): Promise<void> {
  const address = process.env.EASEL_ADDRESS
  if (!address) throw new Error('EASEL_ADDRESS is not set; run ./easel bench')
  const api = `${address}/api/sites/tern-and-thistle`
  const { revision, frame } = (await (await fetch(api)).json()) as {
    revision: number
    frame: typeof ternFrame
  }
  const model = ternFrame.themes.byId[ternFrame.themes.order[0]!]!
  const add = Array.from({ length: THEMES - frame.themes.order.length }, (_, i) => ({
    ...model,
    id: `bench-${i}`,
    name: `Bench ${i}`,
  }))
  const edit = { type: 'setCells', told: 'Bench', cells: [], hand: false, add }
  await fetch(`${api}/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ base: revision, edits: [{ clientId: crypto.randomUUID(), edit }] }),
  })
  const browser = await openBrowser()
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}/sites/tern-and-thistle`)
  await page.getByRole('link', { name: 'Themes' }).waitFor()
  await page.evaluate(() => {
    const held = window as unknown as { slow: Array<{ handled: number; shown: number }> }
    held.slow = []
    new PerformanceObserver((list) => {
      for (const each of list.getEntries() as PerformanceEventTiming[]) {
        if (each.interactionId && each.name === 'click') {
          const handled = each.processingEnd - each.processingStart
          held.slow.push({ handled, shown: each.duration })
        }
      }
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit)
  })
  const opening = await page.evaluate(async () => {
    const start = performance.now()
    ;[...document.querySelectorAll('a')]
      .find(({ textContent }) => textContent === 'Themes')!
      .click()
    while (!document.querySelector('[data-cell]')) await new Promise(requestAnimationFrame)
    return performance.now() - start
  })
  await page.getByLabel('Roles that are shown').selectOption('all')
  // Setting a whole row by one click, as the browser itself times an interaction: from the press to the next picture.
  await page.getByRole('button', { name: 'Fill', exact: true }).first().click()
  await page.waitForTimeout(300)
  await page.evaluate(() => {
    ;(window as unknown as { slow: unknown[] }).slow.length = 0
  })
  const choices = page.locator('[aria-label^="Set all"] button')
  const count = await choices.count()
  for (let i = 0; i < ROWS; i += 1) {
    const box = (await choices.nth((i * 7 + 3) % count).boundingBox())!
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
    await page.waitForTimeout(250)
  }
  const timed = await page.evaluate(
    () => (window as unknown as { slow: Array<{ handled: number; shown: number }> }).slow,
  )
  const rows = timed.map(({ shown }) => shown)
  const handled = timed.map((each) => each.handled)
  const typed = 'oklch(61.5% 0.123 45.67 / 0.95)'
  await page.locator('[data-cell="on-paper/link"]').click()
  for (const key of typed) {
    await page.keyboard.press(key === ' ' ? 'Space' : key)
    await page.waitForTimeout(100)
  }
  const kept = await page.getByLabel('Slot, shade or colour').inputValue()
  await browser.close()
  console.log(`\nA sheet of 27 roles × ${THEMES} themes`)
  console.log(`opening it                                   ${opening.toFixed(0)} ms`)
  console.log(
    `setting a whole row of ${THEMES}, its handler            median ${median(handled).toFixed(1)} ms, p95 ${p95(handled).toFixed(1)} ms`,
  )
  console.log(
    `… until it is painted, without a graphics card  median ${median(rows).toFixed(0)} ms, p95 ${p95(rows).toFixed(0)} ms`,
  )
  console.log(
    `typing at 10 keys a second                   ${kept.length} of ${typed.length} keystrokes kept`,
  )
}
