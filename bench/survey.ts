import { median } from './browser'
import { bundle, framed } from './framed'

const SURVEYED = 50

const SURVEY = `
import { designs, designSite } from './src/core/designs/ready'
import { createStageWriter } from './src/ui/stage/stage-document'
import { survey } from './src/ui/survey/survey'
import { surveyWidths } from './src/ui/survey/findings'
const all = designs.map((design) => designSite(design, design.id).docs).flatMap((docs) => Object.values(docs.pages).map((page) => ({ docs, page })))
const some = Array.from({ length: ${SURVEYED} }, (_, i) => all[i % all.length])
const pages = some.map(({ page }, i) => ({ id: page.id, title: page.title, path: String(i), order: String(i) }))
const wider = (docs) => ({ ...docs, frame: { ...docs.frame, settings: { ...docs.frame.settings, headingFace: 'Unbounded', titleFace: 'Unbounded' } } })
const frames = () => [...document.querySelectorAll('iframe')].map((frame) => ({ frame, document: frame.contentDocument }))
window.survey = async () => {
  const start = performance.now()
  const found = await survey({
    siteId: 'bench', frames: frames(), pages, signal: new AbortController().signal,
    load: async ({ path }) => { const { docs } = some[Number(path)]; return [docs, wider(docs)] },
    onProgress: () => undefined,
  })
  return [performance.now() - start, found.findings.length]
}
window.layOut = async () => {
  const start = performance.now()
  const held = frames()
  const writers = held.map(({ document }) => createStageWriter(document))
  for (const { docs, page } of some) {
    for (const [i, shown] of [docs, wider(docs)].entries()) {
      writers[i].write('bench', shown, page.id)
      void held[i].document.body.offsetHeight
      while (held[i].document.fonts.status !== 'loaded') await new Promise((resolve) => setTimeout(resolve, 15))
    }
    for (const width of surveyWidths) for (const { frame, document } of held) {
      frame.style.width = width + 'px'
      void document.body.offsetHeight
    }
    await new Promise((resolve) => setTimeout(resolve))
  }
  return performance.now() - start
}`

interface Surveyor {
  survey: () => Promise<[number, number]>
  layOut: () => Promise<number>
  long: number[]
}

/** What the survey takes beside laying the same pages out in the same frames, and how long its strokes are. */
export async function benchSurvey(): Promise<void> {
  const script = bundle(SURVEY)
  const [ours, bare, long]: [number[], number[], number[]] = [[], [], []]
  let count = 0
  for (let run = 0; run < 3; run += 1) {
    for (const way of ['survey', 'layOut'] as const) {
      const { page, close } = await framed(script, 2)
      // Scripts and typefaces are there once: neither is what is measured.
      await page.evaluate(() => (window as unknown as Surveyor).layOut())
      await page.evaluate(() => {
        const held = window as unknown as Surveyor
        held.long = []
        new PerformanceObserver((list) => {
          for (const { duration } of list.getEntries()) held.long.push(Math.round(duration))
        }).observe({ type: 'longtask' })
      })
      if (way === 'survey') {
        const [time, findings] = await page.evaluate(() => (window as unknown as Surveyor).survey())
        ours.push(time)
        count = findings
        long.push(...(await page.evaluate(() => (window as unknown as Surveyor).long)))
      } else bare.push(await page.evaluate(() => (window as unknown as Surveyor).layOut()))
      await close()
    }
  }
  const [took, lay] = [median(ours), median(bare)]
  console.log(
    `survey of ${SURVEYED} pages at three widths, before and after: ${(took / lay).toFixed(2)} × laying them out (${(took / 1000).toFixed(1)} s, ${(lay / 1000).toFixed(1)}), ${count} findings; tasks over 50 ms meanwhile: ${long.length ? long.join(', ') : 'none'}`,
  )
}
