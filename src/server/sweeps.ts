import { writeHex } from '@/core/color'
import { decisionWords } from '@/core/edit'
import {
  done,
  refused,
  type DryRun,
  type HitLine,
  type Inventory,
  type Result,
  type Saved,
  type SlotUses,
} from '@/core/payloads'
import { isBound, type ColorDecision, type SiteDocs, type SlotId } from '@/core/site'
import { chosenHits, planSweep, takeInventory, type Hit, type SweepRequest } from '@/core/sweep'
import { usesInSite, type PlaceId, type Use } from '@/core/uses'
import type { Actor } from './actor'
import { keepCheckpoint } from './checkpoints'
import { changeAndTell, changeByEdit, performEdit } from './edits'
import { loadDocs, readWhole } from './sites'

function allUses({ frame, pages }: SiteDocs): Use[] {
  return usesInSite(frame, Object.values(pages))
}

export function inventory(actor: Actor, siteId: string): Promise<Result<Inventory>> {
  return readWhole(actor, 'read', siteId, ({ revision }, docs) => {
    const uses = allUses(docs)
    return done({
      revision,
      entries: takeInventory(docs.frame.palette, uses),
      uses: uses.length,
      bound: uses.filter(({ decision }) => isBound(decision)).length,
    })
  })
}

/** How many uses a slot has, by place, over the whole site. */
export function slotUses(actor: Actor, siteId: string, slot: string): Promise<Result<SlotUses>> {
  return readWhole(actor, 'read', siteId, (_site, docs) => {
    const places: Partial<Record<PlaceId, number>> = {}
    for (const { place, decision } of allUses(docs)) {
      if (isBound(decision) && decision.slot === slot) places[place] = (places[place] ?? 0) + 1
    }
    return done({ places })
  })
}

function lineOf(
  docs: SiteDocs,
  { key, pair, use, after, beforeColor, afterColor, change }: Hit,
): HitLine {
  const { place, label, paints, context, textAt } = use
  const isText = 'start' in change
  return {
    key,
    pair,
    place,
    label,
    paints,
    before: isText ? use.text : decisionWords(use.decision, docs),
    after: isText
      ? after
      : decisionWords(change.after as Parameters<typeof decisionWords>[0], docs),
    beforeColor: beforeColor ? writeHex(beforeColor) : 'transparent',
    afterColor: writeHex(afterColor),
    ...(context === undefined ? {} : { context, textAt }),
  }
}

export function dryRun(
  actor: Actor,
  siteId: string,
  request: SweepRequest,
): Promise<Result<DryRun>> {
  return readWhole(actor, 'read', siteId, ({ revision }, docs) => {
    const uses = allUses(docs)
    const hits = planSweep(docs.frame.palette, uses, request)
    const loose = uses.filter(({ decision }) => !isBound(decision)).length
    const chosen = chosenHits(hits, request.without)
    const bind = chosen.filter(({ use, becomesBound }) => becomesBound && !isBound(use.decision))
    const loosen = chosen.filter(({ use, becomesBound }) => !becomesBound && isBound(use.decision))
    return done({
      revision,
      hits: hits.map((hit) => lineOf(docs, hit)),
      pages: new Set(chosen.flatMap(({ use }) => (use.doc === 'frame' ? [] : [use.doc]))).size,
      becomeBound: bind.length,
      looseBefore: loose,
      looseAfter: loose - bind.length + loosen.length,
    })
  })
}

function tell(docs: SiteDocs, { pairs }: SweepRequest, count: number): string {
  const [first] = pairs
  const from =
    'slot' in first!.from ? decisionWords({ slot: first!.from.slot }, docs) : first!.from.value
  const more = pairs.length > 1 ? ` and ${pairs.length - 1} more` : ''
  return `Swept ${from} to ${decisionWords(first!.to, docs)}${more}: ${count} ${count === 1 ? 'use' : 'uses'}`
}

/** Takes a slot out of the palette; every use of it goes to `to`, in the same edit. */
export function removeSlot(
  actor: Actor,
  siteId: string,
  base: number,
  slot: SlotId,
  to: ColorDecision,
): Promise<Result<Saved>> {
  return changeByEdit(actor, siteId, base, (docs) => {
    if (isBound(to) && (to.slot === slot || !docs.frame.palette.slots[to.slot])) {
      return refused({ code: 'edit-refused', problem: 'slot-gone', clientId: '' })
    }
    const request: SweepRequest = { pairs: [{ from: { slot }, to }], scope: 'site' }
    const hits = planSweep(docs.frame.palette, allUses(docs), request)
    return done({ type: 'removeSlot', slot, changes: hits.map(({ change }) => change) } as const)
  })
}

/** Carries a dry run out: a checkpoint first, then all changes as one edit, or nothing at all. */
export function applySweep(
  actor: Actor,
  siteId: string,
  base: number,
  request: SweepRequest,
): Promise<Result<Saved & { readonly changed: number }>> {
  return changeAndTell(actor, siteId, base, async (site, transaction) => {
    const docs = await loadDocs(site, 'all', transaction)
    const hits = chosenHits(planSweep(docs.frame.palette, allUses(docs), request), request.without)
    if (hits.length === 0) return refused({ code: 'nothing-to-sweep' })
    const told = tell(docs, request, hits.length)
    await keepCheckpoint(site, `Before: ${told}`, transaction)
    const changes = hits.map(({ change }) => change)
    const edit = { type: 'sweep', told, changes } as const
    const performed = await performEdit(actor, site, edit, null, transaction)
    return performed.ok ? done({ changed: hits.length }) : performed
  })
}
