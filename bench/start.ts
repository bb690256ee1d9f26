import { gzipSync } from 'node:zlib'
import { openBrowser } from './browser'

/** How long after a window has loaded its quiet moment is waited for, in milliseconds. */
const QUIET = 5000

/** The script that a window on a site is sent, as gzip: until it can be used, and in its first quiet moment. */
export async function benchStart(): Promise<void> {
  const address = process.env.EASEL_ADDRESS
  if (!address) throw new Error('EASEL_ADDRESS is not set; run ./easel bench')
  const browser = await openBrowser()
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const sent = { atOnce: 0, later: 0 }
  let isLoaded = false
  page.on('response', (response) => {
    if (response.request().resourceType() !== 'script') return
    const when = isLoaded ? 'later' : 'atOnce'
    void response.body().then((body) => {
      sent[when] += gzipSync(body, { level: 9 }).length
    })
  })
  await page.goto(`${address}/sites/tern-and-thistle`, { waitUntil: 'load' })
  isLoaded = true
  await page.waitForTimeout(QUIET)
  await browser.close()
  const kB = (bytes: number) => `${(bytes / 1000).toFixed(0)} kB`
  console.log('\nScript of a window on a site, gzip')
  console.log(`until it can be used        ${kB(sent.atOnce)} (at most 250 kB)`)
  console.log(`in its first quiet moment   ${kB(sent.later)}`)
}
