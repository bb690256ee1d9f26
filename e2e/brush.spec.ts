import { expect, test, type Page } from '@playwright/test'
import {
  boxOnStage,
  clickOnStage,
  computedOnStage,
  leavesTheSiteAsItWas,
  openPaint,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

/** What an element of the home page decides. */
async function looksOf(page: Page, element: string | null): Promise<Record<string, unknown>> {
  const { page: home } = await (await page.request.get(`/api${tern}/pages/home`)).json()
  return home.body.elements[element!]?.looks ?? {}
}

const idOf = (page: Page, selector: string) =>
  page
    .frameLocator('iframe[title="The page, live"]')
    .locator(selector)
    .first()
    .getAttribute('data-el')

test('a slot is dragged onto a button: it shows at once, the wheel takes a shade, the space bar another of its colours', async ({
  page,
}) => {
  await openPaint(page)
  const button = '[data-section="opening"] .main-button'
  const id = await idOf(page, button)
  const box = await boxOnStage(page, button)
  const fill = () => computedOnStage(page, button, 'background-color')
  expect(await fill()).toBe('rgb(214, 90, 42)')
  const slot = (await page.locator('[data-slot="brand"]').boundingBox())!
  await page.mouse.move(slot.x + 20, slot.y + 20)
  await page.mouse.down()
  await page.mouse.move(slot.x + 60, slot.y - 40, { steps: 4 })
  await page.mouse.move(box.x + 14, box.y + box.height / 2, { steps: 6 })
  await expect.poll(fill).toBe('rgb(29, 89, 85)')
  const told = page.locator('[data-outline=selected]').filter({ hasText: 'Main button' })
  await expect(told).toContainText('fill: Brand')
  await page.mouse.wheel(0, -100)
  await expect(told).toContainText('fill: Brand +8')
  await page.keyboard.press('Space')
  await expect(told).toContainText('label: Brand +8')
  await expect.poll(fill).toBe('rgb(214, 90, 42)')
  await page.mouse.up()
  await expect
    .poll(() => looksOf(page, id))
    .toMatchObject({ label: { rest: { slot: 'brand', shade: { lightness: 8 } } } })
  await undo(page)
  await expect.poll(() => looksOf(page, id)).not.toHaveProperty('label')
})

test('a shade is dragged from the fan of its slot', async ({ page }) => {
  await openPaint(page)
  const heading = '[data-section="opening"] h1'
  const id = await idOf(page, heading)
  const box = await boxOnStage(page, heading)
  const shade = (await page.locator('[data-slot="spark"] [data-shade="-8"]').boundingBox())!
  await page.mouse.move(shade.x + shade.width / 2, shade.y + shade.height / 2)
  await page.mouse.down()
  await page.mouse.move(shade.x, shade.y - 60, { steps: 4 })
  await page.mouse.move(box.x + 20, box.y + box.height / 3, { steps: 6 })
  const told = page.locator('[data-outline=selected]').filter({ hasText: 'Heading' })
  await expect(told).toContainText('text: Spark −8')
  await page.mouse.up()
  await expect
    .poll(() => looksOf(page, id))
    .toMatchObject({ text: { rest: { slot: 'spark', shade: { lightness: -8 } } } })
  await undo(page)
})

test('by keys: a slot is taken in hand, led over the page and put down; several that are chosen are painted at once', async ({
  page,
}) => {
  await openPaint(page)
  const [first, second] = ['[data-section="opening"] h1', '[data-section="this-month"] h2']
  await clickOnStage(page, first)
  await page.keyboard.down('Shift')
  await clickOnStage(page, second)
  await page.keyboard.up('Shift')
  await page.locator('[data-slot="spark"]').focus()
  await page.keyboard.press('p')
  await expect(page.getByTestId('stage')).toBeFocused()
  const told = page.locator('[data-outline=selected]').filter({ hasText: 'Spark' })
  await expect(told).toContainText('2 things')
  await page.keyboard.press('-')
  await page.keyboard.press('Enter')
  for (const selector of [first, second]) {
    const id = await idOf(page, selector)
    await expect
      .poll(() => looksOf(page, id))
      .toMatchObject({ text: { rest: { slot: 'spark', shade: { lightness: -8 } } } })
  }
  // Let go without painting: nothing is kept, and the page is as it was.
  await page.locator('[data-slot="ink"]').focus()
  await page.keyboard.press('p')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-outline=selected]').filter({ hasText: 'Ink' })).toHaveCount(0)
  await undo(page)
  await expect.poll(async () => looksOf(page, await idOf(page, first))).not.toHaveProperty('text')
})
