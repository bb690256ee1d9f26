import { expect, test, type Page } from '@playwright/test'
import { computedOnStage, stageFrame } from './editor'

const card = (page: Page, name: string) => page.getByRole('article', { name, exact: true })

async function choose(page: Page, name: string, deed: string): Promise<void> {
  await page.getByRole('button', { name: `What to do with ${name}`, exact: true }).click()
  await page.getByRole('menuitem', { name: deed }).click()
}

test('a site is begun around a colour, opens readable, and stands on the shelf as it looks', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a site' }).click()
  const dialog = page.getByRole('dialog', { name: 'Begin a site' })
  await dialog.getByRole('button', { name: 'Begin it' }).click()
  await expect(dialog.getByRole('alert')).toContainText('A name has 1 to 60 characters.')
  await dialog.getByLabel('Name of the site').fill('Wren Cycles')
  await dialog.getByLabel(/Colours of yours/).fill('rust-ish')
  await dialog.getByLabel(/Colours of yours/).press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('This is no colour.')
  await dialog.getByLabel(/Colours of yours/).fill('rgb(138 59 42)')
  await dialog.getByLabel(/Colours of yours/).press('Enter')
  await page.waitForURL('**/sites/wren-cycles*')
  await expect(page.getByRole('button', { name: '✓ contrast AA' })).toBeVisible()
  await stageFrame(page).locator('.main-button').waitFor()
  await expect
    .poll(() => computedOnStage(page, '.main-button', 'background-color'))
    .toBe('rgb(138, 59, 42)')

  await page.getByRole('link', { name: 'Wren Cycles' }).click()
  const picture = card(page, 'Wren Cycles').locator('iframe').contentFrame()
  await expect(picture.getByText('Say here in one sentence')).toBeVisible()
  expect(
    await picture
      .locator('.main-button')
      .evaluate((node) => getComputedStyle(node).backgroundColor),
  ).toBe('rgb(138, 59, 42)')
})

test('a site is copied, renamed, put away and back, removed by its name and brought back', async ({
  page,
}) => {
  await page.goto('/')
  await choose(page, 'Ferrybank Boat Hire', 'Begin another from it …')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name of the site').fill('Second jetty')
  await dialog.getByRole('button', { name: 'Begin it' }).click()
  await page.waitForURL('**/sites/second-jetty*')
  await expect(stageFrame(page).getByText('Push off before breakfast')).toBeVisible()

  await page.goto('/')
  await choose(page, 'Second jetty', 'Rename …')
  await dialog.getByLabel('Name').fill('Third jetty')
  await dialog.getByLabel('Name').press('Enter')
  await expect(card(page, 'Third jetty')).toBeVisible()
  await expect(card(page, 'Second jetty')).toHaveCount(0)
  const message = page.locator('[data-sonner-toast]')
  await expect(message).toHaveText('Second jetty is called Third jetty now.')
  // It goes along to the next page, and is gone by itself there.
  await card(page, 'Third jetty').getByRole('link').first().click()
  await stageFrame(page).locator('[data-section]').first().waitFor()
  await page.getByRole('link', { name: 'Third jetty' }).click()
  await expect(card(page, 'Third jetty')).toBeVisible()

  await choose(page, 'Third jetty', 'Put away')
  await expect(card(page, 'Third jetty')).toHaveCount(0)
  await page.getByText('Put away, 1').click()
  await page
    .getByRole('list', { name: 'Put away' })
    .getByRole('button', { name: 'Put back' })
    .click()
  await expect(card(page, 'Third jetty')).toBeVisible()

  await choose(page, 'Third jetty', 'Remove …')
  const name = dialog.getByLabel(/Type its name/)
  await name.fill('Third jett')
  await name.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('that is not its name')
  await name.fill('Third jetty')
  await name.press('Enter')
  await expect(card(page, 'Third jetty')).toHaveCount(0)
  expect((await page.request.get('/sites/second-jetty')).status()).toBe(404)
  await page.getByText(/^Removed, \d+$/).click()
  const removed = page.getByRole('list', { name: 'Removed' })
  await expect(removed).toContainText('gone for good in 30 days')
  await removed
    .getByRole('listitem')
    .filter({ hasText: 'Third jetty' })
    .getByRole('button', { name: 'Bring back' })
    .click()
  await expect(card(page, 'Third jetty')).toBeVisible()
})

test('the way in works by keys alone, and Escape leaves it', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a site' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Name of the site')).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Begin a site' })).toBeFocused()
})
