import type { EditProblem } from '@/core/edit'
import { withCleanSnippets } from '@/core/markup'
import { isWholeRecord, type Frame, type Page, type RecordKind, type SiteRecord } from '@/core/site'

/** Why a record may not be stored; undefined where it may. */
export function faultOf(kind: RecordKind, record: SiteRecord): EditProblem | undefined {
  if (!isWholeRecord(kind, record)) return 'not-whole'
  if (!('body' in record)) return undefined
  return withCleanSnippets<Frame | Page>(record) === record ? undefined : 'unclean-snippet'
}
