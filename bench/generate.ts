import { build } from 'esbuild'
import path from 'node:path'
import { median, openBrowser } from './browser'

/** A frame of 60 a second, in ms. */
const FRAME = 1000 / 60

/** The 95th of a hundred. */
const p95 = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)]!

/** Generating all themes while one slot of a palette is dragged, in Chromium, against the contrast of all slot pairs by the reference library. */
export async function benchGeneration(): Promise<void> {
  const bundle = await build({
    entryPoints: [path.join(import.meta.dirname, 'generate-page.ts')],
    bundle: true,
    write: false,
    minify: true,
    format: 'iife',
    globalName: 'measured',
    // The reference library's build for CommonJS is the one that Node and the tests load.
    mainFields: ['main'],
  })
  const browser = await openBrowser()
  const page = await browser.newPage()
  await page.addScriptTag({ content: bundle.outputFiles[0]!.text })
  console.log(
    '\nGenerating all themes while one slot is dragged, ms (300 drags, after 60 to warm up)',
  )
  console.log('slots   median      p95   of a frame   pairs by reference   ratio')
  for (const slots of [6, 12, 24, 64]) {
    const { ours, pairs } = await page.evaluate((count) => {
      const { measured } = window as unknown as {
        measured: { run: (slots: number) => { ours: number[]; pairs: number[] } }
      }
      return measured.run(count)
    }, slots)
    const [own, reference] = [p95(ours), median(pairs)]
    console.log(
      `${String(slots).padStart(5)}${median(ours).toFixed(2).padStart(9)}${own.toFixed(2).padStart(9)}${(own / FRAME).toFixed(2).padStart(13)}${reference.toFixed(3).padStart(21)}${(median(ours) / reference).toFixed(0).padStart(8)}`,
    )
  }
  await browser.close()
}
