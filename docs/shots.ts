import path from 'node:path'
import type { Page } from '@playwright/test'
import { openBrowser } from '../bench/browser'
import { clickOnStage, openPaint, openView, stageFrame, tern } from '../e2e/editor'

interface Shot {
  readonly name: string
  readonly dark?: boolean
  readonly take: (page: Page) => Promise<void>
}

/** Asks the server for something; a refusal would show in the picture as something missing. */
async function send(page: Page, what: string, data: unknown): Promise<void> {
  const answer = await page.request.post(`/api/sites/tern-and-thistle/${what}`, { data })
  if (!answer.ok()) throw new Error(`${what}: ${answer.status()} ${await answer.text()}`)
}

/** One picture per main view. */
const shots: readonly Shot[] = [
  { name: 'shelf', take: async (page) => void (await page.goto('/')) },
  {
    name: 'paint',
    take: async (page) => {
      await openPaint(page)
      await clickOnStage(page, '[data-section="opening"] .main-button')
    },
  },
  {
    name: 'ledger',
    take: async (page) => {
      await openPaint(page)
      await page
        .getByRole('button', { name: /^The bench/ })
        .first()
        .click()
      await page.getByRole('radio', { name: 'this section' }).click()
      await page.getByRole('radio', { name: 'Gradient' }).click()
      await page.locator('aside[aria-label=Trace]').evaluate((node) => node.scrollTo(0, 290))
    },
  },
  {
    name: 'slot',
    take: async (page) => {
      await openPaint(page)
      await page.locator('[data-slot="brand"]').click()
    },
  },
  {
    name: 'study',
    take: async (page) => {
      await openPaint(page)
      await page.getByRole('button', { name: 'A picture' }).click()
      await page.getByRole('button', { name: /marbled paper in green, cream and rust/ }).click()
      await page.getByRole('button', { name: /^Apply to [1-9]/ }).waitFor()
    },
  },
  {
    name: 'words',
    take: async (page) => {
      await openView(page, '/sweep/words')
      await page.getByRole('textbox', { name: 'Replace' }).fill('paper')
      await page.getByRole('textbox', { name: 'by', exact: true }).fill('parchment')
      await page.getByRole('button', { name: /^Sweep \d+ places$/ }).waitFor()
    },
  },
  {
    name: 'add-ons',
    take: async (page) => {
      await page.goto(`${tern}/add-ons`)
      await page.getByTestId('add-on-preview').waitFor()
    },
  },
  {
    name: 'specimen',
    take: async (page) => {
      await page.goto(`${tern}/themes`)
      await page.getByRole('button', { name: 'Specimen' }).click()
      await page.getByRole('button', { name: 'Fill', exact: true }).first().click()
      await page.locator('[data-outline=cell]').first().waitFor()
    },
  },
  {
    name: 'rhythm',
    take: async (page) => {
      await page.goto(`${tern}/rhythm`)
      await page
        .getByRole('button', { name: /^Newsletter/ })
        .first()
        .click()
    },
  },
  {
    name: 'paint-dark',
    dark: true,
    take: async (page) => {
      await openPaint(page)
      await page.getByRole('button', { name: /^The bench/ }).click()
    },
  },
  {
    name: 'themes',
    take: async (page) => {
      await page.goto(`${tern}/themes`)
      await page.getByRole('button', { name: 'Fill', exact: true }).first().click()
    },
  },
  {
    name: 'sweep',
    take: async (page) => {
      await page.goto(`${tern}/sweep`)
      await page.locator('[data-entry="1c5a54ff"]').click()
      await page.getByRole('button', { name: /^Replace by/ }).click()
      const chooser = page.getByRole('dialog', { name: 'Replace by' })
      await chooser.getByRole('button', { name: 'A loose colour' }).click()
      await chooser.getByLabel('Any notation').fill('#6b2d5c')
      await page.keyboard.press('Enter')
      await page.keyboard.press('Escape')
      await page.getByText('stays loose').waitFor()
      await page.getByRole('button', { name: /^Sweep / }).waitFor()
    },
  },
  {
    name: 'history',
    take: async (page) => {
      await send(page, 'edits', {
        base: 0,
        edits: [
          { type: 'setSlot', slot: 'spark', value: '#c9502a' },
          {
            type: 'setSectionTheme',
            sections: [{ doc: 'home', section: 'words' }],
            theme: 'on-brand',
          },
        ].map((edit) => ({ clientId: crypto.randomUUID(), edit })),
      })
      await page.goto(`${tern}/sweep`)
      await page.locator('[data-entry="1c5a54ff"]').click()
      await page.getByRole('button', { name: /^Sweep / }).click()
      await page.getByText(/uses replaced/).waitFor()
      await page.goto(`${tern}/history`)
      await page.getByText('Every change, newest first').waitFor()
    },
  },
  {
    name: 'published',
    take: async (page) => {
      await send(page, 'publication', {})
      // Publishing is done beside the server: a picture of a page that is not there yet is none.
      for (let tries = 0; tries < 100; tries += 1) {
        const answer = await page.goto('/published/tern-and-thistle/workshops.html')
        if (answer?.ok()) return
        await page.waitForTimeout(300)
      }
      throw new Error('the demo site was not published within 30 seconds')
    },
  },
  {
    name: 'library',
    take: async (page) => {
      await openPaint(page)
      await page.getByRole('button', { name: 'Add a section before The bench' }).click()
      await page
        .getByRole('group', { name: 'Sections to add' })
        .getByRole('button')
        .nth(9)
        .waitFor()
    },
  },
  {
    name: 'writing',
    take: async (page) => {
      await openPaint(page)
      await page
        .getByRole('group', { name: 'Outline' })
        .getByRole('button', { name: /^Opening/ })
        .focus()
      await page.keyboard.press('ArrowRight')
      await clickOnStage(page, 'h1')
      await page.keyboard.press('Enter')
      await stageFrame(page).locator('[contenteditable=true]').waitFor()
      await page.keyboard.press('Control+a')
      await page.getByRole('button', { name: 'Colour of these words' }).click()
    },
  },
  {
    name: 'begin',
    take: async (page) => {
      await page.goto('/')
      await page.getByRole('button', { name: 'Begin a site' }).click()
      await page.getByLabel('Name of the site').fill('Spindle Cycles')
      await page.getByLabel(/Colours of yours/).fill('#5b2a86, #f2b705')
      await page.waitForTimeout(3000)
    },
  },
  {
    name: 'livery',
    take: async (page) => {
      await openView(page, '/looks')
      await page.getByRole('radio', { name: 'Liveries' }).click()
      await page.getByRole('radio', { name: 'Late Kitchen' }).click()
      await page.getByRole('slider', { name: 'Divider between before and after' }).waitFor()
      // Typefaces of the other livery come once the page is drawn in them.
      await page.waitForTimeout(1500)
    },
  },
  // It changes the site for those behind it: the last one.
  {
    name: 'looks',
    take: async (page) => {
      await openView(page, '/looks')
      await page.getByRole('radio', { name: 'Type' }).click()
      await page
        .getByRole('combobox', { name: 'Typeface of headings' })
        .selectOption({ label: 'Unbounded' })
      await page.getByText('three widths').waitFor({ timeout: 90_000 })
    },
  },
]

const browser = await openBrowser()
for (const { name, dark, take } of shots) {
  const context = await browser.newContext({
    baseURL: process.env.EASEL_ADDRESS,
    viewport: { width: 1280, height: 800 },
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await take(page)
  // The number beside Sweep comes a moment after its view; the demo always has one.
  const isView = (await page.getByRole('navigation', { name: 'Views' }).count()) > 0
  if (isView) await page.getByRole('img', { name: /left behind/, includeHidden: true }).waitFor()
  await page.waitForTimeout(500)
  // Faces that come late would show others in their place; a frame that went meanwhile has none.
  await Promise.all(
    page
      .frames()
      .map((frame) =>
        frame.evaluate(() => document.fonts.ready.then(() => true)).catch(() => false),
      ),
  )
  await page.screenshot({ path: path.join(import.meta.dirname, 'screenshots', `${name}.png`) })
  // A window that goes says so: the next picture does not count it among those that are here.
  await page.goto('about:blank')
  await context.close()
}
await browser.close()
