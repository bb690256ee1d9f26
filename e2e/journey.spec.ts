import { expect, test } from '@playwright/test'
import {
  clickOnStage,
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  setSlot,
  stageFrame,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

test('one slot and one theme change; everything follows, survives a reload, and is undone', async ({
  page,
}) => {
  await openPaint(page)
  const button = '[data-section="opening"] .main-button'
  await expect
    .poll(() => computedOnStage(page, button, 'background-color'))
    .toBe('rgb(214, 90, 42)')

  await setSlot(page, 'spark', 'oklch(60% 0.15 250)')
  await page.keyboard.press('Escape')
  await isSaved(page)
  const blue = await computedOnStage(page, button, 'background-color')
  expect(blue).not.toBe('rgb(214, 90, 42)')
  await expect
    .poll(() => computedOnStage(page, '[data-section="join"]', 'background-color'))
    .toBe(blue)

  // Another page follows too.
  await page.getByRole('button', { name: 'Page: Home' }).click()
  await page.getByRole('menuitemradio', { name: 'Workshops' }).click()
  await expect(stageFrame(page).locator('h1')).toHaveText('Make a book this weekend')
  expect(
    await computedOnStage(page, '[data-section="dates"] .main-button', 'background-color'),
  ).toBe(blue)

  // A section, and the footer, take another theme.
  await page
    .getByRole('navigation', { name: 'Map of the site' })
    .getByRole('button', { name: /Dates and prices/ })
    .click()
  await page.getByRole('radio', { name: 'On Ink' }).click()
  await expect(page.getByTestId('trace').locator('[data-link=counts]')).toContainText(
    'Theme On Ink, role ground',
  )
  await expect
    .poll(() => computedOnStage(page, '[data-section="dates"]', 'background-color'))
    .toBe('rgb(23, 33, 31)')
  await page
    .getByRole('navigation', { name: 'Map of the site' })
    .getByRole('button', { name: /Footer/ })
    .click()
  await page.getByRole('radio', { name: 'On Brand' }).click()
  await expect
    .poll(() => computedOnStage(page, '[data-section="footer"]', 'background-color'))
    .toBe('rgb(29, 89, 85)')
  await isSaved(page)

  await page.reload()
  // The page that was open is open again.
  await expect(page.getByRole('button', { name: 'Page: Workshops' })).toBeVisible()
  await stageFrame(page).locator('h1').waitFor()
  const here = '[data-section="dates"] .main-button'
  const color = () => computedOnStage(page, here, 'background-color')
  for (let i = 0; i < 2; i += 1) await undo(page)
  await expect.poll(color).toBe(blue)
  await undo(page)
  await expect.poll(color).toBe('rgb(214, 90, 42)')
  await page.getByRole('button', { name: 'Redo (Ctrl Shift Z)' }).click()
  await expect.poll(color).toBe(blue)
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect.poll(color).toBe('rgb(214, 90, 42)')
})

test('the trace tells why a button has its colour, and leads to the decision', async ({ page }) => {
  await openPaint(page)
  await clickOnStage(page, '[data-section="opening"] .main-button')
  const trace = page.getByTestId('trace')
  await expect(trace.getByRole('heading', { name: 'Book a workshop' })).toBeVisible()
  await expect(trace.locator('[data-link=counts]')).toContainText(
    'Theme On Paper, role main button, fill',
  )
  await expect(trace.locator('[data-link=source]')).toContainText('Slot 4 in the palette')
  await trace.getByRole('button', { name: 'Open on the theme sheet: Spark' }).click()
  await expect(page).toHaveURL(/\/themes$/)
  await expect(page.locator('[data-cell="on-paper/buttonFill"]')).toHaveAttribute(
    'aria-pressed',
    'true',
  )
})

test('where custom CSS overrules, the trace says so with its line', async ({ page }) => {
  await openPaint(page)
  await clickOnStage(page, '[data-section="words"] .quote-words')
  await page.getByTestId('trace').getByRole('button', { name: 'Rule' }).click()
  const counts = page.getByTestId('trace').locator('[data-link=counts]')
  await expect(counts).toContainText('Custom CSS, line 10 has the last word')
  await expect(counts).toContainText('.quote')
})

test('a role is set in all themes at once, the whole row', async ({ page }) => {
  await page.goto(`${tern}/themes`)
  await page.getByRole('button', { name: 'Fill', exact: true }).first().click()
  await page
    .getByRole('group', { name: 'Set all 5 to' })
    .getByRole('button', { name: 'Slate', exact: true })
    .click()
  for (const theme of ['on-paper', 'on-mist', 'on-brand', 'on-spark', 'on-ink']) {
    await expect(page.locator(`[data-cell="${theme}/buttonFill"]`)).toContainText('Slate')
  }
  await isSaved(page)
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.locator('[data-cell="on-paper/buttonFill"]')).toContainText('Spark')
})

test('a leftover is swept from the whole site after a dry run, and comes back exactly', async ({
  page,
  request,
}) => {
  const custom = async () =>
    (await (await request.get('/api/sites/tern-and-thistle')).json()).frame.customCss
  const before = await custom()
  await page.goto(`${tern}/sweep`)
  await page.locator('[data-entry="1c5a54ff"]').click()
  await expect(page.getByTestId('pair')).toContainText('binds to the slot')
  const button = page.getByRole('button', { name: /^Sweep \d+ uses$/ })
  await expect(button).toBeVisible()
  expect(await custom()).toBe(before)
  await button.click()
  await expect(page.getByText(/uses replaced. A checkpoint was kept first/)).toBeVisible()
  expect(await custom()).toContain('.card .price { color: var(--slot-brand); font-weight: 700; }')
  await expect(page.locator('[data-entry="1c5a54ff"]')).toHaveCount(0)

  await page.goto(`${tern}/history`)
  await expect(
    page
      .getByLabel('Checkpoints')
      .getByText(/^Before: Swept #1c5a54 to Brand/)
      .first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.getByLabel('Edits').locator('li').first()).toContainText('undo')
  expect(await custom()).toBe(before)
})

test('a slot dragged from the tray onto the stage is bound there', async ({ page }) => {
  await openPaint(page)
  const pan = (await page.locator('[data-slot="slate"]').boundingBox())!
  const heading = (await stageFrame(page).locator('[data-section="opening"] h1').boundingBox())!
  await page.mouse.move(pan.x + 30, pan.y + 20)
  await page.mouse.down()
  await page.mouse.move(pan.x + 60, pan.y - 60, { steps: 4 })
  await page.mouse.move(heading.x + 40, heading.y + 20, { steps: 6 })
  await expect(page.getByText(/^Heading · text: Slate/)).toBeVisible()
  await page.mouse.up()
  await expect
    .poll(() => computedOnStage(page, '[data-section="opening"] h1', 'color'))
    .toBe('rgb(92, 104, 102)')
  await isSaved(page)
  await page.getByRole('button', { name: 'Back to inherited' }).click()
  await expect
    .poll(() => computedOnStage(page, '[data-section="opening"] h1', 'color'))
    .toBe('rgb(23, 33, 31)')
})

test('hovering a slot outlines all that it colours', async ({ page }) => {
  await openPaint(page)
  await page.locator('[data-slot="spark"]').hover()
  expect(await page.locator('[data-outline=slot]').count()).toBeGreaterThan(4)
  await page.mouse.move(640, 300)
  await expect(page.locator('[data-outline=slot]')).toHaveCount(0)
})

test('a slot is added and renamed', async ({ page }) => {
  await openPaint(page, '/sites/ferrybank')
  await page.getByRole('button', { name: 'Add a slot' }).click()
  const name = page.getByLabel('Name', { exact: true })
  await name.fill('Sail red')
  await name.press('Enter')
  await page.getByLabel('Colour, in any notation', { exact: true }).fill('hwb(8 20% 25%)')
  await page.getByLabel('Colour, in any notation', { exact: true }).press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-slot]').last()).toContainText('Sail red')
  await isSaved(page)
  await page.reload()
  await expect(page.locator('[data-slot]').last()).toContainText('hwb(8 20% 25%)')
})

test('by keyboard alone: a section, an element in it, another colour', async ({ page }) => {
  await openPaint(page)
  const map = page.getByRole('navigation', { name: 'Map of the site' })
  await map.getByRole('button', { name: /Opening/ }).focus()
  await page.keyboard.press('Enter')
  const inside = page
    .getByTestId('trace')
    .getByRole('button', { name: /Main button Book a workshop/ })
  await inside.focus()
  await page.keyboard.press('Enter')
  const first = page.getByRole('radio', { name: /this element/ })
  await first.focus()
  await page.keyboard.press('Space')
  const brand = page.getByRole('button', { name: 'Brand', exact: true })
  await brand.focus()
  await page.keyboard.press('Enter')
  await expect
    .poll(() => computedOnStage(page, '[data-section="opening"] .main-button', 'background-color'))
    .toBe('rgb(29, 89, 85)')
  await isSaved(page)
  await page.keyboard.press('Control+z')
  await expect
    .poll(() => computedOnStage(page, '[data-section="opening"] .main-button', 'background-color'))
    .toBe('rgb(214, 90, 42)')
})

test('what cannot be read on the page is mended where it stands, and seen there before', async ({
  page,
}) => {
  const title = '[data-section="opening"] h1'
  const color = () => computedOnStage(page, title, 'color')
  await openPaint(page)
  const before = await color()
  await clickOnStage(page, title)
  await page.getByRole('radio', { name: 'this element' }).click()
  await page.getByText('A loose colour').click()
  const field = page.getByLabel('Colour, in any notation', { exact: true })
  await field.fill('#c9b99a')
  await field.press('Enter')
  await isSaved(page)
  const choices = page.getByRole('region', { name: 'Colours that can be read here' })
  await expect(choices).toContainText('for this element')
  const slate = choices.getByRole('button', { name: /^Slate for this element, 5\.1$/ })
  await slate.hover()
  await expect.poll(color).toBe('rgb(92, 104, 102)')
  await page.mouse.move(5, 5)
  await expect.poll(color).toBe('rgb(201, 185, 154)')
  // By keyboard it is seen as well, and taken.
  await slate.focus()
  await expect.poll(color).toBe('rgb(92, 104, 102)')
  await page.keyboard.press('Enter')
  await expect(choices).toHaveCount(0)
  await expect.poll(color).toBe('rgb(92, 104, 102)')
  await isSaved(page)
  await undo(page)
  await undo(page)
  await expect.poll(color).toBe(before)
})
