import { applyChanges } from '../changes'
import type { EditProblem } from '../edit'
import {
  pagesInOrder,
  recordAt,
  recordsOf,
  type Frame,
  type Page,
  type RecordChange,
  type RecordRef,
  type SiteDocs,
  type SiteRecord,
} from '../site'
import { bandsOf, noPictures, usesIn, usesUnder, type Use } from '../uses'
import { colorKey } from '../color'
import { isBound } from '../site'
import { kindOfWide, type WideIntent } from './wides'
import type { Reach, UseQuestion } from './wide'

export type PlannedWide =
  | {
      readonly ok: true
      readonly changes: readonly RecordChange[]
      readonly count: number
      readonly told: string
    }
  | { readonly ok: false; readonly problem: EditProblem }

function isAsked({ slots, colors, paints, page }: UseQuestion, use: Use): boolean {
  if (paints && !(paints as readonly string[]).includes(use.paints)) return false
  if (page && use.doc !== page) return false
  if (isBound(use.decision)) return slots.includes(use.decision.slot)
  return !!use.color && colors.includes(colorKey(use.color))
}

function isReached(
  { frame, uses, theme, looks, pages, written, checkpoint }: Reach,
  { kind, id }: RecordRef,
  record: SiteRecord | undefined,
  own: readonly Use[],
): boolean {
  if (checkpoint !== undefined || written || (frame && kind === 'frame')) return true
  if (pages?.includes(id as Page['id']) && kind === 'page') return true
  if (theme && (kind === 'frame' || kind === 'page') && record) {
    return Object.values((record as Frame | Page).body.sections).some((s) => s.theme === theme)
  }
  if (looks && (kind === 'frame' || kind === 'page') && record) {
    return Object.values((record as Frame | Page).body.elements).some((element) =>
      'style' in looks
        ? element.style === looks.style
        : element.kind === looks.kind && element.looks !== undefined,
    )
  }
  return uses !== undefined && own.length > 0
}

/**
 * Plans a wide edit over documents that are all at hand, with the readers in
 * place of the index: the same that the server plans from what it keeps. `target`
 * is the state to go back to, where it is about one.
 */
export function planInMemory(docs: SiteDocs, intent: WideIntent, target?: SiteDocs): PlannedWide {
  const { frame } = docs
  const kind = kindOfWide(intent)
  const all = recordsOf(docs)
  const found = new Map(
    all.map((each) => [each, usesUnder(frame.palette, usesIn(each, each.record, noPictures))]),
  )
  const colors = [...found.values()]
    .flat()
    .flatMap(({ decision, color }) => (isBound(decision) || !color ? [] : [colorKey(color)]))
  const pages = pagesInOrder(docs).map(({ id, body }) => ({ page: id, bands: bandsOf(body) }))
  const prepared = kind.prepare(intent, {
    frame,
    colors: [...new Set(colors)],
    pages,
    names: { pictures: docs.pictures, pages: docs.pages },
  })
  if (!prepared.ok) return prepared
  const reach = kind.reach(prepared.value)
  const gone = target
    ? recordsOf(target)
        .filter((ref) => !recordAt(docs, ref))
        .map(({ kind: of, id }) => ({ kind: of, id, record: undefined }))
    : []
  let count = 0
  const changes: RecordChange[] = []
  for (const each of [...all, ...gone]) {
    const { kind: of, id, record } = each
    const own = reach.uses
      ? (found.get(each as (typeof all)[number]) ?? []).filter((use) => isAsked(reach.uses!, use))
      : []
    if (!isReached(reach, each, record, own)) continue
    const planned = kind.plan(prepared.value, {
      kind: of,
      id,
      read: () => record,
      uses: own,
      ...(target ? { target: recordAt(target, each) } : {}),
    })
    if (planned.changes.length === 0) continue
    applyChanges<SiteRecord>(record, planned.changes)
    count += planned.count
    changes.push({ kind: of, id, changes: planned.changes })
  }
  return { ok: true, changes, count, told: kind.describe(prepared.value, count) }
}
