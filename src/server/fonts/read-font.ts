import { refused, type Result } from '@/core/payloads'
import { readApart, ReadingStopped } from '../reading'
import type { ReadiedFont } from './ready-font'

/** A font as it may be kept, read in a thread beside the one that answers requests. */
export async function readFontApart(bytes: Uint8Array): Promise<Result<ReadiedFont>> {
  try {
    return await readApart<Result<ReadiedFont>>('font', { bytes })
  } catch (error) {
    if (!(error instanceof ReadingStopped)) throw error
    return refused({ code: 'font', why: error.why === 'too-many' ? 'busy' : 'too-complex' })
  }
}
