import { expect, type Page } from '@playwright/test'

export const tern = '/sites/tern-and-thistle'

/** Opens a view of the demo site and waits until the stage is drawn. */
export async function openPaint(page: Page, site = tern): Promise<void> {
  await page.goto(site)
  await stageFrame(page).locator('[data-section]').first().waitFor()
}

export function stageFrame(page: Page) {
  return page.frameLocator('iframe[title="The page, live"]')
}

/** The colour that Chromium computes for something on the stage. */
export function computedOnStage(page: Page, selector: string, property: string): Promise<string> {
  return stageFrame(page)
    .locator(selector)
    .first()
    .evaluate((node, name) => getComputedStyle(node).getPropertyValue(name), property)
}

/** Clicks an element of the stage through the layer that lies above it. */
export async function clickOnStage(page: Page, selector: string): Promise<void> {
  const target = stageFrame(page).locator(selector).first()
  await target.scrollIntoViewIfNeeded()
  const box = await target.boundingBox()
  if (!box) throw new Error(`nothing to click: ${selector}`)
  await page.mouse.click(box.x + Math.min(12, box.width / 2), box.y + box.height / 2)
}

export async function isSaved(page: Page): Promise<void> {
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved')
}

export async function setSlot(page: Page, slot: string, text: string): Promise<void> {
  await page.locator(`[data-slot="${slot}"]`).click()
  const field = page.getByLabel('Colour, in any notation', { exact: true })
  await field.fill(text)
  await field.press('Enter')
}

/** Takes the last change back, and waits until that is stored. */
export async function undo(page: Page): Promise<void> {
  const stored = page.waitForResponse((response) => response.url().endsWith('/undo'))
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await stored
}
