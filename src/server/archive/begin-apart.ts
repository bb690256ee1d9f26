import { refused, type BegunSite, type Result } from '@/core/payloads'
import type { Actor } from '../access'
import { readApart, ReadingStopped } from '../reading'

const FAULTS = { 'too-long': 'too-long', 'too-large': 'too-large', 'too-many': 'busy' } as const

/** Begins a site from an archive, in a thread beside the one that answers requests. */
export async function beginFromArchiveApart(
  actor: Actor,
  bytes: Buffer,
): Promise<Result<BegunSite>> {
  try {
    return await readApart<Result<BegunSite>>('archive', { actor, bytes })
  } catch (error) {
    if (!(error instanceof ReadingStopped)) throw error
    return refused({ code: 'archive', why: FAULTS[error.why] })
  }
}
