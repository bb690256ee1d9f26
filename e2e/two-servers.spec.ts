import { expect, test, type Page } from '@playwright/test'
import { computedOnStage, isSaved, openPaint, setSlot, tern, undo } from './editor'

/** Another server on the same database, as a balancer would have it; the same one where there is none. */
const second = process.env.EASEL_SECOND ?? process.env.EASEL_ADDRESS ?? ''
const heading = '[data-section="opening"] h1'

const ground = (page: Page) => computedOnStage(page, heading, 'color')

test('what lands on one server shows on another as it lands, and who is there is seen', async ({
  page,
  browser,
}) => {
  await openPaint(page)
  const there = await browser.newContext({ baseURL: second })
  const other = await there.newPage()
  await openPaint(other, `${second}${tern}`)
  await expect(page.getByRole('button', { name: /other window.* on this site/ })).toBeVisible()
  await expect(other.getByRole('button', { name: /other window.* on this site/ })).toBeVisible()

  const before = await ground(other)
  await setSlot(page, 'ink', '#3a1c54')
  await page.keyboard.press('Escape')
  await isSaved(page)
  // Nobody turns to the other window, and nothing is loaded anew.
  await expect.poll(() => ground(other)).not.toBe(before)
  expect(await ground(other)).toBe(await ground(page))

  // Both at once, on different things: both are kept on both.
  await Promise.all([setSlot(page, 'spark', '#aa3355'), setSlot(other, 'brand', '#225588')])
  for (const each of [page, other]) {
    await each.keyboard.press('Escape')
    await isSaved(each)
  }
  for (const each of [page, other]) {
    await expect(each.locator('[data-slot="spark"]')).toContainText('#aa3355')
    await expect(each.locator('[data-slot="brand"]')).toContainText('#225588')
  }
  for (let i = 0; i < 3; i += 1) await undo(other)
  await expect.poll(() => ground(page)).toBe(before)
  await other.close()
  // Said by the window that goes; one that went without a word is missed after a while.
  await expect(page.getByRole('button', { name: /other window.* on this site/ })).toHaveCount(0, {
    timeout: 75_000,
  })
  await there.close()
})

test('where no stream comes through, the window asks', async ({ page, context }) => {
  await page.route('**/live?*', (route) => route.abort())
  await openPaint(page)
  const other = await context.browser()!.newContext()
  const writer = await other.newPage()
  await openPaint(writer, `${second}${tern}`)
  await setSlot(writer, 'ink', '#203040')
  await writer.keyboard.press('Escape')
  await isSaved(writer)
  await expect(page.locator('[data-slot="ink"]')).toContainText('#203040', { timeout: 20_000 })
  await undo(writer)
  await other.close()
})
