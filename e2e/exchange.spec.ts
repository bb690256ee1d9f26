import { expect, test, type Page } from '@playwright/test'
import { isSaved, leavesTheSiteAsItWas, openPaint, openView, stageFrame, undo } from './editor'

leavesTheSiteAsItWas()

const sweepButton = (page: Page) => page.getByRole('button', { name: /^Sweep [\d,]+ places?$/ })
const applied = (page: Page) => page.getByText(/places? replaced. A checkpoint was kept first/)
const hits = (page: Page) => page.getByRole('list', { name: 'Hits' })
const inUse = (page: Page) => page.getByRole('complementary', { name: 'In use' })

test('words are replaced on the whole site: seen before, one left out, done at once, undone', async ({
  page,
}) => {
  await openView(page, '/sweep')
  await page.getByRole('link', { name: 'Words', exact: true }).click()
  await page.getByRole('textbox', { name: 'Replace' }).fill('workshop')
  await page.getByRole('textbox', { name: 'by', exact: true }).fill('class')
  await expect(sweepButton(page)).toBeEnabled()
  const before = Number(/[\d,]+/.exec((await sweepButton(page).textContent())!)![0])
  await page.getByRole('checkbox', { name: 'Whole words' }).check()
  await expect(sweepButton(page)).not.toHaveText(`Sweep ${before} places`)
  await expect(sweepButton(page)).toBeEnabled()
  // By kind of thing, as hits of colours are.
  await page.getByRole('button', { name: /^Price table/ }).click()
  await expect(page.getByText('All of these: Price table')).toBeVisible()
  await expect(hits(page)).toContainText('Class')
  await page.getByRole('button', { name: 'Show all' }).click()
  await hits(page).getByRole('checkbox').nth(1).uncheck()
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  // What was left out is found once more.
  await page.getByRole('textbox', { name: 'Replace' }).fill('workshop')
  await page.getByRole('textbox', { name: 'by', exact: true }).fill('class')
  await page.getByRole('checkbox', { name: 'Whole words' }).check()
  await expect(sweepButton(page)).toHaveText('Sweep 1 place')
  await undo(page)
  await expect(sweepButton(page)).not.toHaveText('Sweep 1 place')
})

test('a typeface goes on the whole site, and all pages are looked at for words that no longer fit', async ({
  page,
}) => {
  await openView(page, '/sweep/font')
  await inUse(page)
    .getByRole('button', { name: /^Fraunces/ })
    .click()
  await page.getByLabel('Replace by').selectOption('Literata')
  await expect(sweepButton(page)).toBeEnabled()
  await expect(hits(page)).toContainText('Typeface of headings')
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  await expect(inUse(page).getByRole('button', { name: /^Literata/ })).toBeVisible()
  const survey = page.getByRole('region', { name: 'What it did to the words' })
  await expect(survey).toContainText(/\d+ pages, three widths/, { timeout: 60_000 })
  await survey.getByRole('button', { name: 'Put this away' }).click()
  await undo(page)
  await expect(inUse(page).getByRole('button', { name: /^Fraunces/ })).toBeVisible()
})

test('links lead elsewhere, another picture is shown, an address is another one', async ({
  page,
}) => {
  await openView(page, '/sweep/link')
  await inUse(page)
    .getByRole('button', { name: /^nowhere yet/ })
    .click()
  await page.getByRole('button', { name: 'Replace by: where links lead' }).click()
  await page
    .getByRole('list', { name: 'Pages' })
    .getByRole('button', { name: /^Contact/ })
    .click()
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  await expect(inUse(page).getByRole('button', { name: /^nowhere yet/ })).toHaveCount(0)

  await page.getByRole('link', { name: 'Pictures', exact: true }).click()
  await inUse(page)
    .getByRole('button', { name: /^shopfront/ })
    .click()
  await page.getByRole('button', { name: 'Replace by: a picture' }).click()
  await page
    .getByRole('list', { name: 'Pictures of this site' })
    .getByRole('button')
    .first()
    .click()
  await sweepButton(page).click()
  await expect(applied(page).last()).toBeVisible()
  await expect(inUse(page).getByRole('button', { name: /^shopfront/ })).toHaveCount(0)

  await page.getByRole('link', { name: 'Addresses', exact: true }).click()
  await inUse(page)
    .getByRole('button', { name: /^name@example\.org/ })
    .click()
  await page.getByRole('textbox', { name: 'by', exact: true }).fill('you@gull')
  await expect(page.getByText('× Type another mail address in full.')).toBeVisible()
  await page.getByRole('textbox', { name: 'by', exact: true }).fill('you@gull.example')
  await sweepButton(page).click()
  await expect(inUse(page).getByRole('button', { name: /^you@gull\.example/ })).toBeVisible()
  await isSaved(page)
  await openPaint(page)
  await expect(stageFrame(page).locator('img[src*="shopfront"]')).toHaveCount(0)
})
