import { expect, test, type APIRequestContext, type Page } from '@playwright/test'

export const tern = '/sites/tern-and-thistle'

/** Opens a view of the demo site and waits until the stage is drawn. */
export async function openPaint(page: Page, site = tern): Promise<void> {
  await page.goto(site)
  await stageFrame(page).locator('[data-section]').first().waitFor()
}

/** Another window on the same page. */
export async function anotherWindow(page: Page, site = tern): Promise<Page> {
  const other = await page.context().newPage()
  await openPaint(other, site)
  return other
}

/** What each view of a site draws only once its own code runs in the browser. */
const landmarks = {
  '': '[data-testid="stage"]',
  '/themes': '[data-cell]',
  '/looks': '[data-testid="looks-stage"]',
  '/rhythm': '[aria-label^="Header of "]',
  '/add-ons': '[data-testid="add-on-preview"]',
  '/sweep': '[data-entry]',
  '/sweep/words': '[aria-label="What is replaced"]',
  '/sweep/font': '[aria-label="Typefaces in use"] button',
  '/sweep/picture': '[aria-label="Pictures in use"] img',
  '/sweep/link': '[aria-label="Where links lead"] button',
  '/sweep/address': '[aria-label="Addresses in links and words"] button',
  '/history': '[aria-label="Edits"]',
} as const
export type View = keyof typeof landmarks
/** Laid out as the pictures of Sweep are. */
const alike = new Set<View>(['/sweep/font', '/sweep/link', '/sweep/address'])
/** Every view that is laid out in a way of its own. */
export const views = (Object.keys(landmarks) as View[]).filter((view) => !alike.has(view))

/**
 * Opens one view of a site and waits until it is drawn in its own fonts. A silent network tells
 * less: the stage fetches ahead, and on a busy machine the silence may never be noticed.
 */
export async function openView(page: Page, view: View, site = tern): Promise<void> {
  await page.goto(`${site}${view}`)
  await page.locator(landmarks[view]).first().waitFor()
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
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

/** Where something of the stage is in view; it may be drawn anew while one looks for it. */
export async function boxOnStage(page: Page, selector: string) {
  const target = stageFrame(page).locator(selector).first()
  let box: Awaited<ReturnType<typeof target.boundingBox>> = null
  await expect(async () => {
    await target.scrollIntoViewIfNeeded({ timeout: 2_000 })
    box = await target.boundingBox({ timeout: 2_000 })
    expect(box).not.toBeNull()
  }).toPass()
  return box!
}

/** Clicks an element of the stage through the layer that lies above it. */
export async function clickOnStage(page: Page, selector: string): Promise<void> {
  const box = await boxOnStage(page, selector)
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

/** Takes the last change back, and waits until that is stored: on a state that others changed it is asked for again. */
export async function undo(page: Page): Promise<void> {
  const stored = page.waitForResponse(
    (response) => response.url().endsWith('/undo') && response.ok(),
  )
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click()
  await stored
}

/** Waits until nothing is told of an older state: what stands beside a table is drawn after it. */
export async function upToDate(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
}

/** The pages of the demo site in small, as they are stored. */
export async function storedPages(
  request: APIRequestContext,
): Promise<ReadonlyArray<{ id: string; bands: ReadonlyArray<{ id: string; theme: string }> }>> {
  return (await (await request.get(`/api${tern}/pages?count=100`)).json()).pages
}

/** Begins long work on the demo site, and waits until it is done. */
async function work(
  request: APIRequestContext,
  path: string,
  data: object,
  ends = /^done$/,
): Promise<void> {
  const begun = await (await request.post(`/api${tern}/${path}`, { data })).json()
  await expect
    .poll(async () => (await (await request.get(`/api${tern}/jobs/${begun.id}`)).json()).state)
    .toMatch(ends)
}

/** Publishes the demo site as it is stored, and waits until that is done. */
export const publishSite = (request: APIRequestContext): Promise<void> =>
  work(request, 'publication', {})

/** Goes back to a checkpoint of the demo site. */
export const goBackTo = (request: APIRequestContext, checkpoint: string): Promise<void> =>
  work(request, 'wide', { base: 'any', intent: { type: 'restore', checkpoint } })

/** For journeys that change the demo site: whatever becomes of one, the next finds it as it was. */
export function leavesTheSiteAsItWas(): void {
  let before: string
  test.beforeAll(async ({ request }) => {
    const name = 'Before a journey'
    // What the journey before left on its way may land in between.
    await expect(async () => {
      const { revision: base } = await (await request.get(`/api${tern}`)).json()
      const kept = await request.post(`/api${tern}/checkpoints`, { data: { base, name } })
      expect(kept.ok(), await kept.text()).toBe(true)
    }).toPass()
    const [taken] = await (await request.get(`/api${tern}/checkpoints`)).json()
    expect(taken.name).toBe(name)
    before = taken.id
  })
  // It is refused where nothing is other than it was.
  test.afterEach(({ request }) =>
    work(
      request,
      'wide',
      { base: 'any', intent: { type: 'restore', checkpoint: before } },
      /^(done|refused)$/,
    ),
  )
}

/** Opens the code of the demo site's snippet, by the search. */
export async function openSnippetCode(page: Page): Promise<void> {
  await page.keyboard.press('f')
  await page.getByRole('combobox', { name: /A shape, a part/ }).fill('embedded snippet text')
  await page
    .getByRole('option', { name: /^Embedded snippet/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Its code …' }).click()
  await page.getByRole('textbox', { name: 'Code of the snippet' }).waitFor()
}
