import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { computedOnStage, isSaved, leavesTheSiteAsItWas, openPaint, undo } from './editor'

leavesTheSiteAsItWas()

const order = (page: Page) =>
  page
    .locator('[data-slot]')
    .evaluateAll((pans) => pans.map((pan) => pan.getAttribute('data-slot')))
const brandOnStage = (page: Page) =>
  computedOnStage(page, '[data-section="bench"]', 'background-color')

test('slots are reordered by dragging and by keys', async ({ page }) => {
  await openPaint(page)
  const first = await order(page)
  await page.locator('[data-slot="ink"]').focus()
  await page.keyboard.press('Alt+ArrowLeft')
  await expect.poll(() => order(page)).toEqual([...first.slice(0, 4), 'ink', 'slate'])
  await expect(page.locator('[data-slot="ink"]')).toBeFocused()

  const [from, to] = [
    await page.locator('[data-slot="ink"]').boundingBox(),
    await page.locator('[data-slot="paper"]').boundingBox(),
  ]
  await page.mouse.move(from!.x + 20, from!.y + 20)
  await page.mouse.down()
  await page.mouse.move(from!.x, from!.y + 20, { steps: 3 })
  await page.mouse.move(to!.x + 20, to!.y + 20, { steps: 5 })
  await page.mouse.up()
  await expect.poll(async () => (await order(page))[0]).toBe('ink')
  await isSaved(page)
  await undo(page)
  await undo(page)
  await expect.poll(() => order(page)).toEqual(first)
})

test('a slot gets a group, shades of its own, a name after its colour, and is emptied', async ({
  page,
}) => {
  await openPaint(page)
  await page.locator('[data-slot="slate"]').click()
  const panel = page.getByLabel('Slot Slate', { exact: true })
  await panel.getByLabel('Group').fill('Quiet things')
  await panel.getByLabel('Group').press('Enter')
  await expect(page.locator('li', { has: page.locator('[data-slot="slate"]') })).toContainText(
    'Quiet things',
  )
  await panel.getByText('Tints and shades').click()
  await panel.getByRole('slider', { name: 'Lighter' }).focus()
  await page.keyboard.press('End')
  await expect(panel.getByText('Tints and shades, its own')).toBeVisible()
  await panel.getByRole('button', { name: 'As the palette has them' }).click()
  await page.getByRole('button', { name: 'Name it after its colour' }).click()
  await expect(page.locator('[data-slot="slate"]')).not.toContainText('Slate')
  await page.getByRole('button', { name: 'Empty the slot' }).click()
  const asked = page.getByRole('dialog', { name: /^Empty / })
  await expect(asked).toContainText(/colours \d+ things on this site/)
  await asked.getByRole('button', { name: 'Empty it all the same' }).click()
  await expect(page.locator('[data-slot="slate"]')).toContainText('empty')
  await page.keyboard.press('Escape')
  await isSaved(page)
  for (let i = 0; i < 5; i += 1) await undo(page)
  await expect(page.locator('[data-slot="slate"]')).toContainText('Slate')
})

test('the editor: both models, keys on the area, any notation, darker, out of gamut', async ({
  page,
}) => {
  await openPaint(page)
  await page.locator('[data-slot="brand"]').click()
  const field = page.getByLabel('Colour, in any notation', { exact: true })
  for (const [typed, painted] of [
    [' 5B2A86 ', 'rgb(91, 42, 134)'],
    ['#2a7', 'rgb(34, 170, 119)'],
    ['HSL(210DEG 50% 40%)', 'rgb(51, 102, 153)'],
    ['RebeccaPurple', 'rgb(102, 51, 153)'],
  ] as const) {
    await field.fill(typed)
    await field.press('Enter')
    await expect.poll(() => brandOnStage(page)).toBe(painted)
  }
  await expect(page.getByRole('button', { name: 'rebeccapurple', exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: '#639', exact: true })).toBeVisible()
  await page.getByRole('slider', { name: 'Chroma and lightness' }).focus()
  await page.keyboard.press('ArrowUp')
  await expect.poll(() => brandOnStage(page)).not.toBe('rgb(102, 51, 153)')
  await page.getByRole('radio', { name: 'HSL' }).click()
  await page.getByRole('slider', { name: 'Hue', exact: true }).focus()
  await page.keyboard.press('Home')
  await expect(field).toHaveValue(/^#/)
  await page.getByRole('button', { name: 'Darker, same hue' }).click()
  await field.fill('color(display-p3 0 1 0)')
  await field.press('Enter')
  await expect(page.getByText(/Outside sRGB; shown and written as #/)).toBeVisible()
  await page.keyboard.press('Escape')
  await isSaved(page)
  // However many edits that were, the colour is set back as a person would.
  await page.locator('[data-slot="brand"]').click()
  await field.fill('#1D5955')
  await field.press('Enter')
  await page.keyboard.press('Escape')
  await expect.poll(() => brandOnStage(page)).toBe('rgb(29, 89, 85)')
  await isSaved(page)
})

test('a colour is picked from a picture by its pixel', async ({ page }) => {
  await openPaint(page)
  await page.locator('[data-slot="brand"]').click()
  await page.getByRole('button', { name: 'Pick from a picture' }).click()
  const half = { create: { width: 20, height: 40, channels: 3 as const, background: '#b5482f' } }
  const right = await sharp(half).png().toBuffer()
  const picture = await sharp({ create: { ...half.create, width: 40, background: '#27496d' } })
    .composite([{ input: right, left: 20, top: 0 }])
    .png()
    .toBuffer()
  await page
    .getByRole('dialog', { name: 'Pick from a picture' })
    .locator('input[type=file]')
    .setInputFiles({ name: 'two.png', mimeType: 'image/png', buffer: picture })
  const view = page.getByRole('button', { name: /The picture; arrow keys/ })
  await view.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('dialog').getByRole('status')).toHaveText('#27496d')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await expect.poll(() => brandOnStage(page)).toBe('rgb(181, 72, 47)')
  await page.keyboard.press('Escape')
  await isSaved(page)
  await undo(page)
  await expect.poll(() => brandOnStage(page)).toBe('rgb(29, 89, 85)')
})

test('ready-made, on things, side by side, before and after, applied, undone', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Ready-made' }).click()
  await page.getByLabel('Mood').selectOption('Calm')
  await page.getByRole('radio', { name: 'Night ferry' }).click()
  await page.getByRole('button', { name: 'Before and after' }).click()
  const before = page.frameLocator('iframe[title="The page before"]')
  await expect
    .poll(() =>
      before
        .locator('[data-section="opening"]')
        .evaluate((node) => getComputedStyle(node).backgroundColor),
    )
    .toBe('rgb(247, 242, 231)')
  await expect
    .poll(() => computedOnStage(page, '[data-section="opening"]', 'background-color'))
    .toBe('rgb(242, 245, 249)')
  await page.getByRole('slider', { name: 'Divider between before and after' }).focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('slider', { name: /Divider/ })).toHaveAttribute('aria-valuenow', '48')
  await page.getByRole('radio', { name: 'On things' }).click()
  for (const thing of ['Shop sign', 'Parcel label', 'Book cover', 'Market poster']) {
    await expect(page.getByRole('img', { name: thing })).toBeVisible()
  }
  await page.getByRole('radio', { name: 'Side by side' }).click()
  await expect(page.getByRole('heading', { name: 'The present palette' })).toBeVisible()
  await page.getByRole('button', { name: 'Apply to 6 slots' }).click()
  await isSaved(page)
  await undo(page)
  await expect
    .poll(() => computedOnStage(page, '[data-section="opening"]', 'background-color'))
    .toBe('rgb(247, 242, 231)')
})

test('a slot that is named after a colour it loses is offered a new name in the same step', async ({
  page,
}) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'List or file' }).click()
  await page.getByLabel(/Hex codes/).fill('#c0392b')
  await page.getByRole('combobox', { name: 'Colour for Slate' }).click()
  await page.getByRole('option', { name: '#c0392b' }).click()
  const offer = page.getByLabel(/^Slate becomes /)
  await expect(offer).toBeChecked()
  const [name] = await page.getByText(/^Slate becomes /).allTextContents()
  await page.getByRole('button', { name: 'Apply to 1 slot' }).click()
  await expect(page.locator('[data-slot="slate"]')).toContainText(
    name!.replace('Slate becomes ', ''),
  )
  await isSaved(page)
  await undo(page)
  await expect(page.locator('[data-slot="slate"]')).toContainText('Slate')
})

test('a colour is dragged onto the slot it shall go to; the rest become new slots', async ({
  page,
}) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'List or file' }).click()
  await page
    .getByLabel(/Hex codes/)
    .fill('#fbf8f1\n#dfe6e9\n#27496d\n#c0562f\n#6b7280\n#14213d\n#5b2a86\n#e8a93c')
  const left = page.getByRole('heading', { name: /2 colours left over/ })
  await expect(left).toBeVisible()
  const chip = page.locator('button[aria-label^="Edit"]').last()
  const told = (await chip.getAttribute('aria-label'))!.replace('Edit ', '')
  const row = page.locator('li', { has: page.getByLabel('Colour for Ink') })
  await chip.hover()
  const [from, to] = [await chip.boundingBox(), await row.boundingBox()]
  await page.mouse.move(from!.x + 8, from!.y + 8)
  await page.mouse.down()
  await page.mouse.move(from!.x + 8, from!.y - 10, { steps: 3 })
  await page.mouse.move(to!.x + 100, to!.y + 10, { steps: 6 })
  await page.mouse.up()
  await expect(page.getByLabel('Colour for Ink')).toHaveText(told)
  await page.getByLabel('Add them as new slots').check()
  await page.getByRole('button', { name: 'Apply to 8 slots' }).click()
  await expect(page.locator('[data-slot]')).toHaveCount(8)
  await isSaved(page)
  await undo(page)
  await expect(page.locator('[data-slot]')).toHaveCount(6)
})

test('pictures that are none, and files that are broken, are told in words', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'A picture' }).click()
  const file = page.getByTestId('trial').locator('input[type=file]')
  const give = (name: string, mimeType: string, buffer: Buffer) =>
    file.setInputFiles({ name, mimeType, buffer })
  await give('no.png', 'image/png', Buffer.from('not a picture at all'))
  await expect(page.getByText(/cannot be read as a picture/)).toBeVisible()
  const clear = { width: 30, height: 30, channels: 4 as const, background: '#00000000' }
  await give('clear.png', 'image/png', await sharp({ create: clear }).png().toBuffer())
  await expect(page.getByText(/transparent all over/)).toBeVisible()
  await give(
    'one.png',
    'image/png',
    await sharp({ create: { ...clear, background: '#27496d' } })
      .png()
      .toBuffer(),
  )
  await expect(page.getByText('The picture is of a single colour.')).toBeVisible()
  const whole = await sharp({
    create: { ...clear, width: 300, height: 300, background: '#b5482f' },
  })
    .jpeg()
    .toBuffer()
  await give('cut.jpg', 'image/jpeg', whole.subarray(0, 200))
  await expect(page.getByText(/cannot be read as a picture/)).toBeVisible()
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'List or file' }).click()
  const lines = Array.from({ length: 10_000 }, (_, i) => `${i % 256} ${(i >> 8) % 256} 9 n${i}`)
  await page
    .getByTestId('trial')
    .locator('input[type=file]')
    .setInputFiles({
      name: 'many.gpl',
      mimeType: 'text/plain',
      buffer: Buffer.from(['GIMP Palette', ...lines, 'broken'].join('\n')),
    })
  await expect(page.getByText('256 colours read, but:')).toBeVisible()
  await expect(page.getByText(/Line 10002 is no entry/)).toBeVisible()
  await expect(page.getByText(/holds 10,000 colours; the first 256/)).toBeVisible()
})
