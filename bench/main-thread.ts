import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import sharp from 'sharp'
import { openBrowser } from './browser'

/** A photograph's worth of pixels: 4000 × 3000 of soft noise over six areas, as JPEG. */
async function writePhoto(file: string): Promise<void> {
  const areas = ['#f7f2e7', '#1d5955', '#d65a2a', '#5c6866', '#17211f', '#dce5e0']
  const tiles = areas.map((background, i) => ({
    input: { create: { width: 1334, height: 1500, channels: 3 as const, background } },
    left: (i % 3) * 1333,
    top: Math.floor(i / 3) * 1500,
  }))
  const base = await sharp({
    create: { width: 4000, height: 3000, channels: 3, background: '#ffffff' },
  })
    .composite(tiles)
    .png({ compressionLevel: 0 })
    .toBuffer()
  const noise = await sharp({
    create: {
      width: 4000,
      height: 3000,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 14 },
    },
  })
    .png({ compressionLevel: 0 })
    .toBuffer()
  await sharp(base)
    .composite([{ input: noise, blend: 'overlay' }])
    .jpeg({ quality: 90 })
    .toFile(file)
}

/** The longest task on the main thread while the colours of a 12-megapixel photo are found in the editor. */
export async function benchMainThread(): Promise<void> {
  const address = process.env.EASEL_ADDRESS
  if (!address) throw new Error('EASEL_ADDRESS is not set; run ./easel bench')
  const browser = await openBrowser()
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}/sites/tern-and-thistle`)
  await page.getByRole('button', { name: 'A picture' }).click()
  const folder = mkdtempSync(path.join(tmpdir(), 'easel-bench-'))
  const file = path.join(folder, 'photo.jpg')
  await writePhoto(file)
  await page.waitForTimeout(1500)
  const start = await page.evaluate(() => {
    const held = window as unknown as { longest: number; shown: Promise<number> }
    held.longest = 0
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) held.longest = Math.max(held.longest, duration)
    }).observe({ type: 'longtask' })
    // Waited for in the page itself: asking from outside, again and again, would be counted too.
    held.shown = new Promise((resolve) => {
      const panel = document.querySelector('[data-testid=trial]')!
      new MutationObserver(() => panel.querySelector('img') && resolve(performance.now())).observe(
        panel,
        { childList: true, subtree: true },
      )
    })
    return performance.now()
  })
  await page.getByTestId('trial').locator('input[type=file]').setInputFiles(file)
  const shown = await page.evaluate(() => (window as unknown as { shown: Promise<number> }).shown)
  const took = Math.round(shown - start)
  await page.waitForTimeout(300)
  const longest = await page.evaluate(() => (window as unknown as { longest: number }).longest)
  await browser.close()
  rmSync(folder, { recursive: true })
  console.log('\nColours of a 12-megapixel photo in the editor, decode and worker included')
  console.log(`from choosing the file to the palette on the page   ${took} ms`)
  console.log(
    `longest task on the main thread                     ${longest ? `${longest} ms` : 'under 50 ms (none is counted as long)'}`,
  )
}
