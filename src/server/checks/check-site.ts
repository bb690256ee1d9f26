import { contentFaults, lowOnPage, staleAlts } from '@/core/check'
import { done, type Result, type SiteCheck } from '@/core/payloads'
import { siteDocs, type Frame, type Page, type Picture } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { models } from '../database/models'
import { loadFrame, loadStates, statesOfKind } from '../records'

/** Pages that are in memory at the same time. */
const AT_ONCE = 50
/** Most that is told in full of each sort. */
const MOST_TOLD = 60

interface Sum {
  pages: number
  measured: number
  unmeasured: number
  readonly low: Map<string, SiteCheck['low'][number]>
  readonly faults: Map<string, SiteCheck['faults'][number]>
}

/** Adds what is found on one page. What is on many pages, as the header is, is told with the first, at its worst. */
function addPage(sum: Sum, frame: Frame, page: Page, pictures: readonly Picture[]): void {
  const docs = siteDocs(frame, [page], pictures)
  const { low, measured, unmeasured } = lowOnPage(docs, page.id)
  sum.pages += 1
  sum.measured += measured
  sum.unmeasured += unmeasured
  const on = { page: page.id, title: page.title }
  for (const each of low) {
    const before = sum.low.get(each.key)
    if (!before || each.ratio < before.ratio) sum.low.set(each.key, { ...on, ...before, ...each })
  }
  for (const each of contentFaults(docs, page.id)) {
    if (!sum.faults.has(each.key)) sum.faults.set(each.key, { ...on, ...each })
  }
}

/** Checks all pages of a site, one after the other: work of seconds for a large one. */
export async function checkSite(actor: Actor, siteId: string): Promise<Result<SiteCheck>> {
  const access = await siteFor(actor, 'read', siteId)
  if (!access.ok) return access
  const sum: Sum = { pages: 0, measured: 0, unmeasured: 0, low: new Map(), faults: new Map() }
  return atOneMoment(async (transaction) => {
    const site = await models().Site.findByPk(siteId, { transaction })
    const frame = await loadFrame(siteId, transaction)
    const kept = await loadStates(
      siteId,
      await statesOfKind(siteId, ['picture'], transaction),
      transaction,
      false,
    )
    const pictures = kept.map(({ record }) => record as Picture)
    const states = await statesOfKind(siteId, ['page'], transaction)
    for (let at = 0; at < states.length; at += AT_ONCE) {
      const some = await loadStates(siteId, states.slice(at, at + AT_ONCE), transaction, false)
      for (const { record } of some) addPage(sum, frame, record as Page, pictures)
    }
    const low = [...sum.low.values()].sort((a, b) => a.ratio / a.needs - b.ratio / b.needs)
    const { pages, measured, unmeasured } = sum
    return done({
      revision: site?.revision ?? 0,
      ...{ pages, measured, unmeasured, count: low.length },
      low: low.slice(0, MOST_TOLD),
      faults: [...sum.faults.values()].slice(0, MOST_TOLD),
      staleAlts: staleAlts(frame.palette, pictures).slice(0, MOST_TOLD),
    })
  })
}
