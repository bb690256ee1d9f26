import type { EditProblem } from '@/core/edit'
import { withCleanSnippets } from '@/core/markup'
import {
  changedPart,
  isTree,
  type Frame,
  type Page,
  type RecordKind,
  wholeFault,
  type SiteRecord,
} from '@/core/site'

/** Why a record may not be stored; undefined where it may. What is still as it was in a state that is stored holds. */
export function faultOf(
  kind: RecordKind,
  record: SiteRecord,
  before?: SiteRecord,
): EditProblem | undefined {
  const part = changedPart(record, before)
  const fault = wholeFault(kind, part)
  if (fault) return fault
  if (!('body' in part) || !('body' in record)) return undefined
  const isSameTree = before && 'body' in before && before.body === record.body
  if (!isSameTree && !isTree(record.body)) return 'not-whole'
  return withCleanSnippets<Frame | Page>(part) === part ? undefined : 'unclean-snippet'
}
