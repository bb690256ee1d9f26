import { expect, test, type Page } from '@playwright/test'
import { isSaved, leavesTheSiteAsItWas, openPaint, stageFrame, tern, undo } from './editor'

leavesTheSiteAsItWas()

const sweepButton = (page: Page) => page.getByRole('button', { name: /^Sweep [\d,]+ uses?$/ })
const applied = (page: Page) => page.getByText(/uses? replaced. A checkpoint was kept first/)

/** The colours of the logo's file, as the page shows it now. */
async function logoColors(page: Page): Promise<string[]> {
  const address = await stageFrame(page)
    .locator('header img')
    .first()
    .evaluate((img: HTMLImageElement) => img.src)
  const svg = await (await page.request.get(address)).text()
  return [...new Set(svg.match(/#[\da-f]{6}/gi))]
}

test('a colour goes from everything with its kin, the logo too, and undo brings every byte back', async ({
  page,
}) => {
  await openPaint(page)
  const before = await logoColors(page)
  expect(before).toContain('#1c5a54')
  const docs = async () => {
    const site = await (await page.request.get('/api/sites/tern-and-thistle')).json()
    return JSON.stringify([site.frame, site.looks, site.pictures])
  }
  const [state, rest] = [await docs(), before.filter((each) => each !== '#1c5a54')]

  await page.goto(`${tern}/sweep`)
  await page.locator('[data-entry="1c5a54ff"]').first().click()
  await page.getByText('its tints, shades and transparent variants move along').click()
  await page
    .getByTestId('pair')
    .getByRole('button', { name: /^Replace by: Brand/ })
    .click()
  const chooser = page.getByRole('dialog', { name: 'Replace by' })
  await chooser.getByRole('button', { name: 'A loose colour' }).click()
  await chooser.getByLabel('Any notation').fill('#5a1c54')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  const hits = page.getByRole('list', { name: 'Hits' })
  await expect(page.getByRole('region', { name: 'Pairs and dry run' })).toContainText('stays loose')
  await expect(sweepButton(page)).toBeVisible()
  // The list grows as the last dry run comes, and gives way to the pictures that do not follow.
  await expect(async () => {
    await hits.evaluate((list) => list.parentElement!.scrollTo(0, list.scrollHeight))
    await expect(hits.getByText('Vector pictures')).toBeVisible({ timeout: 1000 })
    await expect(hits.getByText('logo.svg').first()).toBeVisible({ timeout: 1000 })
  }).toPass()
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  await expect(page.locator('[data-entry="1c5a54ff"]')).toHaveCount(0)

  await openPaint(page)
  expect(await logoColors(page)).toEqual(expect.arrayContaining([...rest, '#5a1c54']))
  expect(await logoColors(page)).not.toContain('#1c5a54')
  await undo(page)
  await isSaved(page)
  await expect.poll(async () => (await logoColors(page)).sort()).toEqual([...before].sort())
  expect(await docs()).toBe(state)
})

test('what slots left behind is counted on every view, and bound in one move', async ({ page }) => {
  await openPaint(page)
  const mark = page.getByRole('img', { name: /loose uses? left behind/ })
  await expect(mark).toBeVisible()
  await page.goto(`${tern}/sweep`)
  await page.getByLabel('Bound or loose').selectOption('left behind')
  const told = page.getByText(/loose uses are what a slot holds/)
  const count = Number(/^\d+/.exec((await told.textContent())!)![0])
  await expect(mark).toHaveText(String(count))
  await page.getByRole('button', { name: 'Bind all to their slots …' }).click()
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  await expect(mark).toHaveCount(0)
  await expect(page.getByText('No loose colour is what a slot holds or held.')).toBeVisible()
  await undo(page)
  await expect(mark).toHaveText(String(count))
})

test('groups that are one to the eye open into their colours; pairs at odds are told where they stand', async ({
  page,
}) => {
  await page.goto(`${tern}/sweep`)
  const colors = page.getByRole('list', { name: 'Colours in use' })
  const green = colors.locator('> li', { has: page.locator('[data-entry="1c5a54ff"]') })
  await green.getByRole('button', { name: /^\d colours/ }).click()
  await expect(green.locator('[data-entry="1c5a5440"]')).toBeVisible()
  await page.getByLabel('In one group').selectOption('within ΔE 5')
  await expect(green.locator('[data-entry="205c58ff"]')).toBeVisible()
  await page.getByLabel('In one group').selectOption('exact')
  await page.getByLabel('Places').selectOption('Vector pictures')
  await expect(colors.locator('[data-entry="1c5a54ff"]').first()).toBeVisible()
  await expect(colors.locator('[data-entry="2e6fb7ff"]')).toHaveCount(0)

  await colors.locator('[data-entry="1c5a54ff"]').first().click()
  await expect(sweepButton(page)).toBeVisible()
  await page.getByRole('button', { name: 'Exchange both sides' }).click()
  await expect(page.getByTestId('pair')).toContainText('all bound to it, shades too')
  await expect(page.getByTestId('pair')).toContainText('stays loose')
  await page.getByRole('button', { name: 'Pair', exact: true }).click()
  const second = page.getByTestId('pair').nth(1)
  await second.getByRole('button', { name: /Choose what to look for/ }).click()
  const brand = page.getByRole('button', { name: 'Brand', exact: true })
  await brand.click()
  await page.keyboard.press('Escape')
  await second.getByRole('button', { name: /Choose what it becomes/ }).click()
  await brand.click()
  await page.keyboard.press('Escape')
  await expect(second.getByRole('alert')).toContainText('Both sides are the same colour')
  await second.getByRole('button', { name: /stays loose|binds to the slot/ }).click()
  await page.getByRole('button', { name: 'Ink', exact: true }).click()
  await page.keyboard.press('Escape')
  await expect(second.getByRole('alert')).toContainText('An earlier pair looks for the same colour')
  await expect(sweepButton(page)).toHaveCount(0)
})
