import { applyEdit, type Edit } from '@/core/edit'
import { stageStore } from './stage-access'

/**
 * Shows the page as an edit would leave it, for as long as something is dragged or pointed at;
 * without one, as it is. Nothing is stored, and what the edit leaves alone is not drawn anew.
 */
export function previewEdit(edit: Edit | undefined): void {
  stageStore.getState().stage?.writer.tryOn((docs) => {
    const result = edit && applyEdit(docs, edit)
    return result?.ok ? result.docs : docs
  })
}
