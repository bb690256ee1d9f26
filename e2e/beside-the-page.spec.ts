import { expect, test } from '@playwright/test'
import {
  clickOnStage,
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  stageFrame,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

const button = '[data-section="opening"] .main-button'

test('the names of themes show on pointing, by a key for all, and hide nothing of the page', async ({
  page,
}) => {
  await openPaint(page)
  const chip = page.getByRole('button', { name: 'Theme of Opening: On Paper' })
  const name = chip.getByText('On Paper')
  await expect(name).toBeHidden()
  await chip.hover()
  await expect(name).toBeVisible()
  await page.getByRole('heading', { name: 'Why does it look so?' }).hover()
  await expect(name).toBeHidden()
  await page.keyboard.press('t')
  await expect(name).toBeVisible()
  await page.keyboard.press('t')
  await expect(name).toBeHidden()
  // The marks stand beside the page, not on it.
  const page_ = (await stageFrame(page).locator('body').boundingBox())!
  const mark = (await chip.boundingBox())!
  expect(mark.x).toBeGreaterThanOrEqual(page_.x + page_.width)
})

test('the header takes a theme of its own from its chip, and goes back to blending there', async ({
  page,
}) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Theme of Header: blends' }).click()
  const choices = page.getByRole('dialog', { name: 'Theme of Header' })
  await choices.getByText('On Ink', { exact: true }).click()
  await expect(page.getByRole('button', { name: 'Theme of Header: On Ink' })).toBeVisible()
  await expect
    .poll(() => computedOnStage(page, '[data-section="header"]', 'background-color'))
    .toBe('rgb(23, 33, 31)')
  await page.getByRole('button', { name: 'Theme of Header: On Ink' }).click()
  await choices
    .getByText(/^blend/i)
    .first()
    .click()
  await expect(page.getByRole('button', { name: 'Theme of Header: blends' })).toBeVisible()
  // What is open beside the header may lie over the bar.
  await page.keyboard.press('Escape')
  await isSaved(page)
  await undo(page)
  await undo(page)
})

test('a loose colour begins at the colour that is seen', async ({ page }) => {
  await openPaint(page)
  await clickOnStage(page, button)
  const trace = page.getByTestId('trace')
  await trace.getByRole('radio', { name: /^this element/ }).click()
  await trace.getByRole('button', { name: 'A loose colour' }).click()
  await expect(trace.getByLabel('Colour, in any notation', { exact: true })).toHaveValue(/#d65a2a/i)
})

test('a message has a line of its own, covers nothing of the view, and can be closed', async ({
  page,
}) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Brighter …' }).click()
  await page.getByRole('button', { name: 'More vivid' }).click()
  await page.getByRole('button', { name: /^Apply to/ }).click()
  const message = page.locator('[data-sonner-toast]').filter({ hasText: 'More vivid applied' })
  await expect(message).toBeVisible()
  const view = (await page.getByRole('main').boundingBox())!
  const box = (await message.boundingBox())!
  expect(box.y).toBeGreaterThanOrEqual(view.y + view.height)
  expect(box.y + box.height).toBeLessThanOrEqual(800)
  await message.getByRole('button', { name: /close/i }).click()
  await expect(message).toHaveCount(0)
  await isSaved(page)
  await undo(page)
})

test('a click on a form opens what was clicked: a field, its label', async ({ page }) => {
  await openPaint(page, `${tern}?page=contact`)
  const trace = page.getByTestId('trace')
  const opened = trace.locator('[aria-expanded=true]', { hasText: /Field ground|Labels/ })
  await clickOnStage(page, '.form .field')
  await expect(opened).toHaveText(/Field ground/)
  await clickOnStage(page, '.form .field-label > span')
  await expect(opened).toHaveText(/Labels/)
})

test('a slot that is renamed offers to rename the theme that is named after it', async ({
  page,
}) => {
  await openPaint(page)
  await page.locator('[data-slot="brand"]').click()
  const name = page.getByRole('dialog', { name: /^Slot/ }).getByLabel('Name', { exact: true })
  await name.fill('Sea')
  await name.press('Enter')
  await page.getByRole('button', { name: 'Rename to On Sea' }).click()
  await isSaved(page)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^The bench On Sea/ })).toBeVisible()
  await undo(page)
  await expect(page.getByRole('button', { name: /^The bench On Brand/ })).toBeVisible()
  await undo(page)
  await expect(page.locator('[data-slot="brand"]')).toContainText('Brand')
})
