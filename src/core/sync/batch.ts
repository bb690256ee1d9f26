import { checkEdit, type Edit } from '../edit'
import { mostSent } from '../payloads'
import type { PendingEdit } from './transport'

/** Room for what stands around the edits in a request, in bytes. */
const AROUND = 500

const bytesOf = (edit: Edit) => new TextEncoder().encode(JSON.stringify(edit)).length

/** Whether an edit could be sent at all. */
export const isSendable = (edit: Edit): boolean => bytesOf(edit) + 2 * AROUND < mostSent

/** The first of the unsent edits that go into one request: at most so many, and no more than it holds. */
export function nextBatch(pending: readonly PendingEdit[], most: number): PendingEdit[] {
  const batch: PendingEdit[] = []
  let size = AROUND
  for (const each of pending) {
    size += bytesOf(each.edit) + AROUND
    if (batch.length >= most || (batch.length > 0 && size > mostSent)) break
    batch.push(each)
  }
  return batch
}

/** What was kept of unsent edits, read again; `broken` where it can no longer be. */
export function readUnsent(text: string | null): readonly PendingEdit[] | 'broken' {
  if (!text) return []
  try {
    const kept: unknown = JSON.parse(text)
    return Array.isArray(kept) && kept.every(isPending) ? kept : 'broken'
  } catch {
    return 'broken'
  }
}

function isPending(value: unknown): value is PendingEdit {
  const { clientId, edit } = (value ?? {}) as Partial<PendingEdit>
  return typeof clientId === 'string' && checkEdit(edit).ok
}
