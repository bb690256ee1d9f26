import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test, type Page } from '@playwright/test'
import { clickOnStage, openPaint, openSnippetCode, openView, views, type View } from './editor'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** The looks of the editor, and what is asked of each: all in one, and what is other in the other. */
const LOOKS = [
  ['light', { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag22aa'] }],
  ['dark', { type: 'rule', values: ['color-contrast'] }],
] as const

/** axe-core 4 on the editor's own interface, or a part of it; the stage shows the owner's site, good or bad. */
async function violations(page: Page, include?: string): Promise<string[]> {
  await page.evaluate(axe)
  const found: string[] = []
  for (const [look, runOnly] of LOOKS) {
    for (const each of await foundBy(page, look, runOnly, include)) found.push(`${look}, ${each}`)
  }
  await page.evaluate((look) => (document.documentElement.dataset.chrome = look), LOOKS[0][0])
  return found
}

function foundBy(page: Page, look: string, runOnly: object, include?: string): Promise<string[]> {
  return page.evaluate(
    async ([look, runOnly, part]) => {
      document.documentElement.dataset.chrome = look
      const { axe: runner } = window as unknown as {
        axe: {
          run: (
            context: object,
            options: object,
          ) => Promise<{ violations: Array<{ id: string; nodes: Array<{ html: string }> }> }>
        }
      }
      const result = await runner.run(
        {
          ...(part ? { include: [part] } : {}),
          exclude: [
            'iframe',
            '[data-cell]',
            '[aria-label="Map of the site"]',
            // Themes drawn in the owner's own colours, good or bad.
            '[aria-label^="Theme of "]',
            '[aria-label="Contrast"] [aria-hidden]',
            '[aria-label="Hard to read after it"] [aria-hidden]',
            'main ul button[aria-pressed][style]',
            '[aria-label="Studies and ways in"] [aria-hidden]',
          ],
        },
        { runOnly, iframes: false },
      )
      return result.violations.map(
        ({ id, nodes }) =>
          `${id}: ${nodes
            .slice(0, 2)
            .map(({ html }) => html.slice(0, 120))
            .join(' | ')}`,
      )
    },
    [look, runOnly, include] as const,
  )
}

const layers = '[role="dialog"], [role="alertdialog"], [role="menu"], [role="listbox"]'

/** Opens whatever says that it opens something, one of each sort, and looks at what it opens. */
async function openAll(page: Page, view: View): Promise<void> {
  const openers = page.locator('[aria-haspopup]:visible, [role="combobox"]:visible')
  const names = await openers.evaluateAll((all) =>
    all.map((each) => each.getAttribute('aria-label') ?? each.textContent ?? ''),
  )
  // One theme's menu is like another's: the sort of a name is its first words.
  const sorts = new Map(names.map((name, i) => [name.split(/[,:]/)[0]!.slice(0, 9), i]))
  expect(sorts.size).toBeGreaterThan(0)
  for (const [sort, i] of sorts) {
    await openers.nth(i).click()
    await page.locator(layers).last().waitFor()
    expect({ view, sort, found: await violations(page, layers) }).toEqual({ view, sort, found: [] })
    await page.keyboard.press('Escape')
    await expect(page.locator(layers)).toHaveCount(0)
  }
}

type Door = (page: Page) => Promise<void>
const press =
  (...names: Array<string | RegExp>): Door =>
  async (page) => {
    for (const name of names) {
      const role = page.getByRole('menuitem', { name })
      await page.getByRole('button', { name, exact: true }).or(role).last().click()
    }
  }
const pane =
  (name: string): Door =>
  (page) =>
    page.getByLabel('Looks', { exact: true }).getByRole('radio', { name, exact: true }).click()
const slot = (deed: string): Door => press(/^Spark, /, deed)

/** What stands in a view only once something is chosen. */
const situations: ReadonlyArray<readonly [View, Door]> = [
  ['', (page) => clickOnStage(page, '[data-section="opening"] .main-button')],
  // A gradient, which is taken hold of on the page.
  ['', (page) => clickOnStage(page, '[data-section="newsletter"]')],
  ['', press('List or file')],
  ['', press('Eight others')],
  ['/sweep', (page) => page.locator('[data-entry="2e6fb7ff"]').click()],
  ['/themes', (page) => page.locator('[data-cell="on-ink/link"]').click()],
  ['/looks', pane('Type')],
  ['/looks', pane('Styles')],
  [
    '/looks',
    async (page) => {
      await pane('Liveries')(page)
      await page.getByRole('radio', { name: 'Late Kitchen' }).click()
      await page.getByRole('region', { name: /^Trying on/ }).waitFor()
    },
  ],
  [
    '/looks',
    async (page) => {
      await pane('CSS')(page)
      await page.getByRole('textbox', { name: 'Custom CSS' }).waitFor()
    },
  ],
]

/** A sweep that is ready to be carried out, and has much to tell. */
async function greenToRed(page: Page): Promise<void> {
  await page.locator('[data-entry="1c5a54ff"]').first().click()
  await page.getByRole('button', { name: /^Replace by/ }).click()
  await page.getByRole('button', { name: 'A loose colour' }).click()
  await page.getByLabel('Any notation').fill('#d9a0a0')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.getByText('stays loose').waitFor()
  await page.getByRole('region', { name: 'Hard to read after it' }).waitFor()
}

/** Dialogs by what leads to them. */
const dialogs: ReadonlyArray<readonly [string, View, Door]> = [
  ['Keys', '', (page) => page.keyboard.press('?')],
  [
    'Where is it set?',
    '',
    async (page) => {
      await page.keyboard.press('f')
      await page.getByRole('combobox', { name: /A shape, a part/ }).fill('hover')
      await page.getByRole('option').first().waitFor()
    },
  ],
  ['The code of the snippet', '', openSnippetCode],
  ['Publish', '', press('Publish')],
  ['Add a page', '', press(/^Page: /, 'Add a page …')],
  ['The page Home', '', press(/^Page: /, 'Title and address …')],
  ['Take the palette along', '', press('The palette as a whole', 'Export, carry, share …')],
  ['Tints and shades', '', press('The palette as a whole', 'Tints and shades …')],
  ['Remove Spark', '', slot('Remove …')],
  ['Empty Spark', '', slot('Empty the slot')],
  ['Pick from a picture', '', slot('Pick from a picture')],
  ['Generate the themes from the palette', '/themes', press('Generate …')],
  ['Rename On Spark', '/themes', press('The theme On Spark', 'Rename …')],
  ['Remove On Spark', '/themes', press('The theme On Spark', 'Remove …')],
  [
    'Recolour shopfront.jpg',
    '/sweep',
    async (page) => {
      await greenToRed(page)
      await page.getByRole('button', { name: 'Recolour shopfront.jpg …' }).click()
      await page.getByText(/% of the picture is recoloured/).waitFor()
    },
  ],
  [
    'Keep these pairs as a recipe',
    '/sweep',
    async (page) => {
      await greenToRed(page)
      await press('Recipes', 'Keep these pairs …')(page)
    },
  ],
]

test('paint, with a trace and an open slot', async ({ page }) => {
  await openPaint(page)
  expect(await violations(page)).toEqual([])
  await clickOnStage(page, '[data-section="opening"] .main-button')
  await page.keyboard.press('3')
  await expect(page.getByLabel('Colour, in any notation', { exact: true })).toBeVisible()
  expect(await violations(page)).toEqual([])
})

test('paint, with each way in', async ({ page }) => {
  await openPaint(page)
  for (const way of [
    'List or file',
    'A picture',
    'One colour',
    'Ready-made',
    'Eight others',
    'Brighter …',
  ]) {
    await page.getByRole('button', { name: way }).click()
    await page.getByTestId('trial').waitFor()
    expect({ way, found: await violations(page) }).toEqual({ way, found: [] })
  }
})

for (const view of views.filter((each) => each !== '')) {
  test(view, async ({ page }) => {
    await openView(page, view)
    if (view === '/sweep') {
      await page.locator('[data-entry="2e6fb7ff"]').click()
      await expect(page.getByTestId('pair')).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.reload()
      await openView(page, view)
      await greenToRed(page)
    }
    if (view === '/themes') await page.locator('[data-cell="on-ink/link"]').click()
    expect(await violations(page)).toEqual([])
  })
}

test('every menu and every small window', async ({ page }) => {
  test.slow()
  for (const view of views) {
    await openView(page, view)
    await openAll(page, view)
  }
})

test('every menu and every small window of what is chosen', async ({ page }) => {
  test.slow()
  for (const [view, choose] of situations) {
    await openView(page, view)
    await choose(page)
    await openAll(page, view)
  }
})

test('every dialog', async ({ page }) => {
  test.slow()
  for (const [title, view, open] of dialogs) {
    await openView(page, view)
    await open(page)
    const dialog = page.getByRole('dialog', { name: title })
    await dialog.waitFor()
    const found = await violations(page, '[role="dialog"]')
    expect({ title, found }).toEqual({ title, found: [] })
    await page.keyboard.press('Escape')
    await expect(dialog).toHaveCount(0)
  }
})

test('shelf, its menus and dialogs', async ({ page }) => {
  await page.goto('/')
  expect(await violations(page)).toEqual([])
  const menu = page.getByRole('button', { name: /^What to do with Ferrybank/ })
  for (const deed of ['', 'Rename …', 'Begin another from it …', 'Remove …']) {
    await menu.click()
    await page.getByRole('menu').waitFor()
    if (deed) await page.getByRole('menuitem', { name: deed }).click()
    await page.getByRole(deed ? 'dialog' : 'menu').waitFor()
    expect({ deed, found: await violations(page, layers) }).toEqual({ deed, found: [] })
    await page.keyboard.press('Escape')
    await expect(page.locator(layers)).toHaveCount(0)
  }
})

test('the editor opens in the look that the system asks for', async ({ page }) => {
  for (const colorScheme of ['dark', 'light'] as const) {
    await page.emulateMedia({ colorScheme })
    await page.goto('/')
    await expect(page.locator('html')).toHaveAttribute('data-chrome', colorScheme)
  }
})

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
] as const) {
  test(`at ${width}×${height} nothing is cut off sideways`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    const over = () =>
      page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - window.innerWidth))
    await page.goto('/')
    expect({ path: '/', over: await over() }).toEqual({ path: '/', over: 0 })
    for (const view of views) {
      await openView(page, view)
      expect({ view, over: await over() }).toEqual({ view, over: 0 })
    }
  })
}
