import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import wcagContrast from 'wcag-contrast'
import {
  clickOnStage,
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  stageFrame,
  undo,
} from './editor'

leavesTheSiteAsItWas()

const NEWSLETTER = '[data-section=newsletter]'
const TITLE = `${NEWSLETTER} h2`

const trace = (page: Page) => page.getByTestId('trace')
const band = (page: Page, name: string) =>
  page
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .first()
    .click()
const ground = (page: Page) => computedOnStage(page, NEWSLETTER, 'background-image')

/** The ratio that the trace tells of what is chosen. */
const told = async (page: Page) =>
  Number(
    await trace(page)
      .getByText(/^\d+\.\d$/)
      .first()
      .textContent(),
  )

/** The least contrast of a colour with all pixels that lie under some words on the stage, by the reference library (wcag-contrast). */
async function leastUnder(page: Page, selector: string, rgb: [number, number, number]) {
  const words = stageFrame(page).locator(selector).first()
  await words.scrollIntoViewIfNeeded()
  const scale = Number(await page.getByTestId('stage').getAttribute('data-stage-scale'))
  const stage = (await page.getByTestId('stage').boundingBox())!
  const rects = await words.evaluate((node) => {
    const range = document.createRange()
    range.selectNodeContents(node)
    return [...range.getClientRects()].map(({ x, y, width, height }) => ({ x, y, width, height }))
  })
  const hides = `[data-testid=stage], [data-testid=stage] ~ * { visibility: hidden !important }`
  const hidden = await page.addStyleTag({ content: hides })
  await words.evaluate((node) => (node as HTMLElement).style.setProperty('opacity', '0'))
  const shot = await page.screenshot()
  await words.evaluate((node) => (node as HTMLElement).style.removeProperty('opacity'))
  await hidden.evaluate((node) => (node as HTMLElement).remove())
  const ratios = await Promise.all(
    rects.map(async ({ x, y, width, height }) => {
      const area = {
        left: Math.ceil(stage.x + x * scale),
        top: Math.ceil(stage.y + y * scale),
        width: Math.floor(width * scale) - 1,
        height: Math.floor(height * scale) - 1,
      }
      const bytes = await sharp(shot).extract(area).removeAlpha().raw().toBuffer()
      let least = 21
      for (let i = 0; i < bytes.length; i += 3) {
        least = Math.min(least, wcagContrast.rgb(rgb, [bytes[i]!, bytes[i + 1]!, bytes[i + 2]!]))
      }
      return least
    }),
  )
  return Math.min(...ratios)
}

/** Gives the newsletter a photo to stand on, and chooses its title. */
async function titleOnPhoto(page: Page): Promise<void> {
  await openPaint(page)
  await band(page, 'Newsletter')
  await trace(page).getByRole('radio', { name: 'Picture' }).click()
  await trace(page).getByLabel('Picture', { exact: true }).selectOption('shopfront')
  await isSaved(page)
  await clickOnStage(page, TITLE)
}

const PAPER: [number, number, number] = [247, 242, 231]

test('a gradient is taken hold of on the page: its stops, its angle, its centre, by pointer and by keys', async ({
  page,
}) => {
  await openPaint(page)
  await band(page, 'Newsletter')
  const grips = page.getByRole('group', { name: 'The gradient on the page' })
  const second = grips.getByRole('slider', { name: /^Stop 2 on the page/ })
  const before = await ground(page)
  const at = (await second.boundingBox())!
  await page.mouse.move(at.x + 9, at.y + 9)
  await page.mouse.down()
  await page.mouse.move(at.x - 180, at.y + 30, { steps: 4 })
  // Seen while it is led, kept when it is let go.
  await expect.poll(() => ground(page)).not.toBe(before)
  await page.mouse.up()
  await isSaved(page)
  await expect(second).not.toHaveAttribute('aria-valuenow', '100')
  await undo(page)
  await expect.poll(() => ground(page)).toBe(before)

  await second.focus()
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(second).toHaveAttribute('aria-valuenow', '90')
  await grips.getByRole('slider', { name: /^Angle/ }).focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect.poll(() => ground(page)).toMatch(/^linear-gradient\(105deg.* 90%\)$/)
  await trace(page).getByRole('radio', { name: 'Radial' }).click()
  const center = grips.getByRole('slider', { name: /^Centre/ })
  await center.focus()
  await page.keyboard.press('ArrowDown')
  await expect.poll(() => ground(page)).toContain('radial-gradient(at 50% 51%')
  // A click on it changes nothing, nor does it choose what lies under it.
  await center.click()
  await expect(trace(page).getByRole('heading', { level: 2 })).toHaveText('Newsletter')
  await expect.poll(() => ground(page)).toContain('radial-gradient(at 50% 51%')
  await expect(grips.getByRole('slider', { name: /^Angle/ })).toHaveCount(0)
})

test('words over a gradient are measured where they stand, as the pixels under them are', async ({
  page,
}) => {
  await openPaint(page)
  await band(page, 'Newsletter')
  // Ink at the left, paper at the right: the title stands on the darker half.
  await trace(page)
    .getByRole('slider', { name: /^Stop 2, / })
    .focus()
  await trace(page)
    .getByRole('group', { name: /^Colour of stop 2/ })
    .getByRole('button', { name: /^Paper/ })
    .first()
    .click()
  await isSaved(page)
  for (const width of ['Desktop width', 'Phone width']) {
    await page.getByRole('button', { name: width }).click()
    await clickOnStage(page, TITLE)
    await expect(trace(page).getByText(/At the worst point of where it stands/)).toBeVisible()
    const measured = await leastUnder(page, TITLE, PAPER)
    await expect
      .poll(async () => Math.abs((await told(page)) - measured) / measured, { message: width })
      .toBeLessThan(0.12)
  }
})

test('words over a picture are measured on its own pixels, and a tint over it is offered that makes them read', async ({
  page,
}) => {
  await titleOnPhoto(page)
  await expect(trace(page).getByText(/too low, needs/)).toBeVisible()
  const measured = await leastUnder(page, TITLE, PAPER)
  expect(await told(page)).toBeLessThan(measured + 0.6)
  expect(measured).toBeLessThan(4.5)
  const tint = trace(page).getByRole('button', { name: /^A tint of \d+ %/ })
  await tint.hover()
  await expect.poll(() => ground(page)).toContain('linear-gradient')
  await tint.click()
  await isSaved(page)
  await expect(trace(page).getByText('✓ passes AA')).toBeVisible()
  expect(await leastUnder(page, TITLE, PAPER)).toBeGreaterThan(4.4)
  await undo(page)
  await expect.poll(() => ground(page)).not.toContain('linear-gradient')
})

test('a picture that cannot be looked at is told, and what is under it judged', async ({
  page,
}) => {
  await page.route(/\/files\/.*shopfront/, (route) => route.abort())
  await titleOnPhoto(page)
  await expect(trace(page).getByText(/not there to be looked at/)).toBeVisible()
})

test('a heading takes a gradient, and reads as the worst of it does', async ({ page }) => {
  await openPaint(page)
  await clickOnStage(page, '[data-section=opening] h1')
  await trace(page)
    .getByRole('radio', { name: /^this element/ })
    .click()
  // A choice that has the focus leaves the keys of the window to the window.
  await page.keyboard.press('f')
  await expect(page.getByRole('dialog', { name: 'Where is it set?' })).toBeVisible()
  await page.keyboard.press('Escape')
  await trace(page).getByRole('radio', { name: 'Gradient' }).click()
  const title = (name: string) => computedOnStage(page, '[data-section=opening] h1', name)
  await expect.poll(() => title('background-clip')).toBe('text')
  await expect.poll(() => title('color')).toBe('rgba(0, 0, 0, 0)')
  await isSaved(page)
  await expect(page.getByRole('group', { name: 'The gradient on the page' })).toBeVisible()
  await expect(trace(page).getByText('On its ground')).toBeVisible()
  await trace(page).getByRole('radio', { name: 'Colour', exact: true }).click()
  await expect.poll(() => title('background-image')).toBe('none')
})
