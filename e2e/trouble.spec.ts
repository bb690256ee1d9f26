import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, test, type Browser, type Page } from '@playwright/test'
import {
  anotherWindow,
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  setSlot,
  stageFrame,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

const heading = '[data-section="opening"] h1'

test('a colour that is none is told where it was typed, and nothing changes', async ({ page }) => {
  await openPaint(page)
  const before = await computedOnStage(page, heading, 'color')
  for (const [text, words] of [
    ['#12345', /3, 4, 6 or 8 digits/],
    ['#GGG', /only 0–9 and A–F/],
    ['#17211F0', /3, 4, 6 or 8 digits/],
    ['rgb(300)', /That is no colour/],
    [' ', /Type a colour/],
  ] as const) {
    await setSlot(page, 'ink', text)
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible()
    await expect(page.getByLabel('Colour, in any notation', { exact: true })).toHaveValue(text)
    await page.keyboard.press('Escape')
    await page.keyboard.press('Escape')
  }
  await expect.poll(() => computedOnStage(page, heading, 'color')).toBe(before)
  await isSaved(page)
})

test('a name that is too long is told; one with markup is shown as it is', async ({ page }) => {
  await openPaint(page, '/sites/ferrybank')
  await page.locator('[data-slot="tar"]').click()
  const name = page.getByLabel('Name', { exact: true })
  await name.fill('x'.repeat(10_000))
  await name.press('Enter')
  await expect(page.getByText('× A name has 1 to 60 characters.')).toBeVisible()
  await name.fill('<img src=x onerror=alert(1)>')
  await name.press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-slot="tar"]')).toContainText('<img src=x onerror=alert(1)>')
  await isSaved(page)
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.locator('[data-slot="tar"]')).toContainText('Tar')
})

test('two windows: the later one is told, loads, and its change is replayed', async ({ page }) => {
  await openPaint(page)
  const other = await anotherWindow(page)
  await setSlot(page, 'slate', '#4a5a6a')
  await isSaved(page)
  await setSlot(other, 'ink', '#101820')
  await isSaved(other)
  // Both changes are there, in both windows.
  await expect(other.locator('[data-slot="slate"]')).toContainText('#4a5a6a')
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
  await expect(page.locator('[data-slot="ink"]')).toContainText('#101820')
  for (let i = 0; i < 2; i += 1) {
    await page.keyboard.press('Escape')
    await undo(page)
  }
  await expect(page.locator('[data-slot="ink"]')).toContainText('#17211F')
  await expect(page.locator('[data-slot="slate"]')).toContainText('#5C6866')
})

const NEWS = ['**/live?*', '**/changes?*']

const deafWindows: Page[] = []
test.afterEach(async () => {
  for (const window of deafWindows.splice(0)) await window.context().close()
})

/** A window that hears nothing of the others: another browser, whose questions after news get no answer. */
async function deafWindow(browser: Browser): Promise<Page> {
  const window = await (await browser.newContext()).newPage()
  for (const address of NEWS) await window.route(address, (route) => route.abort())
  deafWindows.push(window)
  return window
}
async function hearAgain(deaf: Page): Promise<void> {
  for (const address of NEWS) await deaf.unroute(address)
  await deaf.evaluate(() => window.dispatchEvent(new Event('focus')))
}

test('a change whose target is gone is shown, not dropped in silence', async ({
  page,
  browser,
}) => {
  await openPaint(page, '/sites/ferrybank')
  await page.getByRole('button', { name: 'Add a slot' }).click()
  // The slot is there when its editor opens.
  await page.getByLabel('Name', { exact: true }).waitFor()
  await isSaved(page)
  const added = page.locator('[data-slot]').last()
  const slot = (await added.getAttribute('data-slot'))!
  const other = await deafWindow(browser)
  await openPaint(other, '/sites/ferrybank')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.locator(`[data-slot="${slot}"]`)).toHaveCount(0)
  await setSlot(other, slot, '#ff8800')
  await expect(other.getByRole('alert').filter({ hasText: 'could not be kept' })).toContainText(
    'the slot is no longer in the palette',
  )
  await hearAgain(other)
  await other.getByRole('button', { name: 'Understood' }).click()
  await expect(other.locator(`[data-slot="${slot}"]`)).toHaveCount(0)
})

test('while nothing can be stored, changes stay on screen and through a reload, and are sent later', async ({
  page,
}) => {
  await openPaint(page)
  await page.route('**/edits', (route) =>
    route.fulfill({ status: 503, json: { problem: { code: 'database-away' } } }),
  )
  await setSlot(page, 'mist', '#e0e8f0')
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'waiting')
  await expect(page.locator('[data-slot="mist"]')).toContainText('#e0e8f0')
  await expect
    .poll(() => computedOnStage(page, '[data-section="this-month"]', 'background-color'))
    .toBe('rgb(224, 232, 240)')
  await page.reload()
  await expect(page.locator('[data-slot="mist"]')).toContainText('#e0e8f0')
  await page.unroute('**/edits')
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved', {
    timeout: 20_000,
  })
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await expect(page.locator('[data-slot="mist"]')).toContainText('#DCE5E0')
})

test('nothing inside a site can run or call out', async ({ page, request }) => {
  const site = await (await request.get('/api/sites/ferrybank')).json()
  const heard: string[] = []
  const elsewhere = createServer((sent, answer) => {
    heard.push(sent.url ?? '')
    answer.end()
  })
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve))
  const { port } = elsewhere.address() as AddressInfo
  const there = `http://127.0.0.1:${port}`
  const css = `@import url("${there}/x.css"); .inner { background: url("${there}/x.png"); } </style><script>window.top.ran = 1</script>`
  // It is turned away where it is set …
  const answer = await request.post('/api/sites/ferrybank/edits', {
    data: {
      base: site.revision,
      edits: [{ clientId: crypto.randomUUID(), edit: { type: 'setCustomCss', css } }],
    },
  })
  expect(await answer.json()).toMatchObject({ problem: { problem: 'css-reaches-out' } })
  await openPaint(page, '/sites/ferrybank')
  await stageFrame(page)
    .locator('body')
    .evaluate((body) => {
      body.insertAdjacentHTML(
        'beforeend',
        '<img src="data:," onerror="window.top.ran = 2"><svg onload="window.top.ran = 3"></svg>',
      )
    })
  // … and were it there all the same, the stage's policy would hold: asked for, and each time refused.
  const told: string[] = []
  page.on('console', (message) => told.push(message.text()))
  await stageFrame(page)
    .locator('body')
    .evaluate(({ ownerDocument: stage }, text) => {
      const style = stage.createElement('style')
      style.textContent = text
      stage.head.append(style)
    }, css)
  for (const file of ['x.css', 'x.png']) {
    const isRefused = (text: string) => text.includes(`${there}/${file}`) && /polic/i.test(text)
    await expect.poll(() => told.some(isRefused)).toBe(true)
  }
  expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined()
  expect(heard).toEqual([])
  elsewhere.close()
})

test('an address that leads nowhere says so', async ({ page }) => {
  const response = await page.goto('/sites/no-such-site')
  expect(response?.status()).toBe(404)
  await expect(page.getByText('There is nothing at this address')).toBeVisible()
  await page.goto(`${tern}/history`)
  await expect(page.getByText('Every change, newest first')).toBeVisible()
})

test('two people who change the same cell are both told, and both decisions are kept', async ({
  page,
  browser,
}) => {
  const cell = '[data-cell="on-paper/link"]'
  const decide = async (window: typeof page, text: string) => {
    await window.locator(cell).click()
    await window.keyboard.type(text)
    await window.keyboard.press('Enter')
  }
  const other = await deafWindow(browser)
  for (const window of [page, other]) await window.goto(`${tern}/themes`)
  await decide(page, 'brand -14')
  await expect(page.locator(cell)).toContainText('Brand −14')
  await isSaved(page)
  await decide(other, 'ink')
  const told = (window: typeof page, words: string) =>
    window.getByRole('alert').filter({ hasText: words })
  await expect(told(other, 'Yours stands')).toContainText('Link in On Paper: Ink')
  await isSaved(other)
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
  await expect(told(page, 'Theirs stands')).toContainText('Link in On Paper: Brand −14')
  await expect(page.locator(cell)).toContainText('Ink')
  await page.getByRole('button', { name: 'Understood' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'stands' })).toHaveCount(0)
  // Undo brings back what the other one had decided, then what was there before.
  await undo(page)
  await expect(page.locator(cell)).toContainText('Brand −14')
  await undo(page)
  await expect(page.locator(cell)).toContainText(/Brand\s*✓/)
})
