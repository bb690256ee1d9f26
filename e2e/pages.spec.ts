import { expect, test, type Page } from '@playwright/test'
import { isSaved, leavesTheSiteAsItWas, openPaint, stageFrame, undo } from './editor'

leavesTheSiteAsItWas()

async function choose(page: Page, deed: string): Promise<void> {
  await page.getByRole('button', { name: /^Page: / }).click()
  await page.getByRole('menuitem', { name: deed }).click()
}
const titles = (page: Page) =>
  page
    .getByRole('menuitemradio')
    .allTextContents()
    .then((all) => all.join(', '))

test('a page is added, named, moved, and removed with a word about its links; undo brings it back', async ({
  page,
}) => {
  await openPaint(page)
  await choose(page, 'Add a page …')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Title').fill('Gift cards')
  await expect(dialog.getByLabel(/Address/)).toHaveValue('gift-cards')
  await dialog.getByLabel(/Address/).fill('../shop')
  await dialog.getByRole('button', { name: 'Add it behind Home' }).click()
  await expect(dialog.getByRole('alert')).toContainText('small letters')
  await dialog.getByLabel(/Address/).fill('shop')
  await dialog.getByRole('button', { name: 'Add it behind Home' }).click()
  await expect(dialog.getByRole('alert')).toContainText('Shop has this address already')
  await dialog.getByLabel(/Address/).fill('gift-cards')
  await dialog.getByRole('button', { name: 'Add it behind Home' }).click()
  await expect(stageFrame(page).getByRole('heading', { name: 'Gift cards' })).toBeVisible()
  await isSaved(page)
  const links = stageFrame(page).locator('header .navigation')
  await expect(links).toContainText('Gift cards')
  // One step takes back the page and its link, and shows the page where it was added.
  await undo(page)
  await expect(links).not.toContainText('Gift cards')
  await expect(page.getByRole('button', { name: 'Page: Home' })).toBeVisible()
  await choose(page, 'Add a page …')
  await dialog.getByLabel('Title').fill('Gift cards')
  await dialog.getByLabel(/navigation/).uncheck()
  await dialog.getByRole('button', { name: 'Add it behind Home' }).click()
  // It stays in sight once it is stored.
  await expect(page.getByRole('button', { name: 'Page: Gift cards' })).toBeVisible()
  await isSaved(page)

  await choose(page, 'Move it back')
  await isSaved(page)
  await page.getByRole('button', { name: 'Page: Gift cards' }).click()
  await expect.poll(() => titles(page)).toMatch(/^Home, Workshops, Gift cards, Shop/)
  await page.keyboard.press('Escape')

  await choose(page, 'Title and address …')
  await dialog.getByLabel('Title').fill('Vouchers')
  await dialog.getByLabel(/What it is about/).fill('Vouchers to give away.')
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('button', { name: 'Page: Vouchers' })).toBeVisible()

  await choose(page, 'Remove it …')
  await expect(dialog.getByRole('status')).toContainText('Nothing links to it.')
  await dialog.getByRole('button', { name: 'Remove Vouchers' }).click()
  await expect(page.getByRole('button', { name: 'Page: Workshops' })).toBeVisible()
  await isSaved(page)
  await undo(page)
  await page.getByRole('button', { name: 'Page: Vouchers' }).click()
  await expect(page.getByRole('menuitemradio', { name: 'Vouchers' })).toBeVisible()
  await page.keyboard.press('Escape')
  for (let i = 0; i < 3; i += 1) await undo(page)
})

test('a page that is linked says where before it goes; home stays', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Page: Home' }).click()
  await expect(page.getByRole('menuitem', { name: 'Remove it …' })).toBeDisabled()
  await page.getByRole('menuitemradio', { name: 'Shop', exact: true }).click()
  await choose(page, 'Remove it …')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('status')).toContainText('header or footer, on every page; Home')
  await expect(dialog.getByLabel('Take it out of the navigation')).toBeChecked()
  await dialog.getByRole('button', { name: 'Remove Shop' }).click()
  await expect(page.getByRole('button', { name: 'Page: Workshops' })).toBeVisible()
  const links = stageFrame(page).locator('header .navigation')
  await expect(links).not.toContainText('Shop')
  // What still leads there is told before it is published.
  await page.getByRole('button', { name: 'Publish' }).click()
  await expect(dialog.getByText(/to pages that are gone/)).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Home', exact: true })).toBeVisible()
  await expect(dialog.getByText('Every picture has alt text.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  // One step: the page, and the two navigations; and it is shown again.
  await undo(page)
  await expect(links).toContainText('Shop')
  await expect(page.getByRole('button', { name: 'Page: Shop' })).toBeVisible()

  // Navigations call it by its new title.
  await choose(page, 'Title and address …')
  await dialog.getByLabel('Title', { exact: true }).fill('Papers')
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(links).toContainText('Papers')
  await isSaved(page)
  await undo(page)
  await expect(links).toContainText('Shop')
})

test('a page is begun with all that another one holds', async ({ page }) => {
  await openPaint(page)
  await choose(page, 'Add a page …')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Title').fill('Home in winter')
  await dialog.getByLabel('It begins with').selectOption({ label: 'All that Home holds' })
  await dialog.getByLabel('Title').press('Enter')
  await expect(page.getByRole('button', { name: 'Page: Home in winter' })).toBeVisible()
  await expect(stageFrame(page).getByText('Books bound')).toBeVisible()
  await isSaved(page)
  // The link in the header, and the page.
  await undo(page)
  await undo(page)
  await expect(page.getByRole('button', { name: 'Page: Home', exact: true })).toBeVisible()

  // A page of a design comes in this site's colours.
  await choose(page, 'Add a page …')
  await dialog.getByLabel('Title').fill('What it costs')
  await dialog.getByLabel('It begins with').selectOption({ label: 'Prices (Wheelhouse)' })
  await dialog.getByLabel('Title').press('Enter')
  await expect(page.getByRole('button', { name: 'Page: What it costs' })).toBeVisible()
  const themes = await stageFrame(page)
    .locator('main > section')
    .evaluateAll((all) => all.map((each) => (each as HTMLElement).dataset.theme))
  expect(themes.length).toBeGreaterThan(1)
  expect(themes.every((theme) => theme?.startsWith('on-'))).toBe(true)
  await isSaved(page)
  await undo(page)
  await undo(page)
  await expect(page.getByRole('button', { name: 'Page: Home', exact: true })).toBeVisible()
})
