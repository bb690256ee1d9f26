import { build } from 'esbuild'
import path from 'node:path'
import { fromOklch, writeHex } from '@/core/color'
import { renderSite } from '@/core/render'
import { median, openBrowser, spent } from './browser'
import { largePage } from './large-page'

const [SLOTS, FRAMES, ROUNDS] = [64, 40, 5]

/** The palette in frame `n`: every slot another colour than in the frame before. */
function paletteAt(n: number) {
  const slots = Array.from({ length: SLOTS }, (_, i) => {
    const l = 0.12 + (0.84 * ((i + n) % SLOTS)) / SLOTS
    const value = writeHex(fromOklch({ l, c: 0.12, h: (i * 37 + n * 5) % 360, alpha: 1 }))
    return [`s${i}`, { id: `s${i}`, name: `S ${i}`, was: [], value }] as const
  })
  return { slots: Object.fromEntries(slots) }
}

/** Shades and custom properties of 64 slots, against the style recalculation that they cause on the stage. */
export async function benchShades(): Promise<void> {
  const bundle = await build({
    entryPoints: [path.join(import.meta.dirname, 'fan.ts')],
    bundle: true,
    write: false,
    minify: true,
    format: 'iife',
    globalName: 'fan',
  })
  const docs = largePage(1000)
  const files = renderSite({ ...docs, frame: { ...docs.frame, customCss: '' } })
  const css = `${files.get('site.css')}\n[data-section] { --own: var(--slot-s1); border-color: var(--slot-s2--lighter-8) }`
  const html = files
    .get('large.html')!
    .replace(/<meta http-equiv[^>]*>|<link[^>]*>/g, '')
    .replace('</head>', () => `<style>${css}</style></head>`)
  const browser = await openBrowser()
  const page = await browser.newPage({
    viewport: { width: 1140, height: 800 },
    reducedMotion: 'reduce',
  })
  await page.setContent(html)
  await page.addScriptTag({ content: bundle.outputFiles[0]!.text })
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const run = () =>
    page.evaluate(
      async (palettes) => {
        const { fan } = window as unknown as {
          fan: { wholePalette: (palette: unknown) => Array<[string, string]> }
        }
        let computed = 0
        for (const palette of palettes) {
          await new Promise(requestAnimationFrame)
          const start = performance.now()
          const properties = fan.wholePalette(palette)
          computed += performance.now() - start
          for (const [name, value] of properties) {
            document.documentElement.style.setProperty(name, value)
          }
        }
        await new Promise(requestAnimationFrame)
        return computed
      },
      Array.from({ length: FRAMES }, (_, n) => paletteAt(n)),
    )
  await run()
  const ours: number[] = []
  const style: number[] = []
  for (let round = 0; round < ROUNDS; round += 1) {
    const before = await spent(session)
    ours.push((await run()) / FRAMES)
    style.push((((await spent(session)).style - before.style) * 1000) / FRAMES)
  }
  await browser.close()
  const [mine, theirs] = [median(ours), median(style)]
  console.log(
    `\nShades and custom properties of a 64-slot palette (320 properties), ms a frame (median of ${ROUNDS} runs of ${FRAMES} frames)`,
  )
  console.log(`computing them                       ${mine.toFixed(3).padStart(8)}`)
  console.log(`style recalculation, 1,000 elements  ${theirs.toFixed(3).padStart(8)}`)
  console.log(`ratio                                ${(mine / theirs).toFixed(3).padStart(8)}`)
}
