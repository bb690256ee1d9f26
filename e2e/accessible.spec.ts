import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test, type Page } from '@playwright/test'
import { clickOnStage, openPaint, openView, views } from './editor'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** axe-core 4 on the editor's own interface; the stage shows the owner's site, good or bad. */
async function violations(page: Page): Promise<string[]> {
  await page.evaluate(axe)
  const found = await page.evaluate(async () => {
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
        exclude: [
          'iframe',
          '[data-cell]',
          '[aria-label="Map of the site"]',
          // Themes drawn in the owner's own colours, good or bad.
          '[aria-label^="Theme of "]',
          '[aria-label="Contrast"] [aria-hidden]',
          'main ul button[aria-pressed][style]',
          '[aria-label="Studies and ways in"] [aria-hidden]',
        ],
      },
      { runOnly: ['wcag2a', 'wcag2aa', 'wcag22aa'], iframes: false },
    )
    return result.violations.map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 2)
          .map(({ html }) => html.slice(0, 120))
          .join(' | ')}`,
    )
  })
  return found
}

for (const scheme of ['light', 'dark'] as const) {
  test.describe(scheme, () => {
    test.use({ colorScheme: scheme })

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
        }
        if (view === '/themes') await page.locator('[data-cell="on-ink/link"]').click()
        expect(await violations(page)).toEqual([])
      })
    }

    test('shelf', async ({ page }) => {
      await page.goto('/')
      expect(await violations(page)).toEqual([])
    })
  })
}

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
