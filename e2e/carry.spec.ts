import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { colorKey, colorOf } from '@/core/color'
import { readPalette } from '@/core/formats'
import { ternFrame } from '@demo/tern/frame'
import { isSaved, leavesTheSiteAsItWas, openPaint, setSlot, undo } from './editor'

leavesTheSiteAsItWas()

const slots = ternFrame.palette.order.map((id) => ternFrame.palette.slots[id]!)
const keys = (colors: ReadonlyArray<{ readonly value: string | null }>) =>
  colors.map(({ value }) => colorKey(colorOf(value!)!))

async function openCarry(page: Page, tab?: string): Promise<void> {
  await page.getByRole('button', { name: 'The palette as a whole' }).click()
  await page.getByRole('menuitem', { name: 'Export, carry, share …' }).click()
  if (tab) await page.getByRole('tab', { name: tab }).click()
}

async function exported(page: Page, name: RegExp | string): Promise<Buffer> {
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name }).or(page.getByRole('link', { name })).first().click()
  return readFileSync(await (await waiting).path())
}

test('every export holds the palette, and what can be read back is the same', async ({ page }) => {
  await openPaint(page)
  await openCarry(page)
  for (const name of [/^Design tokens W3C/, /^Design tokens, hex/, /GIMP palette/, /Plain text/]) {
    const read = readPalette((await exported(page, name)).toString('utf8'))
    expect(read.problems).toEqual([])
    expect(keys(read.colors)).toEqual(keys(slots))
  }
  const png = await sharp(await exported(page, /Swatch sheet, PNG/)).metadata()
  expect(png).toMatchObject({ format: 'png', width: 1824 })
  expect((await exported(page, /Swatch sheet, SVG/)).toString()).toContain('<text')
  expect((await exported(page, /Brand sheet, PDF/)).subarray(0, 5).toString()).toBe('%PDF-')
})

test('the exported CSS gives the same colours in Chromium', async ({ page, browser }) => {
  await openPaint(page)
  await openCarry(page)
  const css = (await exported(page, /CSS custom properties/)).toString('utf8')
  const blank = await browser.newPage()
  await blank.setContent(`<style>${css}</style><i></i>`)
  for (const { id, value } of slots) {
    const painted = await blank.locator('i').evaluate((node, slot) => {
      node.style.color = `var(--slot-${slot})`
      return getComputedStyle(node).color
    }, id)
    expect(colorKey(colorOf(painted)!)).toBe(colorKey(colorOf(value!)!))
  }
  await blank.close()
})

test('a link shows the palette as it was, to anyone, until it is revoked', async ({
  page,
  browser,
}) => {
  await openPaint(page)
  await openCarry(page, 'Share a link')
  await page.getByRole('button', { name: 'Make a link' }).click()
  const address = await page.getByLabel('Address of the link').first().inputValue()
  await page.keyboard.press('Escape')
  await setSlot(page, 'brand', '#5b2a86')
  await isSaved(page)

  const visitor = await browser.newPage({ viewport: { width: 390, height: 800 } })
  await visitor.goto(address)
  await expect(visitor.getByRole('heading', { name: 'Tern & Thistle' })).toBeVisible()
  await expect(visitor.getByText('#1d5955')).toBeVisible()
  await expect(visitor.getByText('#5b2a86')).toHaveCount(0)
  expect(await visitor.evaluate(() => document.documentElement.scrollWidth)).toBe(390)

  await page.keyboard.press('Escape')
  await undo(page)
  await openCarry(page, 'Share a link')
  await page.getByRole('button', { name: 'Revoke' }).first().click()
  await expect(page.getByText('No link is open.')).toBeVisible()
  await visitor.reload()
  await expect(visitor.getByText('There is nothing at this address')).toBeVisible()
  await visitor.close()
})

test('a palette is carried to the other site, tried there, applied, undone', async ({ page }) => {
  await openPaint(page)
  await openCarry(page, 'To another site')
  await page.getByRole('button', { name: 'Carry it there' }).click()
  await page.getByRole('link', { name: 'Open it there' }).click()
  await expect(page.getByTestId('trial')).toContainText('Tern & Thistle')
  await page.getByRole('button', { name: /^Apply to \d+ slots$/ }).click()
  await isSaved(page)
  await undo(page)
  await undo(page)
  await expect(page.getByText('none kept yet')).toBeVisible()
})
