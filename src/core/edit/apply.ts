import { applyPatches, produceWithPatches, type Patch } from 'immer'
import type { PageId, SiteDocs } from '../site'
import type { EditProblem } from './edit'
import { kindOfEdit, type AnyEdit } from './edits'

/** A change of documents as data: what to set at which path, from the site down. */
export type DocPatch = Patch

export type EditResult =
  | {
      readonly ok: true
      readonly docs: SiteDocs
      readonly patches: DocPatch[]
      readonly inverse: DocPatch[]
    }
  | { readonly ok: false; readonly problem: EditProblem }

/**
 * Carries out one edit on the documents at hand. Returns the new documents
 * with the patches that lead there and back, or the problem; the documents
 * given are never changed. An edit that changes nothing returns them as they are.
 */
export function applyEdit(docs: SiteDocs, edit: AnyEdit): EditResult {
  let problem: EditProblem | undefined
  const kind = kindOfEdit(edit)
  const [next, patches, inverse] = produceWithPatches(docs, (draft) => {
    problem = kind.apply(draft, edit)
  })
  if (problem) return { ok: false, problem }
  return { ok: true, docs: next, patches, inverse }
}

/** Applies patches as they were recorded; throws when the documents are not those they were made for. */
export function patchDocs(docs: SiteDocs, patches: readonly DocPatch[]): SiteDocs {
  return applyPatches(docs, patches as Patch[])
}

/** The same, or undefined where the documents are not those that the patches were made for. */
export function patchedDocs(docs: SiteDocs, patches: readonly DocPatch[]): SiteDocs | undefined {
  try {
    return patchDocs(docs, patches)
  } catch {
    return undefined
  }
}

/** The pages that patches reach into. */
export function pagesOfPatches(patches: readonly DocPatch[]): PageId[] {
  const pages = patches.flatMap(({ path }) => (path[0] === 'pages' ? [path[1] as PageId] : []))
  return [...new Set(pages)]
}

/** One line that tells an edit to people. */
export function describeEdit(edit: AnyEdit, docs: SiteDocs): string {
  return kindOfEdit(edit).describe(edit, docs)
}
