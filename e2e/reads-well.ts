import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Frame, Page } from '@playwright/test'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

interface Rule {
  readonly nodes: ReadonlyArray<{
    readonly html: string
    readonly element?: Element
    readonly failureSummary?: string
    readonly any: ReadonlyArray<{ readonly data?: { readonly contrastRatio?: number } }>
  }>
}

interface Found {
  readonly violations: readonly Rule[]
  readonly passes: readonly Rule[]
}

/** What axe-core finds hard to read in a page or a frame: text whose contrast is below WCAG 2.2 AA. */
export async function hardToRead(where: Page | Frame): Promise<string[]> {
  await where.evaluate(axe)
  return where.evaluate(async () => {
    const { axe: runner } = window as unknown as {
      axe: { run: (context: Document, options: object) => Promise<Found> }
    }
    const { violations } = await runner.run(document, {
      runOnly: ['color-contrast'],
      iframes: false,
    })
    return violations.flatMap(({ nodes }) =>
      nodes.map(({ html, failureSummary }) => `${html.slice(0, 90)} ${failureSummary ?? ''}`),
    )
  })
}

/**
 * The page on the editor's stage, in a window where axe-core can run (no script runs on the stage),
 * at rest and without custom CSS.
 */
export async function copyOfStage(stage: Frame, copy: Page): Promise<void> {
  const [html, width] = [await stage.content(), await stage.evaluate(() => window.innerWidth)]
  await copy.setViewportSize({ width, height: 900 })
  await copy.setContent(html.replaceAll(/ data-(?:pointed|held)="[^"]*"/g, ''))
  await copy.evaluate(() => document.querySelector('style[data-layer="custom"]')?.remove())
}

/** Which elements of a page axe-core finds too low in contrast, and the contrast of each that it can measure. */
export async function measuredByAxe(copy: Page) {
  await copy.evaluate(axe)
  return copy.evaluate(async () => {
    const { axe: runner } = window as unknown as {
      axe: { run: (context: Document, options: object) => Promise<Found> }
    }
    const { violations, passes } = await runner.run(document, {
      runOnly: ['color-contrast'],
      elementRef: true,
    })
    const told = (rules: readonly Rule[]) =>
      rules.flatMap(({ nodes }) =>
        nodes.map(({ element, any, html }) => ({
          id: element!.closest('[data-el]')?.getAttribute('data-el') ?? undefined,
          theme: element!.closest('[data-theme]')?.getAttribute('data-theme') ?? undefined,
          classes: [...element!.classList],
          isElement: element!.hasAttribute('data-el'),
          ratio: any[0]?.data?.contrastRatio,
          html: html.slice(0, 90),
        })),
      )
    return { low: told(violations), all: told([...violations, ...passes]) }
  })
}
