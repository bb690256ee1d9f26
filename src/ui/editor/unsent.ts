import { checkEdit, type Edit } from '@/core/edit'
import { mostSent } from '@/core/payloads'
import type { PendingEdit } from './client'

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

/** What a window has not sent, kept beyond a reload of it. Where the browser keeps nothing, it lives in memory alone. */
export function unsentStore(siteId: string) {
  const key = `easel.pending.${siteId}`
  return {
    keep(pending: readonly PendingEdit[]): void {
      try {
        if (pending.length) sessionStorage.setItem(key, JSON.stringify(pending))
        else sessionStorage.removeItem(key)
      } catch {
        // Refused or full: the edits still live in memory, and leaving the window asks first.
      }
    },
    /** What was kept; `broken` where it can no longer be read. */
    read(): readonly PendingEdit[] | 'broken' {
      try {
        const text = sessionStorage.getItem(key)
        if (!text) return []
        const kept: unknown = JSON.parse(text)
        return Array.isArray(kept) && kept.every(isPending) ? kept : 'broken'
      } catch (error) {
        return error instanceof SyntaxError ? 'broken' : []
      }
    },
  }
}

function isPending(value: unknown): value is PendingEdit {
  const { clientId, edit } = (value ?? {}) as Partial<PendingEdit>
  return typeof clientId === 'string' && checkEdit(edit).ok
}
