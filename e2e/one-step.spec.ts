import { expect, test } from '@playwright/test'
import { clickOnStage, isSaved, leavesTheSiteAsItWas, openPaint, stageFrame, undo } from './editor'

leavesTheSiteAsItWas()

test('a heading that was emptied comes back with its words in one step; what is typed survives a reload', async ({
  page,
}) => {
  await openPaint(page)
  const title = stageFrame(page).locator('[data-section="opening"] h1')
  const words = (await title.textContent())!
  await clickOnStage(page, '[data-section="opening"] h1')
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Delete')
  await page.keyboard.press('Escape')
  await expect(title).toHaveCount(0)
  await expect(page.getByText('Heading removed: it had no text left.')).toBeVisible()
  await isSaved(page)
  await undo(page)
  await expect(title).toHaveText(words)
  // The message that spoke of it is gone with it.
  await expect(page.getByText('Heading removed: it had no text left.')).toHaveCount(0)

  await clickOnStage(page, '[data-section="opening"] h1')
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' and more')
  page.once('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await expect(title).toHaveText(`${words} and more`)
  await isSaved(page)
  await undo(page)
  await expect(title).toHaveText(words)
})

test('a colour that is still being moved as the window is reloaded is kept', async ({ page }) => {
  await openPaint(page)
  const slot = page.getByRole('button', { name: /^Spark, #/ })
  const before = await slot.getAttribute('aria-label')
  await slot.click()
  await page.getByRole('slider', { name: 'Hue' }).press('ArrowRight')
  page.once('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await expect(slot).not.toHaveAttribute('aria-label', before!)
  await isSaved(page)
  await undo(page)
  await expect(slot).toHaveAttribute('aria-label', before!)
})

test('the open page is in the address: a reload opens it again, Back goes to the one before', async ({
  page,
}) => {
  await openPaint(page)
  await expect(page).toHaveTitle('Home · Tern & Thistle')
  await page.keyboard.press('.')
  await expect(page).toHaveURL(/\?page=workshops$/)
  await expect(page).toHaveTitle('Workshops · Tern & Thistle')
  await page.keyboard.press('.')
  await expect(page).toHaveURL(/\?page=shop$/)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Page: Shop' })).toBeVisible()
  await page.getByRole('link', { name: 'Rhythm' }).click()
  await expect(page).toHaveURL(/\/rhythm\?page=shop$/)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Page: Shop' })).toBeVisible()
  await page.goBack()
  await expect(page).toHaveURL(/\/tern-and-thistle\?page=shop$/)
  await page.goBack()
  await expect(page.getByRole('button', { name: 'Page: Workshops' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('button', { name: 'Page: Home' })).toBeVisible()
  // A page that is gone is none: the home page opens.
  await page.goto('/sites/tern-and-thistle?page=nowhere')
  await expect(page.getByRole('button', { name: 'Page: Home' })).toBeVisible()
})

test('a message takes back its own change alone', async ({ page }) => {
  await openPaint(page)
  const sections = stageFrame(page).locator('[data-section]')
  const before = await sections.count()
  await page
    .getByRole('navigation', { name: 'Map of the site' })
    .getByRole('button', { name: /^Kind words/ })
    .click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Delete')
  const message = page.getByText('Section Kind words removed.')
  await expect(message).toBeVisible()
  await isSaved(page)
  // Taken back by the key, it has nothing to take back any more.
  await undo(page)
  await expect(sections).toHaveCount(before)
  await expect(message).toHaveCount(0)
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Delete')
  await isSaved(page)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(sections).toHaveCount(before)
  await isSaved(page)
})
