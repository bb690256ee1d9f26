import * as z from 'zod'
import { allRecordKinds } from '@/core/site'

/**
 * A site as one file: a ZIP with `site.json`, which lists all else; each record as JSON under
 * `records/KIND/ID.json`; each file under `files/SHA-256`. docs/archive.md tells it in full.
 */
export const archiveFormat = 'ample-easel-site'
export const archiveVersion = 2
/** What an archive without history says: every version of ours reads it. */
export const plainVersion = 1
/** The entry that holds the history, where one is wanted. */
export const historyName = 'history.json'

const hash = z.string().regex(/^[0-9a-f]{64}$/)

/** What `site.json` holds. */
export const manifestSchema = z.object({
  format: z.literal(archiveFormat),
  version: z.number().int().min(1),
  name: z.string().min(1).max(60),
  /** When it was made; ISO 8601. */
  madeAt: z.string().max(40),
  records: z
    .array(
      z.object({
        kind: z.enum(allRecordKinds as [string, ...string[]]),
        id: z.string().regex(/^[a-z][a-z0-9-]{0,47}$/),
        schema: z.number().int().min(1),
        /** SHA-256 of the text of the record. */
        hash,
      }),
    )
    .max(20_000),
  files: z.array(hash).max(20_000),
  /** SHA-256 of the history, where it is in the archive. */
  history: hash.optional(),
})
export type Manifest = z.infer<typeof manifestSchema>

export const recordName = ({ kind, id }: { readonly kind: string; readonly id: string }) =>
  `records/${kind}/${id}.json`
export const fileEntryName = (of: string) => `files/${of}`

/** Largest archive that is taken, and the largest entries in it, in bytes. */
export const mostArchive = 200_000_000
export const mostRecord = 8_000_000
export const mostFile = 30_000_000
export const mostHistory = 100_000_000
/** All that it may unpack to. */
export const mostUnpacked = 600_000_000
