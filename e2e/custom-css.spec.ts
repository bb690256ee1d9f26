import { expect, test } from '@playwright/test'
import {
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  openSnippetCode,
  openView,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

test('custom CSS: slots are offered, faults are marked, what reaches out is refused, a draft is not lost, and the trace leads to its line', async ({
  page,
}) => {
  await openView(page, '/looks')
  await page.getByLabel('Looks', { exact: true }).getByRole('radio', { name: 'CSS' }).click()
  const code = page.getByRole('textbox', { name: 'Custom CSS' })
  const keep = page.getByRole('button', { name: 'Keep', exact: true })
  await expect(code).toBeVisible()
  await expect(keep).toBeDisabled()
  await code.click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type('\n.main-button { background: --slot-bra')
  // A click right as the list opens is taken for one that was meant for what lay under it.
  await expect(async () => {
    await page.getByRole('option', { name: /slot Brand/ }).click({ timeout: 2_000 })
    await expect(code).toContainText('background: var(--slot-brand)', { timeout: 1_000 })
  }).toPass()

  // What would fetch something is refused where it stands; the rest is kept waiting.
  await page.keyboard.type('; }\n@import "x.css";')
  await expect(page.getByRole('alert').filter({ hasText: 'instead of @import' })).toBeVisible()
  await expect(keep).toBeDisabled()

  // A draft outlives another view.
  await page.getByRole('link', { name: 'Rhythm' }).click()
  await page.getByRole('link', { name: 'Looks' }).click()
  await code.click()
  // Only the lines in view are drawn.
  await page.keyboard.press('Control+End')
  await expect(code).toContainText('@import')
  await page.keyboard.press('Shift+Home')
  await page.keyboard.type('.more { color: red } }')
  await expect(page.getByRole('note').filter({ hasText: 'never opened' })).toBeVisible()
  await page.keyboard.press('Backspace')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('Custom CSS saved.')).toBeVisible()
  await isSaved(page)

  // Keys that choose things elsewhere are letters here.
  await expect(page).toHaveURL(new RegExp(`${tern}/looks`))
  await openPaint(page)
  const fill = () => computedOnStage(page, '.main-button', 'background-color')
  expect(await fill()).toBe('rgb(29, 89, 85)')
  await page.keyboard.press('f')
  await page.getByRole('combobox', { name: /A shape, a part/ }).fill('main button fill')
  await page
    .getByRole('option', { name: /^Main button: fill/ })
    .first()
    .click()
  const overrule = page.locator('[data-link=counts]').first()
  await expect(overrule).toContainText(/Custom CSS, line \d+ has the last word/)
  await overrule.getByRole('button').click()
  await expect(code).toBeFocused()
  await page.goto(tern)
  await undo(page)
  await expect.poll(fill).toBe('rgb(214, 90, 42)')
})

test('the code of a snippet: its colours in sight, scripts left out only once one agrees, nothing typed is lost', async ({
  page,
}) => {
  await page.goto(tern)
  await openPaint(page)
  await openSnippetCode(page)
  const dialog = page.getByRole('dialog', { name: 'The code of the snippet' })
  const code = dialog.getByRole('textbox', { name: 'Code of the snippet' })
  await expect(code).toBeVisible()
  await code.click()
  await page.keyboard.press('Control+End')
  await page.keyboard.insertText('<p onclick="run()" style="color: #d65a2a">More</p>')
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(dialog.getByText('Not all of it may stand in a page')).toBeVisible()
  await expect(code).toContainText('onclick="run()"')
  await dialog.getByRole('button', { name: 'Keep it without' }).click()
  await expect(dialog).toHaveCount(0)
  await isSaved(page)
  await page.getByRole('button', { name: 'Its code …' }).click()
  await expect(code).toContainText('More')
  await expect(code).not.toContainText('onclick')
  await page.keyboard.press('Escape')
  await undo(page)
})
