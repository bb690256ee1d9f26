import type { SiteDocs } from '@/core/site'
import type { PageEntry } from '@/core/payloads'
import { createStageWriter, type StageWriter } from '../stage'
import { inOrderOfGravity, surveyWidths, withFaults, type Finding } from './findings'
import {
  breather,
  canvasRuler,
  measurePage,
  type Breathe,
  type Measure,
  type Ruler,
} from './measure'

/** A hidden frame that pages are laid out in. */
export interface SurveyFrame {
  readonly frame: HTMLIFrameElement
  readonly document: Document
}

/** What a survey asks of where it runs. */
export interface Surroundings {
  readonly siteId: string
  /** Two frames: the site as it was is laid out in one, as it is in the other. */
  readonly frames: readonly [SurveyFrame, SurveyFrame]
  readonly pages: readonly PageEntry[]
  /** The site with one of its pages at hand, as it was and as it is; undefined for one that is gone. */
  readonly load: (page: PageEntry) => Promise<readonly [SiteDocs, SiteDocs] | undefined>
  readonly signal: AbortSignal
  readonly onProgress: (done: number, findings: readonly Finding[]) => void
}

/** What comes of a survey. */
export interface Surveyed {
  readonly findings: readonly Finding[]
  /** Pages that could not be looked at. */
  readonly missed: readonly string[]
  /** Whether a typeface did not come in time, so that figures may be wrong. */
  readonly withoutFonts: boolean
}

/** How long a typeface may take, and how often it is looked for, in milliseconds. */
const [PATIENCE, OFTEN] = [4000, 15]

/** Waits until the typefaces that a page needs are there; whether they are. */
async function fontsOf({ document }: SurveyFrame): Promise<boolean> {
  // Laying out is what asks for them.
  void document.body.offsetHeight
  for (let waited = 0; document.fonts.status !== 'loaded'; waited += OFTEN) {
    if (waited > PATIENCE) return false
    await new Promise((resolve) => setTimeout(resolve, OFTEN))
  }
  return true
}

class Bench {
  private readonly writers: readonly [StageWriter, StageWriter]
  private readonly rulers: readonly [Ruler, Ruler]
  withoutFonts = false

  constructor(
    private readonly around: Surroundings,
    private readonly breathe: Breathe,
  ) {
    const [one, two] = around.frames
    this.rulers = [canvasRuler(one.document), canvasRuler(two.document)]
    this.writers = [createStageWriter(one.document), createStageWriter(two.document)]
  }

  async write(page: PageEntry, docs: readonly [SiteDocs, SiteDocs]): Promise<void> {
    for (const [i, writer] of this.writers.entries()) {
      writer.write(this.around.siteId, docs[i]!, page.id)
      await this.breathe()
      if (!(await fontsOf(this.around.frames[i]!))) this.withoutFonts = true
    }
  }

  async measure(width: number): Promise<{ before: Measure[]; after: Measure[] }> {
    const [before, after] = [[], []] as Measure[][]
    for (const [i, into] of [before, after].entries()) {
      const { frame, document } = this.around.frames[i]!
      frame.style.width = `${width}px`
      into!.push(...(await measurePage(document, this.rulers[i]!, this.breathe)))
    }
    return { before: before!, after: after! }
  }
}

/**
 * Looks at every page in every width as it was and as it is, and tells what became of its words: what
 * sticks out, what is cut off, which words are torn, what takes more lines. Header, footer and parts
 * are told once. It works in short strokes, so that the interface answers meanwhile.
 */
export async function survey(around: Surroundings): Promise<Surveyed> {
  const breathe = breather()
  const bench = new Bench(around, breathe)
  let findings: ReadonlyMap<string, Finding> = new Map()
  const missed: string[] = []
  for (const [i, page] of around.pages.entries()) {
    if (around.signal.aborted) break
    const docs = await around.load(page)
    if (docs) {
      await bench.write(page, docs)
      for (const width of surveyWidths) {
        if (around.signal.aborted) break
        const measured = await bench.measure(width)
        // What all pages share was looked at with the first of them.
        const seen = findings
        findings = withFaults(seen, page, withoutKnown(measured, seen, page.id), width)
      }
    } else missed.push(page.title)
    around.onProgress(i + 1, inOrderOfGravity([...findings.values()]))
  }
  return {
    findings: inOrderOfGravity([...findings.values()]),
    missed,
    withoutFonts: bench.withoutFonts,
  }
}

/** What was measured, without what is known from another page. */
function withoutKnown(
  { before, after }: { before: Measure[]; after: Measure[] },
  findings: ReadonlyMap<string, Finding>,
  page: string,
) {
  const isNew = ({ key }: Measure) => (findings.get(key)?.page ?? page) === page
  return { before, after: after.filter(isNew) }
}
