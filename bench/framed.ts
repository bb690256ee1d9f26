import type { Page } from '@playwright/test'
import { buildSync } from 'esbuild'
import { openBrowser } from './browser'
import { address } from './large-editor'

/** Code of ours as one script for a page. */
export const bundle = (contents: string) =>
  buildSync({
    stdin: { contents, resolveDir: process.cwd(), loader: 'tsx' },
    bundle: true,
    write: false,
    format: 'iife',
    jsx: 'automatic',
    logLevel: 'error',
    define: { 'process.env.NODE_ENV': '"production"', 'process.env': '{}' },
  }).outputFiles[0]!.text

/** A page of our own origin with frames such as the stage is drawn in. */
export async function framed(
  script: string,
  frames: number,
): Promise<{ page: Page; close: () => Promise<void> }> {
  const browser = await openBrowser()
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    bypassCSP: true,
  })
  const page = await context.newPage()
  // An empty page of the same origin, so that it may look into its frames.
  const blank = `${address}/bench-blank`
  await page.route(blank, (route) =>
    route.fulfill({ contentType: 'text/html', body: '<!doctype html><body></body>' }),
  )
  page.on('pageerror', (error) => console.error(error.message))
  await page.goto(blank)
  await page.evaluate(async (count) => {
    for (let i = 0; i < count; i += 1) {
      const frame = document.createElement('iframe')
      frame.src = '/stage'
      frame.sandbox.add('allow-same-origin')
      frame.style.cssText = 'position:fixed;top:0;left:0;width:1140px;height:900px;border:0'
      document.body.append(frame)
      await new Promise((resolve) => frame.addEventListener('load', resolve))
    }
  }, frames)
  await page.addScriptTag({ content: script })
  return { page, close: () => browser.close() }
}
