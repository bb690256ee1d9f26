import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { colorOf, difference } from '@/core/color'
import { computedOnStage, isSaved, leavesTheSiteAsItWas, openPaint, undo } from './editor'

leavesTheSiteAsItWas()

const ground = (page: Page) => computedOnStage(page, '[data-section="opening"]', 'background-color')
const paper = 'rgb(247, 242, 231)'

/** Applies what is tried, looks that the page has it, and takes it back in one step. */
async function applyAndUndo(page: Page): Promise<void> {
  const tried = await ground(page)
  expect(tried).not.toBe(paper)
  await page.getByRole('button', { name: /^Apply to \d+ slots?$/ }).click()
  await expect.poll(() => ground(page)).toBe(tried)
  await isSaved(page)
  await undo(page)
  await expect.poll(() => ground(page)).toBe(paper)
}

test('a pasted list is tried on the page, applied, and undone in one step', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'List or file' }).click()
  const list = page.getByLabel(/Hex codes, with or without names/)
  await list.fill('nothing in here')
  await expect(page.getByTestId('trial').getByRole('alert')).toContainText(
    'No colour was found in this text',
  )
  await list.fill(
    'Chalk #fbf8f1\nFog: #dfe6e9\nHarbour blue 27496d\nRust rgb(192, 86, 47)\n#6b7280 slate\nnight #14213d',
  )
  await expect(page.getByText('6 colours found')).toBeAttached()
  await expect.poll(() => ground(page)).toBe('rgb(251, 248, 241)')
  // Another colour for a slot: the two change places.
  await page.getByRole('combobox', { name: 'Colour for Paper' }).click()
  await page.getByRole('option', { name: 'Fog #dfe6e9' }).click()
  await expect(page.getByLabel('Colour for Mist')).toContainText('Chalk')
  await expect.poll(() => ground(page)).toBe('rgb(223, 230, 233)')
  await applyAndUndo(page)
})

test('from one colour, as a study that is kept and found again', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'One colour' }).click()
  const base = page.getByLabel('The colour to start from', { exact: true })
  await base.fill('#12345')
  await base.press('Enter')
  await expect(page.getByText(/3, 4, 6 or 8 digits/)).toBeVisible()
  await base.fill('rebeccapurple')
  await base.press('Enter')
  await page.getByRole('radio', { name: 'Triadic' }).click()
  const name = page.getByLabel('Or keep it as a study, by name')
  await name.fill('Plum jam')
  await name.press('Enter')
  await isSaved(page)
  await page.reload()
  await page.getByRole('button', { name: /Plum jam/ }).click()
  await applyAndUndo(page)
  await page.getByRole('button', { name: /Plum jam/ }).click()
  await page.getByRole('button', { name: 'Drop this study' }).click()
  await expect(page.getByText('none kept yet')).toBeVisible()
  await isSaved(page)
})

test('eight other palettes at once, more like one, back, one slot stays', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Eight others' }).click()
  const eight = page.getByRole('radiogroup', { name: 'Other palettes' })
  await expect(eight.getByRole('radio')).toHaveCount(8)
  const first = await ground(page)
  expect(first).not.toBe(paper)
  await eight.getByRole('radio').nth(3).click()
  await expect.poll(() => ground(page)).not.toBe(first)
  await page.getByRole('button', { name: 'More like this' }).click()
  await expect(page.getByText('2 of 2')).toBeVisible()
  await page.getByRole('button', { name: 'The eight before' }).click()
  await expect.poll(() => ground(page)).toBe(first)
  // By keys: the arrow chooses the next one.
  await eight.getByRole('radio').first().focus()
  await page.keyboard.press('ArrowRight', { delay: 80 })
  await expect(eight.getByRole('radio').nth(1)).toBeChecked()
  await page.getByRole('switch', { name: 'Paper stays as it is' }).click()
  await expect.poll(() => ground(page)).toBe(paper)
  await expect(page.locator('[data-slot="paper"]')).toContainText('Paper stays')
  await expect(page.getByText(/left over/)).toHaveCount(0)
  await page.getByRole('switch', { name: 'Paper stays as it is' }).click()
  await applyAndUndo(page)
})

test('brighter, as a client asks for it: seen, then applied, then taken back', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Brighter …' }).click()
  const lighter = page.getByRole('slider', { name: 'Darker to lighter' })
  await lighter.focus()
  for (let i = 0; i < 5; i += 1)
    await page.getByRole('button', { name: 'Lighter', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Lighter' })).toBeVisible()
  await page.getByRole('button', { name: 'More vivid' }).click()
  await expect(page.getByTestId('trial').getByRole('status')).toContainText(/contrast/)
  await expect.poll(() => ground(page)).not.toBe(paper)
  await applyAndUndo(page)
})

test('a slot in use is removed, its uses given to another, and comes back', async ({ page }) => {
  await openPaint(page)
  const muted = () => computedOnStage(page, '[data-section="from-the-shop"] .fine-print', 'color')
  expect(await muted()).toBe('rgb(92, 104, 102)')
  await page.locator('[data-slot="slate"]').click()
  await page.getByRole('button', { name: 'Remove …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Remove Slate' })
  await expect(dialog).toContainText('What takes its place?')
  await dialog.getByRole('button', { name: 'Brand', exact: true }).click()
  await dialog.getByRole('button', { name: 'Remove Slate' }).click()
  await expect(page.locator('[data-slot="slate"]')).toHaveCount(0)
  await expect.poll(muted).toBe('rgb(29, 89, 85)')
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.locator('[data-slot="slate"]')).toBeVisible()
  await expect.poll(muted).toBe('rgb(92, 104, 102)')
})

test('slots out of order are put in order in one move', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'light to dark' }).click()
  const order = await page
    .locator('[data-slot]')
    .evaluateAll((pans) => pans.map((pan) => pan.getAttribute('data-slot')))
  expect(order).toEqual(['paper', 'mist', 'spark', 'slate', 'brand', 'ink'])
  await expect(page.getByRole('button', { name: 'light to dark' })).toHaveCount(0)
  await isSaved(page)
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.getByRole('button', { name: 'light to dark' })).toBeVisible()
})

test('from a picture of the site, its colours marked; what is no picture is told', async ({
  page,
}) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'A picture' }).click()
  const file = page.locator('input[type=file]')
  const give = (name: string, mimeType: string, buffer: Buffer) =>
    file.setInputFiles({ name, mimeType, buffer })
  await give('notes.png', 'image/png', Buffer.from('this is no picture'))
  await expect(page.getByTestId('trial').getByRole('alert')).toContainText(
    'This file cannot be read as a picture',
  )
  const clear = await sharp({ create: { width: 40, height: 40, channels: 4, background: '#0000' } })
    .png()
    .toBuffer()
  await give('clear.png', 'image/png', clear)
  await expect(page.getByTestId('trial').getByRole('alert')).toContainText(
    'This picture is transparent all over',
  )
  await give('cut.png', 'image/png', clear.subarray(0, 60))
  await expect(page.getByTestId('trial').getByRole('alert')).toContainText(
    'This file cannot be read as a picture',
  )

  const one = await sharp({ create: { width: 60, height: 60, channels: 3, background: '#27496d' } })
    .png()
    .toBuffer()
  await give('one.png', 'image/png', one)
  await expect(page.getByRole('button', { name: 'Apply to 1 slot' })).toBeVisible()

  await page.getByRole('button', { name: /marbled paper in green, cream and rust/ }).click()
  const values = async () => {
    await page.getByRole('combobox', { name: 'Colour for Spark' }).click()
    const texts = await page.getByRole('option').allTextContents()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('option')).toHaveCount(0)
    return texts
  }
  await expect.poll(async () => (await values()).length).toBe(7)
  // The inks that the paper was marbled with, found again.
  const found = (await values()).slice(1).map((text) => colorOf(text)!)
  for (const ink of ['#1d5955', '#f7f2e7', '#d65a2a']) {
    expect({
      ink,
      gap: Math.min(...found.map((color) => difference(color, colorOf(ink)!))) < 6,
    }).toEqual({ ink, gap: true })
  }
  const marbled = await values()
  await page.getByRole('button', { name: /Notebook with a rust marbled cover/ }).click()
  await expect.poll(values).not.toEqual(marbled)
  await page.getByRole('button', { name: /marbled paper in green, cream and rust/ }).click()
  await expect.poll(values).toEqual(marbled)
  await expect.poll(() => ground(page)).not.toBe(paper)
  await applyAndUndo(page)
})
