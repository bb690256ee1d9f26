import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import type { Frame, ThemeId } from '@/core/site'
import { isSaved, leavesTheSiteAsItWas, tern, undo } from './editor'

leavesTheSiteAsItWas()

const sheet = `${tern}/themes`
const cell = (page: Page, theme: string, role: string) =>
  page.locator(`[data-cell="${theme}/${role}"]`)
const frameOf = async (request: APIRequestContext) =>
  ((await (await request.get(`/api${tern}`)).json()) as { frame: Frame }).frame

async function openSheet(page: Page): Promise<void> {
  await page.goto(sheet)
  await page.locator('[data-cell]').first().waitFor()
}

test('cells are walked, widened and typed into as in a spreadsheet', async ({ page }) => {
  await openSheet(page)
  await cell(page, 'on-paper', 'link').click()
  await page.keyboard.press('ArrowDown')
  await expect(cell(page, 'on-paper', 'linkHover')).toBeFocused()
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('Shift+ArrowUp')
  await expect(page.locator('[data-cell][aria-pressed=true]')).toHaveCount(4)
  await page.keyboard.type('nonsense')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/No slot goes by that name/)).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.type('brand -14')
  await page.keyboard.press('Enter')
  for (const theme of ['on-paper', 'on-mist']) {
    for (const role of ['link', 'linkHover']) {
      await expect(cell(page, theme, role)).toContainText('Brand −14')
    }
  }
  await isSaved(page)
  await undo(page)
  await expect(cell(page, 'on-paper', 'link')).toContainText(/Brand\s*✓/)
})

test('cells are copied and pasted, and what is no decision is refused as a whole', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openSheet(page)
  await cell(page, 'on-paper', 'heading').click()
  await cell(page, 'on-paper', 'text').click({ modifiers: ['Shift'] })
  await page.keyboard.press('Control+c')
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('Ink\nInk +12')
  await cell(page, 'on-mist', 'heading').click()
  await page.keyboard.press('Control+v')
  await expect(cell(page, 'on-mist', 'text')).toContainText('Ink +12')
  await page.evaluate(() => navigator.clipboard.writeText('Ink\tno such thing'))
  await page.keyboard.press('Control+v')
  await expect(page.getByText(/Nothing was pasted: “no such thing”/)).toBeVisible()
  await isSaved(page)
  await undo(page)
  await expect(cell(page, 'on-mist', 'text')).toContainText('Ink +10')
})

test('what fails is found, fixed by one click, fixed all at once; themes are brought in line', async ({
  page,
}) => {
  await openSheet(page)
  const panel = page.getByLabel('Chosen cells')
  await page.getByLabel('Find a role or a slot').fill('fails')
  await expect(page.locator('tbody [data-cell]')).toHaveCount(10)
  await page.getByLabel('Find a role or a slot').fill('slate')
  await expect(cell(page, 'on-paper', 'mutedText')).toBeVisible()
  await expect(cell(page, 'on-paper', 'link')).toHaveCount(0)
  await page.getByLabel('Find a role or a slot').fill('')
  await panel
    .getByLabel('To fix in On Spark')
    .getByRole('button', { name: /^Muted text in On Spark to/ })
    .first()
    .click()
  await expect(panel.getByLabel('To fix in On Spark')).toHaveCount(0)
  await panel.getByLabel('To fix in On Mist').getByRole('button', { name: 'Fix all 1' }).click()
  await expect(panel.getByLabel('To fix in On Mist')).toHaveCount(0)
  await panel.getByRole('button', { name: 'Bring it in line' }).click()
  await expect(cell(page, 'on-mist', 'buttonHoverFill')).toContainText('Spark')
  await isSaved(page)
  for (let i = 0; i < 3; i += 1) await undo(page)
})

test('generating shows what would change, keeps what is decided by hand, undoes in one step', async ({
  page,
  request,
}) => {
  await openSheet(page)
  const before = await frameOf(request)
  await cell(page, 'on-paper', 'link').click()
  await page.keyboard.type('#990000')
  await page.keyboard.press('Enter')
  // Its label, which was made for another fill, is made for this one.
  await cell(page, 'on-ink', 'buttonFill').click()
  await page.keyboard.type('#ffe08a')
  await page.keyboard.press('Enter')
  await isSaved(page)
  await page.getByRole('button', { name: 'Generate …' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(/\d+ cells would change/)
  await expect(dialog).toContainText('Also change 2 cells decided by hand')
  await expect(dialog).toContainText('cannot be read now; then all can.')
  await dialog.getByRole('button', { name: 'Generate', exact: true }).click()
  await expect(cell(page, 'on-paper', 'link')).toContainText('#990000')
  await page.getByLabel('Roles that are shown').selectOption('failing')
  await expect(page.getByText('All theme pairs have enough contrast.')).toBeVisible()
  await isSaved(page)
  expect((await frameOf(request)).themes.byId['on-ink' as ThemeId]!.roles).toMatchObject({
    buttonFill: { value: '#ffe08a' },
    buttonLabel: { slot: 'ink' },
  })
  for (let i = 0; i < 3; i += 1) await undo(page)
  expect((await frameOf(request)).themes).toEqual(before.themes)
})

test('cells go back to generated around what is decided by hand, in both editions', async ({
  page,
}) => {
  await openSheet(page)
  const type = async (id: string, text: string) => {
    await cell(page, 'on-paper', id).click()
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
    await expect(cell(page, 'on-paper', id)).toContainText(text)
  }
  const back = async (id: string) => {
    await cell(page, 'on-paper', id).click()
    await page.getByRole('button', { name: 'Back to generated' }).click()
    await expect(cell(page, 'on-paper', id)).not.toContainText('✎')
  }
  await type('buttonFill', '#17211F')
  await type('buttonLabel', '#c8d0cf')
  await back('buttonLabel')
  await expect(cell(page, 'on-paper', 'buttonLabel')).toContainText('Mist')
  await page.getByLabel('Dark edition').selectOption('visitor')
  await type('ground', '#30343c')
  await type('buttonFill', '#ffe08a')
  await type('buttonLabel', '#5b2a10')
  await back('buttonLabel')
  // A second time there is nothing to do, which is told and leaves no step.
  await page.getByRole('button', { name: 'Back to generated' }).click()
  await expect(page.getByText('Nothing changed: this is as it was generated.')).toBeVisible()
  await expect(cell(page, 'on-paper', 'buttonLabel')).toContainText('Ink')
  await back('ground')
  await expect(cell(page, 'on-paper', 'ground')).toContainText('Ink')
  await expect(cell(page, 'on-paper', 'buttonFill')).toContainText('#ffe08a')
  await isSaved(page)
  for (let i = 0; i < 9; i += 1) await undo(page)
})

test('themes are added, duplicated, renamed, moved, removed with their sections', async ({
  page,
  request,
}) => {
  await openSheet(page)
  const before = await frameOf(request)
  await page.getByRole('button', { name: 'Add a theme' }).click()
  await page
    .getByRole('group', { name: 'Ground of the new theme' })
    .getByRole('button', { name: 'Slate', exact: true })
    .click()
  await expect(cell(page, 'on-slate', 'ground')).toBeVisible()
  await page.getByRole('button', { name: 'The theme On Slate' }).click()
  await page.getByRole('menuitem', { name: 'Rename …' }).click()
  const name = page.getByRole('dialog').getByLabel('Name')
  await name.fill('on paper')
  await name.press('Enter')
  await expect(page.getByText(/another theme has that name already/)).toBeVisible()
  await name.fill('Quiet hour')
  await name.press('Enter')
  await expect(page.getByRole('button', { name: 'Quiet hour', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'The theme Quiet hour' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await expect(page.getByRole('button', { name: 'Quiet hour copy', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'The theme On Mist' }).click()
  await page.getByRole('menuitem', { name: 'Remove …' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(/\d+ sections on \d+ pages have this theme/)
  await dialog.getByLabel('The theme that takes over').selectOption({ label: 'On Ink' })
  await dialog.getByRole('button', { name: 'Remove On Mist' }).click()
  await expect(cell(page, 'on-mist', 'ground')).toHaveCount(0)
  await isSaved(page)
  for (let i = 0; i < 4; i += 1) await undo(page)
  expect((await frameOf(request)).themes).toEqual(before.themes)
})

test('themes come from a file of another site; roles that are not known here are told', async ({
  page,
  request,
}) => {
  await openSheet(page)
  const before = await frameOf(request)
  const file = {
    palette: { $type: 'color', Ink: { $value: '#111111' } },
    themes: {
      $type: 'color',
      night: {
        $description: 'On Paper',
        ground: { $value: '{palette.Ink}' },
        sparkle: { $value: '#f0f' },
      },
    },
  }
  await page.getByRole('button', { name: 'Add a theme' }).click()
  const give = (text: string) =>
    page.locator('input[type=file]').setInputFiles({
      name: 'themes.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    })
  await give('{ broken')
  await expect(page.getByText(/begins like JSON and is none/)).toBeVisible()
  await give('{"palette": {}}')
  await expect(page.getByText(/This file holds no themes/)).toBeVisible()
  await give(JSON.stringify(file))
  await expect(
    page.getByText(/themes.night.sparkle is a role that is not known here/),
  ).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(cell(page, 'on-paper-2', 'ground')).toContainText('Ink')
  await isSaved(page)
  await undo(page)
  expect((await frameOf(request)).themes).toEqual(before.themes)
})

test('a click on the specimen leads to the cell that decides; a cell outlines what it colours', async ({
  page,
}) => {
  await openSheet(page)
  await page.getByRole('button', { name: 'Specimen' }).click()
  const specimen = page.frameLocator('iframe[title="The specimen"]')
  const quiet = specimen.locator('.quiet-button').first()
  await quiet.waitFor()
  const box = (await quiet.boundingBox())!
  await page.getByRole('radio', { name: 'Pointer over' }).click()
  await page.mouse.click(box.x + 4, box.y + 8)
  await expect(cell(page, 'on-paper', 'quietHoverFill')).toHaveAttribute('aria-pressed', 'true')
  // Folded away and searched for something else: the row comes back all the same.
  await page.getByRole('button', { name: 'Words' }).click()
  await page.getByLabel('Find a role or a slot').fill('border')
  await page.getByRole('radio', { name: 'At rest' }).click()
  const heading = (await specimen.locator('h2').first().boundingBox())!
  await page.mouse.click(heading.x + 4, heading.y + 8)
  await expect(cell(page, 'on-paper', 'heading')).toBeFocused()
  await page.getByRole('button', { name: 'Link', exact: true }).first().click()
  await expect(page.locator('[data-outline=cell]').first()).toBeVisible()
  await page.getByRole('radio', { name: 'Disabled' }).click()
  await expect(specimen.locator('.main-button').first()).toBeDisabled()
})

test('the specimen is walked by keyboard alone, and leads to the cell', async ({ page }) => {
  await openSheet(page)
  await page.getByRole('button', { name: 'Specimen' }).press('Enter')
  await page.frameLocator('iframe[title="The specimen"]').locator('.quiet-button').first().waitFor()
  await page.getByRole('radio', { name: 'At rest' }).focus()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('group', { name: /^The specimen/ })).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await expect(cell(page, 'on-paper', 'ground')).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowRight')
  await expect(cell(page, 'on-mist', 'heading')).toHaveAttribute('aria-pressed', 'true')
  await expect(page.locator('[data-outline=cell]').first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(cell(page, 'on-mist', 'heading')).toBeFocused()
})

test('of many themes only those in sight are drawn; arrow keys reach the last', async ({
  page,
  request,
}) => {
  const { revision, frame } = (await (await request.get(`/api${tern}`)).json()) as {
    revision: number
    frame: Frame
  }
  const model = frame.themes.byId[frame.themes.order[0]!]!
  const add = Array.from({ length: 19 }, (_, i) => ({
    ...model,
    id: `more-${i}`,
    name: `More ${i}`,
  }))
  const edit = { type: 'setCells', told: 'Many themes', cells: [], hand: false, add }
  await request.post(`/api${tern}/edits`, {
    data: { base: revision, edits: [{ clientId: crypto.randomUUID(), edit }] },
  })
  await openSheet(page)
  await expect(cell(page, 'more-18', 'ground')).toHaveCount(0)
  await cell(page, 'on-paper', 'text').click()
  for (let i = 0; i < 23; i += 1) await page.keyboard.press('ArrowRight')
  await expect(cell(page, 'more-18', 'text')).toBeFocused()
  await expect(cell(page, 'more-18', 'text')).toBeInViewport({ ratio: 1 })
  await expect(cell(page, 'on-paper', 'text')).toHaveCount(0)
  // Choosing the row chooses what is not drawn as well.
  await page.getByRole('button', { name: 'Heading', exact: true }).click()
  await page
    .getByRole('group', { name: 'Set all 24 to' })
    .getByRole('button', { name: 'Brand', exact: true })
    .click()
  await expect(cell(page, 'more-18', 'heading')).toContainText('Brand')
  await expect(page.getByText(/Heading: cannot be read in \d themes/)).toBeVisible()
  await page.getByRole('button', { name: 'Take the nearest that can, in each' }).click()
  await expect(page.getByText(/Heading: cannot be read/)).toHaveCount(0)
  await isSaved(page)
  const { themes } = await frameOf(request)
  expect(themes.byId['more-9' as never]!.roles.heading).toEqual({ slot: 'brand' })
  for (let i = 0; i < 3; i += 1) await undo(page)
  await expect(cell(page, 'on-paper', 'heading')).toContainText('Ink')
})

test('a theme that is added later says what it lacks of the others, and takes it over in one step', async ({
  page,
  request,
}) => {
  const { revision: base, frame } = await (await request.get(`/api${tern}`)).json()
  const decision = { value: '#5b2a86' }
  const edit = { type: 'setRole', themes: frame.themes.order, role: 'buttonFill', decision }
  const edits = [{ clientId: crypto.randomUUID(), edit }]
  const saved = await request.post(`/api${tern}/edits`, { data: { base, edits } })
  expect(saved.ok(), await saved.text()).toBe(true)
  await openSheet(page)
  await page.getByRole('button', { name: 'Add a theme' }).click()
  await page
    .getByRole('group', { name: 'Ground of the new theme' })
    .getByRole('button', { name: 'Slate', exact: true })
    .click()
  await page.keyboard.press('Escape')
  const lacking = page.getByRole('region', { name: 'Decisions that new themes lack' })
  await expect(lacking).toContainText(/On Slate: main button, fill \(set in 5 themes\)\./i)
  await lacking.getByRole('button', { name: 'Use them there, too' }).click()
  await expect(lacking).toHaveCount(0)
  await isSaved(page)
  const { themes } = await frameOf(request)
  const slate = Object.values(themes.byId).find(({ name }) => name === 'On Slate')
  expect(slate?.roles.buttonFill).toEqual(decision)
  await undo(page)
  await expect(lacking).toBeVisible()
})
