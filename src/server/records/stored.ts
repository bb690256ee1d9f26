import { createHash } from 'node:crypto'
import {
  canonicalJson,
  readRecord,
  recordKinds,
  RecordUnreadable,
  type RecordKind,
  type RecordTypes,
  type SiteRecord,
} from '@/core/site'

export const hashOf = (data: string | Uint8Array): string =>
  createHash('sha256').update(data).digest('hex')

/** A record as it is kept: its text, and the hash under which it lies. */
export interface Content {
  readonly hash: string
  readonly schema: number
  readonly body: string
}

export function contentOf(kind: RecordKind, record: SiteRecord): Content {
  const body = canonicalJson(record)
  return { hash: hashOf(body), schema: recordKinds[kind].version, body }
}

/** What a text of today's shape comes to once decisions in it are exchanged; undefined where it is of another shape, or not what was stored. */
export function rewritten(
  kind: RecordKind,
  { hash, schema, body }: Content,
  rewrite: (body: string) => string | undefined,
): Content | undefined {
  if (schema !== recordKinds[kind].version || hashOf(body) !== hash) return undefined
  const after = rewrite(body)
  return after === undefined ? undefined : { hash: hashOf(after), schema, body: after }
}

/** Most text that is kept as records that were read, in UTF-16 units. */
const MOST_KEPT = 8_000_000

interface Kept {
  readonly record: SiteRecord
  readonly size: number
}
/** Records that were read, by hash, the one asked for last at the end: a hash never means another record. */
const kept = new Map<string, Kept>()
let keptSize = 0

function keep(hash: string, record: SiteRecord, size: number): void {
  if (size > MOST_KEPT / 8) return
  kept.set(hash, { record, size })
  keptSize += size
  for (const [oldest, { size: gone }] of kept) {
    if (keptSize <= MOST_KEPT) return
    kept.delete(oldest)
    keptSize -= gone
  }
}

/** A record that was read not long ago. */
export function keptRecord(hash: string): SiteRecord | undefined {
  const found = kept.get(hash)
  if (!found) return undefined
  kept.delete(hash)
  kept.set(hash, found)
  return found.record
}

/**
 * A stored record in today's shape. Nothing is stored that was not checked, so a
 * text that has its hash and today's version is taken as it is; an older one is
 * upgraded and checked. Throws what `isUnreadable` knows.
 */
export function readContent<K extends RecordKind>(
  kind: K,
  { hash, schema, body }: Content,
  { remember = true } = {},
): RecordTypes[K] {
  const known = keptRecord(hash)
  if (known) return known as RecordTypes[K]
  if (hashOf(body) !== hash) throw new RecordUnreadable(`${kind} is not what was stored`)
  let stored: unknown
  try {
    stored = JSON.parse(body)
  } catch (error) {
    throw new RecordUnreadable(`${kind} is no JSON`, { cause: error })
  }
  const isOfToday = schema === recordKinds[kind].version
  const record = isOfToday ? (stored as RecordTypes[K]) : readRecord(kind, stored)
  if (remember) keep(hash, record, body.length)
  return record
}
