import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import { generateThemes } from '@/core/generate'
import { renderDocument, renderPageCss, renderSiteCss, type Whereabouts } from '@/core/render'
import { slotSchema, type Frame, type Palette, type SiteDocs } from '@/core/site'
import { roleIds } from '@/core/theme'
import { demoSites } from '@demo/sites'
import { ternFrame } from '@demo/tern/frame'
import { specimenId, specimenPage } from '@/ui/themes/specimen-page'
import { computedOnStage, isSaved, openPaint, tern, undo } from './editor'
import { hardToRead } from './reads-well'

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
  await isSaved(page)
  await page.getByRole('button', { name: 'Generate …' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(/\d+ cells would change/)
  await expect(dialog).toContainText('Also change 1 cell decided by hand')
  await dialog.getByRole('button', { name: 'Generate', exact: true }).click()
  await expect(cell(page, 'on-paper', 'link')).toContainText('#990000')
  await page.getByLabel('Roles that are shown').selectOption('failing')
  await expect(page.getByText('Everything in every theme can be read.')).toBeVisible()
  await isSaved(page)
  await undo(page)
  await undo(page)
  expect((await frameOf(request)).themes).toEqual(before.themes)
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
  await page.getByRole('button', { name: 'Link', exact: true }).first().click()
  await page.getByRole('radio', { name: 'At rest' }).click()
  await expect(page.locator('[data-outline=cell]').first()).toBeVisible()
  await page.getByRole('radio', { name: 'Disabled' }).click()
  await expect(specimen.locator('.main-button').first()).toBeDisabled()
})

test('a chip on the stage shows another theme in place and gives it', async ({ page }) => {
  await openPaint(page)
  const ground = () => computedOnStage(page, '[data-section="this-month"]', 'background-color')
  const before = await ground()
  await page.getByRole('button', { name: /^Theme of This month/ }).click()
  const choice = page
    .getByRole('radiogroup', { name: 'Theme of This month' })
    .getByRole('radio', { name: 'On Brand' })
  await choice.hover()
  await expect.poll(ground).toBe('rgb(29, 89, 85)')
  await page.keyboard.press('Escape')
  await expect.poll(ground).toBe(before)
  await page.getByRole('button', { name: /^Theme of This month/ }).click()
  await choice.click()
  await expect.poll(ground).toBe('rgb(29, 89, 85)')
  await isSaved(page)
  await undo(page)
  await expect.poll(ground).toBe(before)
})

test('a rhythm is proposed for all pages, shown, given in one step, and undone', async ({
  page,
  request,
}) => {
  const state = async () => (await (await request.get(`/api${tern}`)).json()).pages
  const before = await state()
  await page.goto(`${tern}/rhythm`)
  await page.getByRole('button', { name: 'Propose a rhythm for all pages' }).click()
  await expect(page.getByRole('heading', { name: /A rhythm for \d+ sections/ })).toBeVisible()
  await page.getByRole('button', { name: 'Give it' }).click()
  await expect.poll(async () => JSON.stringify(await state())).not.toBe(JSON.stringify(before))
  await isSaved(page)
  await undo(page)
  expect(await state()).toEqual(before)
  await page
    .getByRole('button', { name: /^Newsletter/ })
    .first()
    .click()
  await page.getByRole('button', { name: /Choose all \d+ called “Newsletter”/ }).click()
  await page.getByRole('radio', { name: 'On Brand' }).click()
  await expect.poll(async () => JSON.stringify(await state())).not.toBe(JSON.stringify(before))
  await isSaved(page)
  await undo(page)
  expect(await state()).toEqual(before)
})

test('a blending header lies on the gradient of the section under it', async ({
  page,
  request,
}) => {
  const { revision } = await (await request.get(`/api${tern}`)).json()
  const stop = (at: number, slot: string) => ({ at, color: { slot } })
  const edit = {
    type: 'setSectionColor',
    doc: 'home',
    section: 'opening',
    facet: 'fill',
    state: 'rest',
    paint: { gradient: 'linear', angle: 180, stops: [stop(0, 'mist'), stop(100, 'paper')] },
  }
  const sent = { base: revision, edits: [{ clientId: crypto.randomUUID(), edit }] }
  expect((await request.post(`/api${tern}/edits`, { data: sent })).ok()).toBe(true)
  await openPaint(page)
  const stage = page.frameLocator('iframe[title="The page, live"]')
  const header = (await stage.locator('[data-section="header"]').boundingBox())!
  const opening = (await stage.locator('[data-section="opening"]').boundingBox())!
  expect(Math.abs(header.y - opening.y)).toBeLessThan(1)
  expect(await computedOnStage(page, '[data-section="header"]', 'background-image')).toBe('none')
  const words = (await stage.locator('[data-section="opening"] h1').boundingBox())!
  expect(words.y).toBeGreaterThan(header.y + header.height)
  await undo(page)
  await expect
    .poll(() => computedOnStage(page, '[data-section="header"]', 'background-color'))
    .toBe('rgb(247, 242, 231)')
})

test('a dark edition follows the visitor, or a switch; both can be read', async ({
  page,
  browser,
}) => {
  await openSheet(page)
  await page.getByLabel('Dark edition').selectOption('visitor')
  await isSaved(page)
  await page.request.post(`/api${tern}/publication`, { data: { base: 0 } })
  const address = page.url().replace(/\/sites\/.*/, '/published/tern-and-thistle/contact.html')
  const visitor = await browser.newPage({ colorScheme: 'dark' })
  const ground = () =>
    visitor
      .locator('[data-section]')
      .nth(1)
      .evaluate((node) => getComputedStyle(node).backgroundColor)
  await visitor.goto(address)
  const dark = await ground()
  await visitor.emulateMedia({ colorScheme: 'light' })
  const light = await ground()
  expect(dark).not.toBe(light)

  await page.getByLabel('Dark edition').selectOption('switch')
  await isSaved(page)
  await page.request.post(`/api${tern}/publication`, { data: { base: 0 } })
  await visitor.reload()
  expect(await ground()).toBe(light)
  await visitor.getByLabel('Dark edition').check()
  expect(await ground()).toBe(dark)
  await visitor.close()
  await undo(page)
  await undo(page)
})

const where: Whereabouts = {
  assets: {},
  assetUrl: () => 'data:,',
  fontUrl: () => 'data:,',
  link: () => '#',
}
const palettes: ReadonlyArray<readonly [string, string[]]> = [
  ['the demo', ternFrame.palette.order.map((id) => ternFrame.palette.slots[id]!.value!)],
  [
    'six near-identical mid greys',
    ['#757575', '#767676', '#777777', '#787878', '#797979', '#7a7a7a'],
  ],
  ['one colour', ['#d65a2a']],
  ['neon', ['#ff00ff', '#00ff00', '#ffff00', '#00ffff', '#101010', '#ffffff']],
  ['pastel', ['#fdf6f2', '#f6ddd0', '#e3d9e4', '#cde9e3', '#d3e0fa']],
]

function withGeneratedThemes(frame: Frame, values: readonly string[]): Frame {
  const slots = values.map((value, i) =>
    slotSchema.parse({ id: `s${i}`, name: `Slot ${i}`, value, was: [] }),
  )
  const palette = {
    ...frame.palette,
    order: slots.map(({ id }) => id),
    slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
  } as Palette
  const themes = generateThemes(palette)
  const byId = Object.fromEntries(themes.map((theme) => [theme.id, theme]))
  return {
    ...frame,
    palette,
    themes: { order: themes.map(({ id }) => id), byId } as Frame['themes'],
  }
}

/** A page as it is published, the decisions on single elements left out: what themes alone give. */
function htmlOf(docs: SiteDocs, page: SiteDocs['pages'][keyof SiteDocs['pages']]): string {
  const css = Object.values(renderSiteCss(docs.frame, [page], where)).join('\n')
  const own = renderPageCss(docs, page.id, where)
  const html = renderDocument(docs, page, where, [])
  const still = '* { transition: none !important }'
  return html
    .replace(/<meta http-equiv[^>]*>/, '')
    .replace('</head>', () => `<style>${css}\n${own}\n${still}</style></head>`)
}

for (const [name, values] of palettes) {
  test(`the specimen in all generated themes can be read, at rest and pointed at: ${name}`, async ({
    page,
  }) => {
    const frame = withGeneratedThemes(
      { ...ternFrame, styles: {}, customCss: '', body: { order: [], sections: {}, elements: {} } },
      values,
    )
    const specimen = specimenPage(frame.themes.order.map((id) => frame.themes.byId[id]!))
    const html = htmlOf({ frame, pages: { [specimenId]: specimen } }, specimen)
    await page.setContent(html)
    expect(await page.locator('.main-button').count()).toBe(frame.themes.order.length)
    expect(await hardToRead(page)).toEqual([])
    await page.setContent(html.replaceAll(/:hover\b/g, ':not(#none)'))
    expect(await hardToRead(page)).toEqual([])
    expect(Object.keys(frame.themes.byId[frame.themes.order[0]!]!.roles)).toHaveLength(
      roleIds.length,
    )
  })
}

test('all demo pages in generated themes can be read, at rest and pointed at', async ({ page }) => {
  for (const site of demoSites) {
    const made = generateThemes(site.frame.palette)
    // Each theme of the design gets the roles generated on the ground that it has.
    const byGround = new Map(made.map((theme) => [JSON.stringify(theme.roles.ground), theme]))
    const byId = Object.fromEntries(
      Object.values(site.frame.themes.byId).map((theme) => [
        theme.id,
        { ...theme, roles: (byGround.get(JSON.stringify(theme.roles.ground)) ?? made[0]!).roles },
      ]),
    )
    const body = withoutColors(site.frame.body)
    const frame = {
      ...site.frame,
      styles: {},
      customCss: '',
      body,
      themes: { ...site.frame.themes, byId },
    } as Frame
    for (const each of site.pages) {
      const own = { ...each, body: withoutColors(each.body) }
      const html = htmlOf({ frame, pages: { [own.id]: own } }, own)
      await page.setContent(html)
      expect({ page: own.id, found: await hardToRead(page) }).toEqual({ page: own.id, found: [] })
      await page.setContent(html.replaceAll(/:hover\b/g, ':not(#none)'))
      expect({ page: own.id, found: await hardToRead(page) }).toEqual({ page: own.id, found: [] })
    }
  }
})

/** A body with the loose and bound colours of single elements, and snippets of others, taken away. */
function withoutColors(body: Frame['body']): Frame['body'] {
  const strip = <T extends { colors?: unknown }>({ colors: _colors, ...rest }: T) => rest
  const elements = Object.entries(body.elements)
    .filter(([, { kind }]) => kind !== 'embed')
    .map(([id, element]) => [id, strip(element)])
  const sections = Object.entries(body.sections).map(([id, section]) => [id, strip(section)])
  return {
    ...body,
    elements: Object.fromEntries(elements),
    sections: Object.fromEntries(sections),
  } as Frame['body']
}
