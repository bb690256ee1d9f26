import { applyChanges, ChangeUnfit } from '@/core/changes'
import type { DocId } from '@/core/site'
import { changesOfHits, hitFor } from '@/core/sweep'
import { pathOfText, usesUnder } from '@/core/uses'
import type { Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { keptPlan, whereHits } from './plans'
import { useOfRow, type UseRow } from './rows'

/**
 * The text of a vector picture as a dry run of colours would leave it, whatever is ticked of it;
 * as it is where the run is no longer kept, or was made for another file.
 */
export function sweptVector(
  actor: Actor,
  siteId: string,
  plan: string,
  picture: string,
  text: string,
): Promise<string> {
  return atOneMoment(async (transaction) => {
    const kept = await keptPlan(actor.userId, siteId, plan, transaction)
    if (kept?.of !== 'colors') return text
    const { sql, bind } = whereHits(kept)
    const at = 2 + bind.length
    const rows = await select<UseRow>(
      `select u.* from uses u where ${sql} and u.record = (select no from records
         where site_id = $1 and kind = 'picture' and id = $${at}) order by u.n`,
      [siteId, ...bind, picture],
      transaction,
    )
    const { palette } = await loadFrame(siteId, transaction)
    const uses = usesUnder(
      palette,
      rows.map((row) => useOfRow(row, picture as DocId)),
    )
    const hits = uses.flatMap((use) => hitFor(palette, use, kept.request) ?? [])
    const record = { file: { text } }
    try {
      const inText = changesOfHits(hits, () => record).filter(
        ({ path }) => path[0] === pathOfText[0],
      )
      return applyChanges(record, inText)?.file.text ?? text
    } catch (error) {
      if (error instanceof ChangeUnfit) return text
      throw error
    }
  })
}
