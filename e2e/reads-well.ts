import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Frame, Page } from '@playwright/test'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

interface Found {
  readonly violations: ReadonlyArray<{
    readonly nodes: ReadonlyArray<{ readonly html: string; readonly failureSummary?: string }>
  }>
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
