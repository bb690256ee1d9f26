import { produce } from 'immer'
import { reversed } from '../changes'
import {
  applyRecordChanges,
  recordChanges,
  type PageId,
  type RecordChange,
  type SiteDocs,
} from '../site'
import type { EditProblem } from './edit'
import { kindOfEdit, type Edit } from './edits'

export type EditResult =
  | { readonly ok: true; readonly docs: SiteDocs; readonly changes: readonly RecordChange[] }
  | { readonly ok: false; readonly problem: EditProblem }

/**
 * Carries out one edit on the documents at hand. Returns the new documents with
 * the changes that lead there, by record, or the problem; the documents given
 * are never changed. An edit that changes nothing gives no changes.
 */
export function applyEdit(docs: SiteDocs, edit: Edit): EditResult {
  let problem: EditProblem | undefined
  const kind = kindOfEdit(edit)
  const next = produce(docs, (draft) => {
    problem = kind.apply(draft, edit)
  })
  if (problem) return { ok: false, problem }
  const changes = recordChanges(docs, next)
  return { ok: true, docs: changes.length ? next : docs, changes }
}

/** Changes by record that lead back. */
export function inverseOf(changes: readonly RecordChange[]): RecordChange[] {
  return changes.map((each) => ({ ...each, changes: reversed(each.changes) })).reverse()
}

/** The documents after changes; undefined where they are not those that the changes were made for. */
export function changedDocs(
  docs: SiteDocs,
  changes: readonly RecordChange[],
): SiteDocs | undefined {
  try {
    return applyRecordChanges(docs, changes)
  } catch {
    return undefined
  }
}

/** The pages that changes reach into. */
export function pagesOfChanges(changes: readonly RecordChange[]): PageId[] {
  return changes.flatMap(({ kind, id }) => (kind === 'page' ? [id as PageId] : []))
}

/** One line that tells an edit to people. */
export function describeEdit(edit: Edit, docs: SiteDocs): string {
  return kindOfEdit(edit).describe(edit, docs)
}
