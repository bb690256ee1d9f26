import { expect, test, type Locator, type Page } from '@playwright/test'
import sharp from 'sharp'
import {
  clickOnStage,
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  openView,
  publishSite,
  setSlot,
  stageFrame,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

const sweepButton = (page: Page) => page.getByRole('button', { name: /^Sweep [\d,]+ uses?$/ })
const applied = (page: Page) => page.getByText(/uses? replaced. A checkpoint was kept first/)

/** Begins a sweep of the old green, and opens what it is to become. */
async function fromGreen(page: Page): Promise<Locator> {
  await openView(page, '/sweep')
  await page.locator('[data-entry="1c5a54ff"]').first().click()
  await page
    .getByTestId('pair')
    .getByRole('button', { name: /^Replace by/ })
    .click()
  return page.getByRole('dialog', { name: 'Replace by' })
}

/** Begins a sweep of the old green to a loose colour. */
async function greenTo(page: Page, color: string): Promise<void> {
  const chooser = await fromGreen(page)
  await chooser.getByRole('button', { name: 'A loose colour' }).click()
  await chooser.getByLabel('Any notation').fill(color)
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('pair')).toContainText('stays loose')
  await expect(sweepButton(page)).toBeEnabled()
}

test('what the sweep cannot read exactly is named beside the dry run; numbers that a property holds go along', async ({
  page,
  request,
}) => {
  const { revision: base, frame } = await (await request.get(`/api${tern}`)).json()
  const held = ':root{--green: 28, 90, 84}.soft{background:rgba(var(--green), .2)}'
  const unread = '.veiled{color:rgb(28 90 84 / var(--veil))}'
  const edit = { type: 'setCustomCss', css: `${frame.customCss}\n${held}\n${unread}` }
  const edits = [{ clientId: crypto.randomUUID(), edit }]
  const saved = await request.post(`/api${tern}/edits`, { data: { base, edits } })
  expect(saved.ok(), await saved.text()).toBe(true)

  await greenTo(page, '#6b2d5c')
  const named = page.getByRole('region', { name: '1 place cannot be read exactly' })
  await expect(named).toContainText('rgb(28 90 84 / var(--veil))')
  await expect(named).toContainText(/Custom CSS, line \d+/)
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  const css = async () => (await (await request.get(`/api${tern}`)).json()).frame.customCss
  expect(await css()).toContain('--green: 107, 45, 92}')
  expect(await css()).toContain(unread)
  await undo(page)
  expect(await css()).toContain(held)
})

test('an add-on is led from the page to its settings; a colour of it is bound, and follows its slot', async ({
  page,
}) => {
  await openPaint(page)
  const launcher = '.add-on-chat summary'
  expect(await computedOnStage(page, launcher, 'background-color')).toBe('rgb(28, 90, 84)')
  // It stands fixed at the foot of the window, which on the stage is the foot of the page.
  await page.getByTestId('stage-scroll').evaluate((node) => node.scrollTo(0, node.scrollHeight))
  await clickOnStage(page, launcher)
  await expect(
    page.getByText('Help-desk chat is an add-on: it has colours of its own.'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Its settings' }).click()
  await page.getByRole('button', { name: /^Button: #1C5A54/ }).click()
  await page
    .getByRole('dialog', { name: 'Button' })
    .getByRole('button', { name: 'Spark', exact: true })
    .click()
  await page.keyboard.press('Escape')
  await expect(
    page.getByRole('button', { name: /^Button: Spark\s*follows its slot/ }),
  ).toBeVisible()
  await expect(page.getByText('1 of 5 colours bound')).toBeVisible()
  await isSaved(page)
  await openPaint(page)
  expect(await computedOnStage(page, launcher, 'background-color')).toBe('rgb(214, 90, 42)')

  // Another one is put on the site and taken off again, with the keyboard alone.
  await openView(page, '/add-ons')
  await page.getByRole('button', { name: 'Put announcement bar on the site' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Announcement bar')
  await expect(
    page.frameLocator('[data-testid="add-on-preview"] iframe').locator('.add-on-announcement-bar'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Take it off the site' }).focus()
  await page.keyboard.press('Enter')
  await expect(
    page.getByText('Announcement bar removed from the site, with its settings.'),
  ).toBeVisible()
  await isSaved(page)
})

test('a dry run is narrowed, ticked part by part and led to where a use stands; the page is seen before and after', async ({
  page,
}) => {
  await greenTo(page, '#6b2d5c')
  const all = Number(/\d+/.exec((await sweepButton(page).textContent())!)![0])
  await page
    .getByRole('region', { name: 'By kind of thing' })
    .getByRole('button', { name: /Add-on/ })
    .click()
  const part = page.getByLabel(/^All of these: Add-on/)
  const own = Number(/\d+$/.exec((await part.locator('xpath=..').textContent())!)![0])
  await part.uncheck()
  await expect(sweepButton(page)).toHaveText(`Sweep ${all - own} uses`)
  await expect(
    page.getByRole('list', { name: 'Hits' }).getByText('Checkout, words of the thanks'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(sweepButton(page)).toHaveText(`Sweep ${all - own} uses`)

  await page.getByText('On the page').click()
  const frames = page.getByTestId('sweep-stage').locator('iframe')
  await page.getByLabel('Page', { exact: true }).selectOption({ label: 'Journal' })
  const colored = (n: number) =>
    frames
      .nth(n)
      .contentFrame()
      .locator('.quote')
      .first()
      .evaluate((node) => getComputedStyle(node).borderLeftColor)
  await expect.poll(() => colored(0)).toBe('rgb(107, 45, 92)')
  await expect.poll(() => colored(1)).toBe('rgb(28, 90, 84)')
  // The logo is drawn, not decided on the page: it is shown as the sweep would leave its file.
  const logo = (n: number) => frames.nth(n).contentFrame().locator('header img').first()
  await expect(logo(0)).toHaveAttribute('src', /&plan=/)
  await expect(logo(1)).not.toHaveAttribute('src', /&plan=/)
  await page.getByRole('button', { name: 'Flick' }).click()
  await expect(page.getByRole('slider', { name: /Divider/ })).toHaveAttribute('aria-valuenow', '0')

  await page.getByText('Every use').click()
  await page.getByRole('button', { name: /^Go to Journal, quote/ }).click()
  await page
    .getByRole('button', { name: /^Page: Journal|Journal/ })
    .first()
    .waitFor()
  await expect(stageFrame(page).locator('.quote').first()).toBeVisible()
  await expect(
    page.getByRole('complementary', { name: 'Trace' }).or(page.getByText(/quote/i)).first(),
  ).toBeVisible()
})

test('what would be hard to read is told, and the nearest shade that would not is taken', async ({
  page,
}) => {
  await greenTo(page, '#b58ac0')
  const hard = page.getByRole('region', { name: 'Hard to read after it' })
  await expect(hard).toContainText(/colours would have too little contrast/)
  await hard.getByRole('button', { name: 'Find the nearest readable shade' }).click()
  await hard.getByRole('button', { name: /^Take #[0-9a-f]{6} instead$/ }).click()
  await expect(hard).toHaveCount(0)
})

test('a photograph that would not follow is recoloured and put in place; the original is kept, undo brings it back', async ({
  page,
}) => {
  await greenTo(page, '#6b2d5c')
  await page.getByRole('button', { name: 'Recolour shopfront.jpg …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Recolour shopfront.jpg' })
  await expect(dialog.getByText(/% of the picture is recoloured/)).toBeVisible()
  const slider = dialog.getByRole('slider', { name: 'How far from the hue counts' })
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect(slider).toHaveAttribute('aria-valuetext', '25°')
  await dialog.getByRole('button', { name: 'Put it in place everywhere' }).click()
  await expect(page.getByText(/The original is kept as shopfront-original\.jpg/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Recolour shopfront.jpg …' })).toHaveCount(0)
  await isSaved(page)
  const names = async () => {
    const listed = await page.request.get(`/api${tern}/pictures`)
    return ((await listed.json()) as ReadonlyArray<{ fileName: string }>).map(
      (each) => each.fileName,
    )
  }
  expect(await names()).toEqual(expect.arrayContaining(['shopfront-original.jpg']))
  await openPaint(page)
  await undo(page)
  await isSaved(page)
  await expect.poll(names).not.toContain('shopfront-original.jpg')
  expect(await names()).toContain('shopfront.jpg')
})

test('a sweep is taken back from the history after later work; what was changed since is told first', async ({
  page,
}) => {
  await greenTo(page, '#6b2d5c')
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  // What did not follow is told of still.
  const left = page.getByRole('region', { name: 'Pictures that do not follow' })
  await expect(left.getByRole('button', { name: /^Recolour/ }).first()).toBeVisible()
  await openView(page, '/add-ons')
  await page.getByRole('button', { name: /^Newsletter form/ }).click()
  await page.getByRole('button', { name: /^Button: #6b2d5c/i }).click()
  await page
    .getByRole('dialog', { name: 'Button' })
    .getByRole('button', { name: 'Ink', exact: true })
    .click()
  await page.keyboard.press('Escape')
  await isSaved(page)
  await openView(page, '/history')
  await page.getByRole('button', { name: 'Take back' }).first().click()
  const dialog = page.getByRole('dialog', { name: 'Some of it was changed since' })
  await expect(dialog).toContainText('Newsletter form, button')
  await dialog.getByRole('button', { name: /^Take the other \d+ back$/ }).click()
  await expect(page.getByText(/^Took back: Swept .*, but for 1 changed since/)).toBeVisible()
  await openView(page, '/sweep')
  await expect(page.locator('[data-entry="1c5a54ff"]').first()).toBeVisible()
  await expect(page.locator('[data-entry="6b2d5cff"]')).toHaveCount(0)
})

test('pairs are kept as a recipe and run on another site, slots by their names', async ({
  page,
}) => {
  await openView(page, '/sweep')
  await page.locator('[data-entry="1c5a54ff"]').first().click()
  await expect(sweepButton(page)).toBeEnabled()
  await page.getByRole('button', { name: 'Recipes' }).click()
  await page.getByRole('button', { name: 'Keep these pairs …' }).click()
  await page.getByLabel('Name of the recipe').fill('Green to brand')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Kept as Green to brand: every site here can run it.')).toBeVisible()

  await openView(page, '/sweep', '/sites/ferrybank')
  await page.getByRole('button', { name: 'Recipes' }).click()
  const kept = page.getByRole('list', { name: 'Kept recipes' })
  await kept.getByRole('button', { name: /^Green to brand\s*1 pair/ }).click()
  await page.keyboard.press('Escape')
  const told = page.getByText(/this site has no slot named “Brand”/)
  await expect(page.getByTestId('pair').or(told).first()).toBeVisible()
  await page.getByRole('button', { name: 'Recipes' }).click()
  await page.getByRole('button', { name: 'Keep Green to brand no longer' }).click()
  await expect(page.getByText('None yet. Pairs that are kept here')).toBeVisible()
})

test('how much of a page each colour covers is what the pixels of the published page say, but for the words on it', async ({
  page,
  request,
}) => {
  await publishSite(request)
  await openView(page, '/sweep')
  await page.getByLabel('Order').selectOption('most of this page')
  const paper = page.locator('[data-entry]').filter({ hasText: /^Paper\s*bound/ })
  const area = paper.getByTitle('Of the page that is open, as its ground')
  await expect(area).toHaveText(/^\d+ %$/)
  const told = Number.parseInt((await area.textContent())!, 10) / 100
  await page.goto(`${process.env.EASEL_PUBLISHED}/published/tern-and-thistle/`)
  await page.evaluate(() => document.fonts.ready)
  const shot = await page.screenshot({ fullPage: true })
  const { data, info } = await sharp(shot).removeAlpha().raw().toBuffer({ resolveWithObject: true })
  let same = 0
  for (let i = 0; i < data.length; i += 3) {
    if (data[i] === 0xf7 && data[i + 1] === 0xf2 && data[i + 2] === 0xe7) same += 1
  }
  const share = same / (info.width * info.height)
  expect(told).toBeGreaterThan(share - 0.02)
  expect(told).toBeLessThan(share + 0.12)
})

test('a logo that is swept to a slot follows it on the page', async ({ page }) => {
  const chooser = await fromGreen(page)
  await chooser.getByRole('button', { name: 'Brand', exact: true }).click()
  await page.keyboard.press('Escape')
  await sweepButton(page).click()
  await expect(applied(page)).toBeVisible()
  await page.getByRole('link', { name: 'Paint' }).click()
  const logo = stageFrame(page).locator('header img').first()
  await logo.waitFor()
  await setSlot(page, 'brand', '#7a3fa0')
  await page.keyboard.press('Escape')
  await expect(logo).toHaveAttribute('src', /slots=brand:7a3fa0$/)
  const painted = async () => {
    const { data } = await sharp(await logo.screenshot())
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
    let count = 0
    for (let i = 0; i < data.length; i += 3) {
      if (data[i] === 0x7a && data[i + 1] === 0x3f && data[i + 2] === 0xa0) count += 1
    }
    return count
  }
  await expect.poll(painted).toBeGreaterThan(50)
})
