import { expect, test, type APIRequestContext } from '@playwright/test'
import sharp from 'sharp'
import wcagContrast from 'wcag-contrast'
import type { Frame } from '@/core/site'
import {
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  openView,
  publishSite,
  setSlot,
  storedPages,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

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
  const state = () => storedPages(request)
  const before = await state()
  await page.goto(`${tern}/rhythm`)
  await page.getByRole('button', { name: 'Propose a rhythm for all pages' }).click()
  await expect(page.getByRole('heading', { name: /A rhythm for \d+ sections/ })).toBeVisible()
  // An arrow is at each section that changes, and at no other.
  const arrows = page.getByRole('button', { name: /: → / })
  await expect(arrows.first()).toBeVisible()
  const changing = await arrows.count()
  await page.getByRole('button', { name: 'Give it' }).click()
  await expect(page.getByText(`Rhythm given: the theme of ${changing} sections`)).toBeVisible()
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

test('the rhythm is walked, sections are chosen and given a theme by keyboard alone', async ({
  page,
  request,
}) => {
  const bands = async (id: string) => {
    const pages = await storedPages(request)
    return pages.find((each) => each.id === id)!.bands
  }
  const before = await bands('home')
  await page.goto(`${tern}/rhythm`)
  await page.getByRole('button', { name: 'Header of Home: blends' }).focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('button', { name: /^Opening of Home/ })).toBeFocused()
  await page.keyboard.press('Space')
  await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press('Shift+ArrowDown')
  await expect(page.getByRole('heading', { name: '3 sections' })).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('[data-place="1/3"]')).toBeFocused()
  await page.keyboard.press('Tab')
  const themes = page.getByRole('radiogroup', { name: 'Theme of the chosen sections' })
  await expect(themes.getByRole('radio').first()).toBeFocused()
  await page.keyboard.press('ArrowRight')
  await expect(themes.getByRole('radio', { name: 'On Mist' })).toBeFocused()
  await page.keyboard.press('Space')
  await expect.poll(async () => (await bands('home'))[2]!.theme).toBe('on-mist')
  expect((await bands('home')).slice(0, 3).map(({ theme }) => theme)).toEqual([
    'on-mist',
    'on-mist',
    'on-mist',
  ])
  await isSaved(page)
  await undo(page)
  expect(await bands('home')).toEqual(before)
})

test('a theme that is given while another is on its way to the same section is given, too', async ({
  page,
  request,
}) => {
  const theme = async () => {
    const pages = await storedPages(request)
    const { bands } = pages.find(({ id }) => id === 'journal')!
    return bands.find(({ id }) => id === 'journal-letter')?.theme
  }
  const before = await theme()
  await page.goto(`${tern}/rhythm`)
  await page.getByRole('button', { name: /^Newsletter of Journal/ }).click()
  await page.getByRole('radio', { name: 'On Spark' }).click()
  await page.getByRole('radio', { name: 'On Ink' }).click()
  await isSaved(page)
  expect(await theme()).toBe('on-ink')
  await undo(page)
  expect(await theme()).toBe('on-spark')
  await undo(page)
  expect(await theme()).toBe(before)
})

/** Fills the first section of the home page with a gradient from one slot to another. */
async function fillOpening(request: APIRequestContext, from: string, to: string): Promise<void> {
  const { revision } = await (await request.get(`/api${tern}`)).json()
  const stop = (at: number, slot: string) => ({ at, color: { slot } })
  const edit = {
    type: 'setLooks',
    settings: [
      {
        on: { doc: 'home', section: 'opening' },
        key: 'fill',
        state: 'rest',
        value: { gradient: 'linear', angle: 90, stops: [stop(0, from), stop(100, to)] },
      },
    ],
  }
  const sent = { base: revision, edits: [{ clientId: crypto.randomUUID(), edit }] }
  expect((await request.post(`/api${tern}/edits`, { data: sent })).ok()).toBe(true)
}

test('a blending header lies on the gradient of the section under it', async ({
  page,
  request,
}) => {
  await fillOpening(request, 'mist', 'paper')
  await openPaint(page)
  const stage = page.frameLocator('iframe[title="The page, live"]')
  const header = (await stage.locator('[data-section="header"]').boundingBox())!
  const opening = (await stage.locator('[data-section="opening"]').boundingBox())!
  expect(Math.abs(header.y - opening.y)).toBeLessThan(1)
  await expect
    .poll(() => computedOnStage(page, '[data-section="header"]', 'background-image'))
    .toBe('none')
  const words = (await stage.locator('[data-section="opening"] h1').boundingBox())!
  expect(words.y).toBeGreaterThan(header.y + header.height)
  await undo(page)
  await expect
    .poll(() => computedOnStage(page, '[data-section="header"]', 'background-color'))
    .toBe('rgb(247, 242, 231)')
})

test('its words can be read on a gradient that is not made for them, pixel by pixel', async ({
  page,
  request,
}) => {
  await fillOpening(request, 'ink', 'spark')
  await publishSite(request)
  await page.goto('/published/tern-and-thistle/')
  const links = page.locator('[data-section="header"] .navigation-link')
  const words = await links.first().evaluate((node) => getComputedStyle(node).color)
  await page.addStyleTag({ content: '* { color: transparent !important }' })
  for (const link of await links.all()) {
    const clip = (await link.boundingBox())!
    const pixels = await sharp(await page.screenshot({ clip }))
      .removeAlpha()
      .raw()
      .toBuffer()
    const text = words.match(/\d+/g)!.map(Number) as [number, number, number]
    const ratios = Array.from({ length: pixels.length / 3 }, (_, i) =>
      wcagContrast.rgb(text, [pixels[3 * i]!, pixels[3 * i + 1]!, pixels[3 * i + 2]!]),
    )
    // One hundredth for bytes that are rounded; the least contrast by WCAG 2.2, 1.4.3.
    expect(Math.min(...ratios)).toBeGreaterThan(4.49)
  }
  await openPaint(page)
  await undo(page)
})

test('a dark edition follows the visitor, or a switch; both can be read', async ({
  page,
  browser,
}) => {
  await page.goto(`${tern}/themes`)
  await page.getByLabel('Dark edition').selectOption('visitor')
  await isSaved(page)
  await publishSite(page.request)
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
  await publishSite(page.request)
  await visitor.reload()
  expect(await ground()).toBe(light)
  // The choice lasts from page to page, though nothing on a page runs.
  await visitor.getByRole('link', { name: 'Dark edition' }).click()
  await expect(visitor).toHaveURL(/\/dark\/contact\.html$/)
  expect(await ground()).toBe(dark)
  await visitor.locator('[data-section="header"] .navigation-link').first().click()
  await expect(visitor).toHaveURL(/\/dark\/workshops\.html$/)
  await visitor.getByRole('link', { name: 'Light edition' }).click()
  await expect(visitor).toHaveURL(/tern-and-thistle\/workshops\.html$/)
  await visitor.close()
  await undo(page)
  await undo(page)
})

test('after another palette the dark edition is generated anew, and can be read', async ({
  page,
  request,
}) => {
  await openView(page, '/themes')
  await page.getByLabel('Dark edition').selectOption('visitor')
  await page.locator('[data-cell="on-paper/buttonFill"]').click()
  await page.keyboard.type('#ffe08a')
  await page.keyboard.press('Enter')
  await isSaved(page)
  await openPaint(page)
  await setSlot(page, 'ink', '#f3e9d2')
  await isSaved(page)

  await openView(page, '/themes')
  await page.getByRole('button', { name: 'Light', exact: true }).click()
  await page.getByRole('button', { name: 'Generate …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Generate the dark edition from the palette' })
  await expect(dialog).toContainText(/\d+ pairs cannot be read now; then all can\./)
  await expect(dialog).toContainText('Also change 1 cell decided by hand')
  await dialog.getByRole('button', { name: 'Generate', exact: true }).click()
  await page.getByLabel('Roles that are shown').selectOption('failing')
  await expect(page.getByText('All theme pairs have enough contrast.')).toBeVisible()
  await isSaved(page)
  const { frame } = (await (await request.get(`/api${tern}`)).json()) as { frame: Frame }
  expect(Object.values(frame.themes.byId).map(({ dark }) => dark?.buttonFill)).toContainEqual({
    value: '#ffe08a',
  })
  // With the edition gone, the light one is what is seen.
  for (let i = 0; i < 4; i += 1) await undo(page)
  await expect(page.getByLabel('Dark edition')).toHaveValue('light')
  await page.getByLabel('Roles that are shown').selectOption('used')
  await expect(page.locator('[data-cell="on-paper/ground"]')).toContainText('Paper')
})
