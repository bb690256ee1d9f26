import { expect, test, type Page } from '@playwright/test'
import {
  anotherWindow,
  boxOnStage,
  clickOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  stageFrame,
  undo,
} from './editor'
import { wordProcessorPastes } from './word-processor-pastes'

leavesTheSiteAsItWas()

const words = (page: Page) => stageFrame(page).locator('[contenteditable=true]')

/** Double clicks something on the stage, through the layer that lies above it. */
async function write(page: Page, selector: string): Promise<void> {
  const box = await boxOnStage(page, selector)
  await page.mouse.dblclick(
    box.x + Math.min(40, box.width / 2),
    box.y + Math.min(14, box.height / 2),
  )
  await expect(words(page)).toBeFocused()
}

/** Pastes something into what is written, as a browser would bring it. */
const paste = (page: Page, type: string, data: string) =>
  words(page).evaluate(
    (node, [kind, text]) => {
      const clipboardData = new DataTransfer()
      clipboardData.setData(kind!, text!)
      node.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
      )
    },
    [type, data],
  )

test('words are written where they stand, marked, linked and coloured; undo takes all back', async ({
  page,
}) => {
  await openPaint(page)
  const title = stageFrame(page).locator('h1')
  const before = (await title.textContent())!
  await write(page, 'h1')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Paper that keeps ')
  await page.keyboard.press('Control+b')
  await page.keyboard.type('for good')
  await page.keyboard.press('Control+b')
  // The trace stays open beside it.
  await expect(page.getByTestId('trace').getByRole('heading', { level: 2 })).toContainText('Paper')
  await page.keyboard.press('Shift+Control+ArrowLeft')
  await page.getByRole('button', { name: 'Colour of these words' }).click()
  await page
    .getByLabel('Colour of these words')
    .getByRole('button', { name: 'Marked words', exact: true })
    .click()
  await expect(page.getByTestId('trace').getByText('main button, fill').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(words(page)).toHaveCount(0)
  await expect(title.locator('mark.marker-a strong')).toHaveText('good')
  await isSaved(page)
  await expect(page.getByTestId('stage')).toBeFocused()

  // A link to a page, found by its title, by keys alone.
  await clickOnStage(page, '.paragraph.lead')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Control+k')
  await page.keyboard.type('Workshops')
  await expect(page.getByRole('list', { name: 'Pages' }).getByRole('button')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(words(page)).toBeFocused()
  await expect(page.getByRole('list', { name: 'Pages' })).toHaveCount(0)
  await page.keyboard.press('End')
  await page.keyboard.press('Enter')
  await page.keyboard.type('And a paragraph more')
  await page.keyboard.press('Escape')
  await isSaved(page)
  await expect(stageFrame(page).locator('.paragraph.lead a.link')).toHaveCount(1)
  await expect(stageFrame(page).getByText('And a paragraph more')).toBeVisible()

  // At the edge, what parts two paragraphs is taken away; the caret stays where they meet.
  const paragraphs = stageFrame(page).locator('[data-section=opening] .paragraph')
  const apart = await paragraphs.count()
  await stageFrame(page).getByText('And a paragraph more').scrollIntoViewIfNeeded()
  await clickOnStage(page, '.paragraph.lead')
  await page.keyboard.press('Enter')
  await page.keyboard.press('End')
  await page.keyboard.press('Delete')
  await expect(paragraphs).toHaveCount(apart - 1)
  await page.keyboard.type('. ')
  await page.keyboard.press('Escape')
  await expect(stageFrame(page).locator('.paragraph.lead')).toContainText('. And a paragraph more')
  await isSaved(page)
  await undo(page)
  await undo(page)
  await expect(paragraphs).toHaveCount(apart)

  // Words are kept as they rest: in how many steps is up to the machine.
  await expect(async () => {
    await undo(page)
    await expect(title).toHaveText(before, { timeout: 1_000 })
  }).toPass()
  await expect(stageFrame(page).getByText('And a paragraph more')).toHaveCount(0)
})

test('what a word processor brings arrives as clean words; nothing of it runs or leaves', async ({
  page,
}) => {
  const left: string[] = []
  page.on('request', (request) => {
    if (!request.url().startsWith('http://127.0.0.1')) left.push(request.url())
  })
  page.on('dialog', (dialog) => {
    left.push(dialog.message())
    void dialog.dismiss()
  })
  await openPaint(page)
  for (const { from, html, text } of wordProcessorPastes) {
    await write(page, '.quote-words')
    await page.keyboard.press('Control+a')
    await paste(page, 'text/html', html)
    await expect(words(page), from).toHaveText(text)
    const tags = await words(page).evaluate((node) =>
      [...node.querySelectorAll('*')].map((each) => each.tagName.toLowerCase()),
    )
    expect(new Set(['a', 'br', 'em', 'strong', 'img', ...tags]), from).toEqual(
      new Set(['a', 'br', 'em', 'strong', 'img']),
    )
    const attributes = await words(page).evaluate((node) =>
      [...node.querySelectorAll('a, em, strong')].flatMap((each) => each.getAttributeNames()),
    )
    expect(new Set(['class', 'href', ...attributes]), from).toEqual(new Set(['class', 'href']))
    await page.keyboard.press('Escape')
    await isSaved(page)
    await undo(page)
  }
  // Too much at once is told, and nothing is put in.
  await write(page, 'h1')
  await paste(page, 'text/plain', 'x'.repeat(100_000))
  await expect(page.getByText(/100,\d{3} characters; one text holds 20,000/)).toBeVisible()
  await page.keyboard.press('Escape')
  expect(left).toEqual([])
})

test('a section comes from the library by keys, moves, is hidden, and its page is walked in the outline', async ({
  page,
}) => {
  await openPaint(page)
  const outline = page.getByRole('group', { name: 'Outline' })
  await outline.getByRole('button', { name: /^This month/ }).click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('n')
  const library = page.getByRole('dialog', { name: 'Add a section' })
  await library.getByLabel('Find a section').fill('hours')
  await library.getByRole('button', { name: 'Opening hours' }).focus()
  await page.keyboard.press('Enter')
  const added = stageFrame(page).locator('section', { hasText: 'When we are here' })
  await expect(added).toBeVisible()
  // Not in the theme of either neighbour.
  const themes = await stageFrame(page)
    .locator('section')
    .evaluateAll((all) => all.map((each) => (each as HTMLElement).dataset.theme))
  const at = await stageFrame(page)
    .locator('section')
    .evaluateAll((all) => all.findIndex((each) => each.textContent!.includes('When we are here')))
  expect([themes[at - 1], themes[at + 1]]).not.toContain(themes[at])

  await page.getByTestId('stage').focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect
    .poll(() =>
      outline
        .getByRole('button')
        .allTextContents()
        .then((all) => all.findIndex((each) => each.startsWith('Opening hours'))),
    )
    .toBe(2)
  // A word typed on a chosen section changes nothing.
  await page.keyboard.type('hello')
  await page.keyboard.press('Escape')
  await expect(added).toBeVisible()
  await outline.getByRole('button', { name: /^Opening hours/ }).click()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Alt+h')
  await expect(added).toHaveCount(0)
  await expect(outline.getByRole('button', { name: 'Opening hours hidden' })).toBeVisible()
  // Keys do the same in the outline.
  await outline.getByRole('button', { name: 'Opening hours hidden' }).focus()
  await page.keyboard.press('Alt+h')
  await expect(added).toBeVisible()
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Control+d')
  await expect(added).toHaveCount(2)
  await page.keyboard.press('Delete')
  await expect(added).toHaveCount(1)

  // The outline opens by keys, and is searched.
  const row = outline.getByRole('button', { name: /^Opening hours/ })
  await row.focus()
  await page.keyboard.press('ArrowRight')
  await expect(row).toHaveAttribute('aria-expanded', 'true')
  await page.getByRole('button', { name: 'Find on this page' }).click()
  await page.getByLabel('Find on this page').last().fill('ring the bell')
  await outline.getByRole('button', { name: /Ring the bell/ }).click()
  await expect(page.getByTestId('trace').getByRole('heading', { level: 2 })).toContainText(
    'Ring the bell',
  )
  await isSaved(page)
  // Added, moved, hidden, shown, put once more, taken away.
  for (let i = 0; i < 6; i += 1) await undo(page)
  await expect(added).toHaveCount(0)
})

test('a section is dragged to another place on the map; entries are set beside the page', async ({
  page,
}) => {
  await openPaint(page)
  const outline = page.getByRole('group', { name: 'Outline' })
  const order = () => outline.getByRole('button').allTextContents()
  const before = await order()
  const from = (await outline.getByRole('button', { name: /^The bench/ }).boundingBox())!
  const to = (await outline.getByRole('button', { name: /^Opening/ }).boundingBox())!
  await page.mouse.move(from.x + 30, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(from.x + 30, from.y - 20, { steps: 4 })
  await page.mouse.move(to.x + 30, to.y + 12, { steps: 6 })
  await page.mouse.up()
  await expect.poll(async () => (await order())[1]).toContain('The bench')
  await undo(page)
  await expect.poll(order).toEqual(before)

  // Elements as well: before another one, into a section; by keys out of theirs and into the next.
  await outline.getByRole('button', { name: /^Join a workshop/ }).focus()
  await page.keyboard.press('ArrowRight')
  await outline.getByRole('button', { name: /^The bench/ }).focus()
  await page.keyboard.press('ArrowRight')
  const heading = outline.getByRole('button', { name: /^Seats are few/ })
  const bench = outline.getByRole('button', { name: /^The bench/ })
  const drag = async (what: typeof heading, onto: typeof heading) => {
    await what.scrollIntoViewIfNeeded()
    const a = (await what.boundingBox())!
    await page.mouse.move(a.x + 60, a.y + 8)
    await page.mouse.down()
    await page.mouse.move(a.x + 60, a.y - 4, { steps: 3 })
    const b = (await onto.boundingBox())!
    await page.mouse.move(b.x + 60, b.y + 8, { steps: 6 })
    await page.mouse.up()
  }
  const inSection = (id: string) =>
    stageFrame(page).locator(`[data-section="${id}"]`).getByText('Seats are few')
  await drag(heading, bench)
  await expect(inSection('bench')).toBeVisible()
  // The list scrolls by itself where one drags to its edge, so that the row it falls on may lie further up.
  await page.getByTestId('stage').focus()
  let steps = 0
  await expect(async () => {
    await page.keyboard.press('Alt+ArrowDown')
    steps += 1
    await expect(inSection('bench')).toHaveCount(0, { timeout: 2_000 })
  }).toPass()
  await isSaved(page)
  for (let i = 0; i <= steps; i += 1) await undo(page)
  await expect(inSection('bench')).toHaveCount(0)
  await expect.poll(async () => (await order()).length).toBeGreaterThan(before.length)
  await expect(inSection('join')).toBeVisible()

  await clickOnStage(page, 'header .navigation')
  await page.getByRole('button', { name: 'Links, One below the other' }).click()
  await page.getByRole('button', { name: 'Add a link' }).click()
  const words = page.getByLabel('Words', { exact: true })
  await words.fill('Gift cards')
  await words.press('Enter')
  await expect(stageFrame(page).locator('header .navigation')).toContainText('Gift cards')
  await page.getByRole('button', { name: 'Move Gift cards up' }).click()
  await expect(stageFrame(page).locator('header .navigation')).toContainText('Gift cardsAbout')
  await page.getByRole('button', { name: 'Take Gift cards away' }).click()
  await expect(stageFrame(page).locator('header .navigation')).not.toContainText('Gift cards')
  await isSaved(page)
  for (let i = 0; i < 4; i += 1) await undo(page)
})

test('two windows: words that both write are told; what is taken away meanwhile can be put back', async ({
  page,
}) => {
  await page.clock.install()
  await openPaint(page)
  const other = await anotherWindow(page)
  await write(page, '.quote-words')
  // Time stands still in this window: what is written does not come to rest before theirs lands.
  await page.clock.pauseAt(Date.now() + 60_000)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Ours')
  await write(other, '.quote-words')
  await other.keyboard.press('Control+a')
  await other.keyboard.type('Theirs')
  await other.keyboard.press('Escape')
  await isSaved(other)
  // Whoever is behind is told, and nothing is lost: the words stay in the field.
  const told = page.getByTestId('words').getByRole('alert')
  await expect(told).toContainText('Theirs')
  await expect(words(page)).toHaveText('Ours')
  await page.clock.resume()
  await told.getByRole('button', { name: 'Take theirs' }).click()
  await expect(
    stageFrame(page)
      .locator('.quote-words', { hasText: /^Theirs$/ })
      .first(),
  ).toBeVisible()

  await page.keyboard.press('Control+End')
  await clickOnStage(other, '.quote-words')
  await other.getByTestId('stage').focus()
  await other.keyboard.press('Delete')
  await expect(other.getByText('Quote removed.')).toBeVisible()
  await isSaved(other)
  await expect(page.getByText(/was taken away while you wrote in it/)).toBeVisible()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(stageFrame(page).locator('.quote-words', { hasText: 'Theirs' })).toBeVisible()
  await isSaved(page)
  await other.close()
  // Put back, taken away, reworded.
  for (let i = 0; i < 3; i += 1) await undo(page)
  await expect(stageFrame(page).locator('.quote-words', { hasText: 'Theirs' })).toHaveCount(0)
})

test('words that were on their way while others’ landed are shown in full, to be copied', async ({
  page,
  context,
}) => {
  await openPaint(page)
  const other = await anotherWindow(page)
  let letGo = () => {}
  const held = new Promise<void>((done) => (letGo = done))
  await page.route('**/edits', async (route) => {
    await held
    await route.continue()
  })
  const mine = 'Ours took long, on a line that was slow'
  const replaced = async (window: Page, text: string) => {
    await write(window, '.quote-words')
    await window.keyboard.press('Control+a')
    await window.keyboard.type(text)
    await window.keyboard.press('Escape')
  }
  await replaced(page, mine)
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saving')
  await replaced(other, 'Theirs')
  await isSaved(other)
  letGo()
  const told = page.getByRole('alert').filter({ hasText: 'could not be kept' })
  await expect(told).toContainText('the text was changed in the meantime')
  await expect(told.getByRole('blockquote')).toHaveText(mine)
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await told.getByRole('button', { name: 'Copy it' }).click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(mine)
  await told.getByRole('button', { name: 'Understood' }).click()
  await expect(stageFrame(page).locator('.quote-words', { hasText: 'Theirs' })).toBeVisible()
  await other.close()
  await undo(page)
  await expect(stageFrame(page).locator('.quote-words', { hasText: 'Theirs' })).toHaveCount(0)
})
