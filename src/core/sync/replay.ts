import { applyEdit, kindOfEdit, type EditProblem } from '../edit'
import type { Problem } from '../payloads'
import type { RecordChange, SiteDocs } from '../site'
import type { Clash, ClashWatch } from './clash-watch'
import type { LostEdit } from './state'
import type { PendingEdit } from './transport'

/** An edit that is not known to be stored, with the documents that it led to here. */
export interface Laid extends PendingEdit {
  readonly changes: readonly RecordChange[]
  readonly after: SiteDocs
}

export const refusal = (problem: EditProblem): Problem => ({
  code: 'edit-refused',
  problem,
  clientId: '',
})

export function lostEdit({ told, edit }: PendingEdit, problem: Problem): LostEdit {
  const typed = kindOfEdit(edit).typed?.(edit)
  return { told: told ?? edit.type, problem, ...(typed ? { typed } : {}) }
}

/** Applies edits one by one; those that no longer fit, or lie over what somebody else did, are told. */
export function replay(base: SiteDocs, pending: readonly PendingEdit[], watch: ClashWatch) {
  const laid: Laid[] = []
  const lost: LostEdit[] = []
  const clashes: Clash[] = []
  let docs = base
  for (const { clientId, edit, told } of pending) {
    const each = { clientId, edit, ...(told === undefined ? {} : { told }) }
    const result = applyEdit(docs, edit)
    if (result.ok) {
      clashes.push(...watch.replayed(clientId, docs))
      docs = result.docs
      laid.push({ ...each, changes: result.changes, after: docs })
    } else lost.push(lostEdit(each, refusal(result.problem)))
  }
  return { docs, laid, lost, clashes }
}
