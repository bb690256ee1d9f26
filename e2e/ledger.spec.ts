import { expect, test, type Page } from '@playwright/test'
import {
  clickOnStage,
  computedOnStage,
  leavesTheSiteAsItWas,
  openPaint,
  openView,
  stageFrame,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

const line = (page: Page, key: string) => page.locator(`[data-property=${key}]`)

/** Unfolds a line of the ledger. */
async function unfold(page: Page, key: string): Promise<void> {
  if ((await line(page, key).getAttribute('aria-expanded')) !== 'true') {
    await line(page, key).click()
  }
  await expect(line(page, key)).toHaveAttribute('aria-expanded', 'true')
}

const reach = (page: Page, name: RegExp | string) =>
  page.getByRole('radiogroup', { name: 'Change it for' }).getByRole('radio', { name })

test('a shape is traced to its setting and set for one, for all of its kind, and for the site', async ({
  page,
}) => {
  await openPaint(page)
  await clickOnStage(page, '.main-button')
  await unfold(page, 'corner')
  await expect(page.locator('[data-link=counts]')).toContainText('Site-wide')
  const [main, quiet] = ['.main-button', '.quiet-button']
  const corner = (selector: string) => computedOnStage(page, selector, 'border-top-left-radius')
  expect(await corner(main)).toBe('4px')

  // For the whole site: quiet buttons follow as well.
  await page.getByRole('radio', { name: 'Pill' }).click()
  await expect.poll(() => corner(main)).toBe('999px')
  expect(await corner(quiet)).toBe('999px')

  // Every main button stands nearer than the site.
  await reach(page, 'every main button').click()
  await page.getByRole('radio', { name: 'Square' }).click()
  await expect.poll(() => corner(main)).toBe('0px')
  expect(await corner(quiet)).toBe('999px')
  await expect(page.locator('[data-link=counts]')).toContainText('Every main button')

  // This one alone, typed, with its unit; a number that is none is told where it stands.
  await reach(page, 'this element').click()
  const field = page.getByRole('textbox', { name: 'Corner' })
  await field.fill('many')
  await field.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'A number from 0 to 999' })).toBeVisible()
  await field.fill('12 px')
  await field.press('Enter')
  await expect.poll(() => corner(main)).toBe('12px')
  await expect(line(page, 'corner').getByRole('img')).toHaveAccessibleName('decided here')

  // Lifted: what this one decided is what every main button is.
  await reach(page, 'every main button').click()
  await page.getByRole('button', { name: /^Lift 12 px/ }).click()
  await expect(page.locator('[data-link=counts]')).toContainText('Every main button')
  expect(await corner(main)).toBe('12px')
  await page.getByRole('button', { name: 'Back to inherited' }).click()
  await expect.poll(() => corner(main)).toBe('999px')
})

test('a state is held on the page while it is looked at, and decided by itself', async ({
  page,
}) => {
  await openPaint(page)
  await clickOnStage(page, '.main-button')
  await page.mouse.move(5, 400)
  const shadow = () => computedOnStage(page, '.main-button', 'box-shadow')
  await page.getByRole('button', { name: /^Pointer over/ }).click()
  await page.getByRole('button', { name: /more that nobody decided/ }).click()
  await unfold(page, 'shadow')
  await reach(page, 'every main button').click()
  await page.getByRole('button', { name: 'A shadow' }).click()
  await page.getByRole('menuitem', { name: 'Glow' }).click()
  await expect.poll(shadow).not.toBe('none')
  await page.getByRole('button', { name: 'At rest' }).click()
  await expect.poll(shadow).toBe('none')
  await page.getByRole('button', { name: /^Pressed/ }).click()
  // What is pressed is pointed at.
  await expect.poll(shadow).not.toBe('none')
  await undo(page)
  await expect.poll(shadow).toBe('none')
})

test('several that are chosen are changed together; a style is made from one and worn by all', async ({
  page,
}) => {
  await openPaint(page)
  const buttons = stageFrame(page).locator(
    '[data-section=opening] :is(.main-button, .quiet-button)',
  )
  await clickOnStage(page, '[data-section=opening] .quiet-button')
  await page.keyboard.down('Shift')
  await clickOnStage(page, '[data-section=opening] .main-button')
  await page.keyboard.up('Shift')
  await expect(page.getByTestId('trace').getByRole('heading', { level: 2 })).toContainText(
    'and 1 more',
  )
  await unfold(page, 'corner')
  await expect(reach(page, /all that are chosen/)).toBeChecked()
  await page.getByRole('radio', { name: 'Square' }).click()
  for (const button of await buttons.all()) {
    await expect
      .poll(() => button.evaluate((node) => getComputedStyle(node).borderTopLeftRadius))
      .toBe('0px')
  }

  await clickOnStage(page, '[data-section=opening] .main-button')
  await page.getByRole('button', { name: 'no style of its own' }).click()
  await page.getByRole('menuitem', { name: /A new style/ }).click()
  const name = page.getByRole('dialog').getByRole('textbox', { name: 'Name' })
  await name.fill('booking button')
  await name.press('Enter')
  await expect(page.getByRole('dialog')).toContainText('another element style has that name')
  await name.fill('Round one')
  await name.press('Enter')
  await expect(page.getByRole('button', { name: 'style Round one' })).toBeVisible()
  await expect(line(page, 'corner').getByRole('img')).toHaveAccessibleName('decided by its style')

  // It goes again, and what wore it keeps its looks.
  await openView(page, '/looks')
  await page.getByRole('radio', { name: 'Styles' }).click()
  await page.getByRole('button', { name: /^Round one/ }).click()
  await page.getByRole('button', { name: /Remove or exchange/ }).click()
  await page.getByRole('button', { name: 'Remove the style' }).click()
  await expect(page.getByRole('button', { name: /^Round one/ })).toHaveCount(0)
  await openPaint(page)
  await expect
    .poll(() =>
      computedOnStage(page, '[data-section=opening] .main-button', 'border-top-left-radius'),
    )
    .toBe('0px')
})

test('how an element looks is copied and given to another, in one step', async ({ page }) => {
  await openPaint(page)
  const more = async (item: string) => {
    await page.getByRole('button', { name: 'More to do' }).click()
    await page.getByRole('menuitem', { name: item }).click()
  }
  const quiet = (property: string) =>
    computedOnStage(page, '[data-section=opening] .quiet-button', property)
  await clickOnStage(page, '[data-section=opening] .main-button')
  await unfold(page, 'padding')
  await reach(page, 'this element').click()
  const upright = page.getByRole('textbox', { name: 'Upright' })
  await upright.fill('31')
  await upright.press('Enter')
  await expect
    .poll(() => computedOnStage(page, '[data-section=opening] .main-button', 'padding-top'))
    .toBe('31px')
  await more('Copy how it looks')
  await clickOnStage(page, '[data-section=opening] .quiet-button')
  await more('Only their colours')
  expect(await quiet('padding-top')).not.toBe('31px')
  await more('Give it the copied looks')
  await expect.poll(() => quiet('padding-top')).toBe('31px')
  await undo(page)
  await expect.poll(() => quiet('padding-top')).not.toBe('31px')
})

test('a band takes a gradient that follows its slot, and is plain on phones', async ({ page }) => {
  await openPaint(page)
  await page
    .getByRole('button', { name: /^The bench/ })
    .first()
    .click()
  const ground = () => computedOnStage(page, '[data-section=bench]', 'background-image')
  await unfold(page, 'fill')
  // A theme holds plain colours: what is chosen here goes to this section alone, and is said to.
  await expect(reach(page, 'this section')).not.toBeChecked()
  await page.getByRole('radio', { name: 'Gradient' }).click()
  await expect.poll(ground).toContain('linear-gradient(in oklab')
  await expect(reach(page, 'this section')).toBeChecked()
  await page.getByRole('button', { name: /more that nobody decided/ }).click()
  await unfold(page, 'fillPhone')
  await page.getByRole('radio', { name: 'Colour', exact: true }).click()
  await expect.poll(ground).toContain('linear-gradient')
  await page.getByRole('button', { name: 'Phone width' }).click()
  await expect.poll(ground).toBe('none')
  await page.getByRole('button', { name: 'Desktop width' }).click()
  await expect.poll(ground).toContain('linear-gradient')
})

test('the whole site takes other shapes and another pair of typefaces, seen while they are set', async ({
  page,
  request,
}) => {
  await openView(page, '/looks')
  const specimen = page.frameLocator('iframe[title="The open page"]')
  const family = () =>
    specimen
      .locator('.heading')
      .first()
      .evaluate((node) => getComputedStyle(node).fontFamily)
  await page.getByRole('radio', { name: 'Type' }).click()
  await page.getByRole('radio', { name: /^EB Garamond/ }).click()
  await expect.poll(family).toContain('EB Garamond')
  await page.getByRole('radio', { name: 'Shapes' }).click()
  const density = page.getByRole('slider', { name: 'Density' })
  await density.focus()
  await page.keyboard.press('ArrowLeft')
  await expect
    .poll(async () => (await (await request.get(`/api${tern}`)).json()).frame.settings.density)
    .not.toBe(1)
})
