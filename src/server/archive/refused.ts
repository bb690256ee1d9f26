import type { ArchiveFault } from '@/core/payloads'

/** Why an archive was not taken; nothing of it was stored. */
export class ArchiveRefused extends Error {
  constructor(readonly why: ArchiveFault) {
    super(why)
  }
}
