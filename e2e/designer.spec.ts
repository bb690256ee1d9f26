import { expect, test } from '@playwright/test'
import {
  clickOnStage,
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  openView,
  setSlot,
  stageFrame,
  undo,
} from './editor'

leavesTheSiteAsItWas()

const button = '[data-section="opening"] .main-button'

test('low contrast is counted in the top bar with what was checked, listed, and told before publishing', async ({
  page,
}) => {
  await openPaint(page)
  const mark = page.getByRole('button', { name: /^× \d+ low contrast$/ })
  await expect(mark).toHaveAttribute('title', /Checked: all theme pairs.* Not checked here:/)
  await mark.click()
  const list = page.getByRole('dialog', { name: 'Contrast' })
  const pairs = Number(/× (\d+) theme pairs/.exec((await list.textContent())!)![1])
  const links = (await list.getByRole('listitem').count()) + pairs
  await expect(mark).toHaveText(`× ${links} low contrast`)
  // A line of the list goes to the thing, in the state that is meant.
  await list.getByRole('button', { name: /Navigation .* hover/ }).click()
  await expect(page.getByTestId('trace')).toContainText('× too low, needs 4.5')
  await page.getByRole('button', { name: 'Publish' }).click()
  const dialog = page.getByRole('dialog', { name: 'Publish' })
  await expect(dialog).toContainText(`× ${pairs} theme pairs with too little contrast`)
  await expect(dialog).toContainText(/with too little contrast on pages, of \d+ colours on 7 pages/)
  await expect(dialog).toContainText('what visitors type is lost')
  await dialog.getByRole('link', { name: 'Show in Themes' }).click()
  await expect(page.getByLabel('Roles that are shown')).toHaveValue('failing')
  await expect(page.getByLabel('Chosen cells')).toContainText('needs 4.5')
  // Who comes back finds the roles in use again.
  await page.getByRole('link', { name: 'Paint' }).click()
  await page.getByTestId('stage').waitFor()
  await page.getByRole('link', { name: 'Themes' }).click()
  await expect(page.getByLabel('Roles that are shown')).toHaveValue('used')
})

test('a button whose fill changes takes label, border and pointer colours along, in one edit', async ({
  page,
}) => {
  await openPaint(page)
  const colors = () =>
    Promise.all(
      ['background-color', 'color', 'border-top-color'].map((property) =>
        computedOnStage(page, button, property),
      ),
    )
  const before = await colors()
  await clickOnStage(page, button)
  const trace = page.getByTestId('trace')
  await trace.getByRole('radio', { name: /^this element/ }).click()
  await trace.getByRole('button', { name: 'Paper', exact: true }).hover()
  await expect(trace.getByLabel('What would go along')).toContainText('Main button, label')
  await trace.getByRole('button', { name: 'Paper', exact: true }).click()
  await expect.poll(async () => (await colors())[0]).toBe('rgb(247, 242, 231)')
  const [, label] = await colors()
  expect(label).not.toBe('rgb(247, 242, 231)')
  await expect(trace).toContainText('passes AA')
  await isSaved(page)
  await undo(page)
  await expect.poll(colors).toEqual(before)
})

test('a step back says what it takes back before and after, and where that was done', async ({
  page,
  context,
}) => {
  await openPaint(page)
  const step = page.getByRole('button', { name: 'Undo (Ctrl Z)' })
  await page.locator('[data-slot="slate"]').click()
  const field = page.getByLabel('Colour, in any notation', { exact: true })
  await field.fill('#5b6765')
  await field.press('Enter')
  await isSaved(page)
  await expect(step).toHaveAttribute('title', /Takes back: Slate set to #5b6765$/)
  // Another window knows that it was not done there.
  const other = await context.newPage()
  await openPaint(other)
  const there = other.getByRole('button', { name: 'Undo (Ctrl Z)' })
  await expect(there).toHaveAttribute('title', /from before you opened this window$/)
  await other.close()
  // In a field whose text is as it was, the key is undo too.
  await field.press('Control+z')
  await expect(page.getByText('Taken back: Slate set to #5b6765.')).toBeVisible()
  await expect(page.locator('[data-slot="slate"]')).toContainText('#5C6866')
  await page.keyboard.press('Escape')
  await isSaved(page)
})

test('the slot’s editor stands beside the page, is moved by keys, and stays where it was put', async ({
  page,
}) => {
  await openPaint(page)
  await page.locator('[data-slot="brand"]').click()
  const panel = page.getByRole('dialog', { name: 'Slot Brand' })
  const stage = (await page.getByTestId('stage-scroll').boundingBox())!
  expect((await panel.boundingBox())!.x).toBeGreaterThanOrEqual(stage.x + stage.width - 1)
  await panel.getByRole('button', { name: /^Move this panel/ }).focus()
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  const moved = (await panel.boundingBox())!
  await page.keyboard.press('Escape')
  await expect(panel).toHaveCount(0)
  await page.reload()
  await stageFrame(page).locator('[data-section]').first().waitFor()
  await page.locator('[data-slot="ink"]').click()
  const again = page.getByRole('dialog', { name: 'Slot Ink' })
  expect((await again.boundingBox())!.x).toBeCloseTo(moved.x, 0)
  await again.getByRole('button', { name: /^Move this panel/ }).dblclick()
  expect((await again.boundingBox())!.x).toBeGreaterThanOrEqual(stage.x + stage.width - 1)
})

test('one step of a ramp gets a colour of its own, everywhere, and is computed again', async ({
  page,
}) => {
  await openPaint(page)
  await page.locator('[data-slot="brand"]').click()
  const panel = page.getByRole('dialog', { name: 'Slot Brand' })
  // What is told beside the slot comes later, and makes room for itself.
  await expect(panel.getByRole('note')).toBeVisible()
  await panel.getByText('Tints and shades').click()
  const steps = panel.getByRole('group', { name: 'Steps of Brand' })
  const first = steps.getByRole('button').first()
  const computed = await first.getAttribute('aria-label')
  await first.click()
  const step = panel.getByRole('region', { name: /^Brand \+/ })
  await expect(step).toContainText('is computed')
  const field = step.getByLabel('Colour, in any notation', { exact: true })
  await field.fill('#7fd0c8')
  await field.press('Enter')
  await expect(step).toContainText('has a colour of its own')
  await expect(first).toHaveAttribute('aria-label', /#7fd0c8, its own$/)
  await step.getByRole('button', { name: 'Compute it again' }).click()
  await expect(first).toHaveAttribute('aria-label', computed!)
  await page.keyboard.press('Escape')
  await isSaved(page)
})

test('a whole row of the theme sheet is decided by typing, from its head', async ({ page }) => {
  await openView(page, '/themes')
  const head = page.getByRole('button', { name: 'Dividers and borders', exact: true })
  await head.click()
  await page.keyboard.type('Mist')
  await page.keyboard.press('Enter')
  for (const theme of ['on-paper', 'on-mist', 'on-ink']) {
    await expect(page.locator(`[data-cell="${theme}/line"]`)).toContainText('Mist')
  }
  await isSaved(page)
  await undo(page)
  await expect(page.locator('[data-cell="on-ink/line"]')).not.toContainText('Mist')
})

test('everyday words find roles on the theme sheet', async ({ page }) => {
  await openView(page, '/themes')
  const search = page.getByLabel('Find a role or a slot')
  await search.fill('placeholder')
  await expect(page.locator('tbody [data-cell]')).toHaveCount(5)
  await expect(page.locator('[data-cell="on-paper/fieldHint"]')).toBeVisible()
  await search.fill('navigation')
  await expect(page.locator('[data-cell="on-paper/accent"]')).toBeVisible()
})

test('the page is walked by arrow keys, section by section and thing by thing', async ({
  page,
}) => {
  await openPaint(page)
  await page.getByTestId('stage').focus()
  await page.keyboard.press('ArrowRight')
  const trace = page.getByTestId('trace')
  await expect(trace).toContainText('Theme of this section')
  await page.keyboard.press('ArrowRight')
  await expect(trace.getByRole('heading', { level: 2 })).toHaveText('Opening')
  await page.keyboard.press('ArrowDown')
  await expect(trace).toContainText('in Opening')
  await page.keyboard.press('End')
  await expect(trace).toContainText(/Footer/)
  await page.keyboard.press('Escape')
  await expect(trace).toHaveCount(0)
})

test('a section is flipped to the dark theme nearest to its own, and back by undo', async ({
  page,
}) => {
  await openPaint(page)
  const ground = () => computedOnStage(page, '[data-section="this-month"]', 'background-color')
  const before = await ground()
  await page.getByRole('button', { name: /^This month/ }).click()
  await page.getByRole('button', { name: 'Flip to On Ink' }).click()
  await expect.poll(ground).toBe('rgb(23, 33, 31)')
  await isSaved(page)
  await undo(page)
  await expect.poll(ground).toBe(before)
})

test('phone and tablet width show the page as narrow as it is there, and the key turns through them', async ({
  page,
}) => {
  await openPaint(page)
  const width = () =>
    stageFrame(page)
      .locator('body')
      .evaluate((body) => body.clientWidth)
  expect(await width()).toBe(1140)
  await page.getByRole('button', { name: 'Tablet width' }).click()
  await expect.poll(width).toBe(820)
  await page.locator('body').press('w')
  await expect.poll(width).toBe(390)
  const overflow = await stageFrame(page)
    .locator('body')
    .evaluate((body) => body.scrollWidth - body.clientWidth)
  expect(overflow).toBeLessThanOrEqual(0)
  await clickOnStage(page, button)
  await expect(page.getByTestId('trace')).toContainText('main button in Opening')
  await page.getByRole('button', { name: 'Desktop width' }).click()
  await expect.poll(width).toBe(1140)
})

test('the screen dropper takes a colour from anywhere (a stand-in for the browser’s own)', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.assign(window, {
      EyeDropper: class {
        open = () => Promise.resolve({ sRGBHex: '#27496d' })
      },
    })
  })
  await openPaint(page)
  await page.locator('[data-slot="brand"]').click()
  await page.getByRole('button', { name: /from the screen/i }).click()
  await expect(page.locator('[data-slot="brand"]')).toContainText('#27496d')
  await isSaved(page)
  await page.keyboard.press('Escape')
  await undo(page)
})

test('a palette on trial that is put away by Escape can be had back', async ({ page }) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Brighter …' }).click()
  await page.getByRole('button', { name: 'More vivid' }).click()
  await expect(page.getByRole('heading', { name: 'More vivid' })).toBeVisible()
  await page.locator('body').press('Escape')
  await expect(page.getByTestId('trial')).toHaveCount(0)
  await page.getByRole('button', { name: 'Show it again' }).click()
  await expect(page.getByRole('heading', { name: 'More vivid' })).toBeVisible()
  await page.getByRole('button', { name: 'Let go' }).click()
})

test('the colours inside a snippet are traced to their place, and one is replaced there', async ({
  page,
}) => {
  await openPaint(page)
  await clickOnStage(page, '.embed')
  const trace = page.getByTestId('trace')
  const list = trace.getByRole('region', { name: 'Colours in its own code' })
  await expect(list).toContainText(/Its own code sets \d+ colours?/)
  const first = list.getByRole('button').first()
  const told = await first.textContent()
  expect(told).toMatch(/line \d+/)
  await first.click()
  await list.getByRole('button', { name: 'Ink', exact: true }).click()
  await expect(page.getByText(/in the snippet is Ink now/)).toBeVisible()
  await expect(first).toContainText('Ink')
  await undo(page)
  await expect(first).toHaveText(told!)
})

test('what a slot was and did not go along is told beside it, and swept to it', async ({
  page,
}) => {
  await openPaint(page)
  await setSlot(page, 'spark', '#7a3fa0')
  const note = page.getByRole('note').filter({ hasText: 'still as Spark was' })
  await expect(note).toContainText('4 loose uses')
  await note.getByRole('link').click()
  await expect(page.getByTestId('pair')).toHaveCount(1)
  await page.getByRole('button', { name: 'Sweep 4 uses' }).click()
  await expect(page.getByText('4 uses replaced.')).toBeVisible()
  // The slot's editor is open still.
  await page.getByRole('link', { name: 'Paint' }).click()
  await expect(page.getByLabel('Colour, in any notation', { exact: true })).toBeVisible()
  await expect(note).toHaveCount(0)
  // What was begun there is begun once.
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: /^Sweep/ }).click()
  await expect(page.getByText('Choose a colour on the left')).toBeVisible()
  await undo(page)
  await undo(page)
})

test('an element that decides nothing yet is given a shade of what it inherits', async ({
  page,
}) => {
  await openPaint(page)
  await clickOnStage(page, button)
  const trace = page.getByTestId('trace')
  await trace.getByRole('radio', { name: /^this element/ }).click()
  await trace.getByRole('button', { name: 'A shade of Spark' }).click()
  const before = await computedOnStage(page, button, 'background-color')
  await trace.getByRole('slider', { name: 'Lightness' }).press('ArrowRight')
  await expect(trace).toContainText(/This main button\s*Spark \+/)
  await expect.poll(() => computedOnStage(page, button, 'background-color')).not.toBe(before)
  await isSaved(page)
  await undo(page)
})

test('a slot that is pointed at outlines what shows it, and nothing else', async ({ page }) => {
  await openPaint(page)
  await page.locator('[data-slot="spark"]').hover()
  const outlines = page.locator('.outline-dashed')
  await expect(outlines.first()).toBeVisible()
  const boxes = await outlines.evaluateAll((all) =>
    all.map((each) => {
      const { x, y } = each.getBoundingClientRect()
      return { x, y }
    }),
  )
  const isOutlined = async (selector: string) => {
    const { x, y } = (await stageFrame(page).locator(selector).first().boundingBox())!
    return boxes.some((box) => Math.abs(box.x - x) < 3 && Math.abs(box.y - y) < 3)
  }
  expect(await isOutlined(button)).toBe(true)
  // Its rule would be Spark, but custom CSS has the last word.
  expect(await isOutlined('blockquote.quote')).toBe(false)
  // Its links would be Spark, and it has none.
  expect(await isOutlined('[data-section="newsletter"] .paragraph')).toBe(false)
})
