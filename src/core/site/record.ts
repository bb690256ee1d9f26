import * as z from 'zod'
import { applyChanges, changesBetween, type Change } from '../changes'
import { fontSchema, fontSteps, fontVersion, type Font } from './font'
import { isOneValue } from './looks'
import { frameSchema, frameSteps, frameVersion, type Frame } from './frame'
import { pageSchema, pageSteps, pageVersion, type Page } from './page'
import { pictureSchema, pictureSteps, pictureVersion, type Picture } from './picture'
import type { SiteDocs } from './docs'
import type { Stored, UpgradeStep } from './upgrade-steps'

/** What a site is made of, by kind. */
export interface RecordTypes {
  readonly frame: Frame
  readonly page: Page
  readonly picture: Picture
  readonly font: Font
}
export type RecordKind = keyof RecordTypes
export type SiteRecord = RecordTypes[RecordKind]

/** Names one record of a site. The frame, of which there is one, has the id `frame`. */
export interface RecordRef {
  readonly kind: RecordKind
  readonly id: string
}

export const recordKey = ({ kind, id }: RecordRef): string => `${kind}/${id}`

export const frameRef: RecordRef = { kind: 'frame', id: 'frame' }

/** A kind of record: its shape today, the steps that lead there, and where it lies among the documents at hand. */
interface KindOfRecord<T> {
  readonly schema: z.ZodType<T>
  readonly version: number
  readonly steps: Readonly<Record<number, UpgradeStep>>
  readonly at: keyof SiteDocs
}

export const recordKinds: { readonly [K in RecordKind]: KindOfRecord<RecordTypes[K]> } = {
  frame: { schema: frameSchema, version: frameVersion, steps: frameSteps, at: 'frame' },
  page: { schema: pageSchema, version: pageVersion, steps: pageSteps, at: 'pages' },
  picture: {
    schema: pictureSchema,
    version: pictureVersion,
    steps: pictureSteps,
    at: 'pictures',
  },
  font: { schema: fontSchema, version: fontVersion, steps: fontSteps, at: 'fonts' },
}

export const allRecordKinds = Object.keys(recordKinds) as RecordKind[]

export class RecordUnreadable extends Error {}

/** Whether reading a stored record failed because of what it is. */
export const isUnreadable = (error: unknown): boolean =>
  error instanceof RecordUnreadable || error instanceof z.ZodError

/** The steps from a stored version of a kind to today's. */
function stepsFrom(kind: RecordKind, schema: unknown): UpgradeStep[] {
  const { version, steps } = recordKinds[kind]
  const from = Number(schema)
  if (!Number.isInteger(from) || from < 1 || from > version) {
    throw new RecordUnreadable(`${kind} of schema ${String(schema)}`)
  }
  return Array.from({ length: version - from }, (_, i) => {
    const step = steps[from + i]
    if (!step) throw new RecordUnreadable(`no step from schema ${from + i} of ${kind}`)
    return step
  })
}

/** A stored record in today's shape; throws what `isUnreadable` knows when it cannot be. */
export function readRecord<K extends RecordKind>(kind: K, stored: unknown): RecordTypes[K] {
  const { schema, version } = recordKinds[kind]
  let record = stored as Stored
  for (const step of stepsFrom(kind, record?.schema)) record = step.record(record)
  return schema.parse({ ...record, schema: version }) as RecordTypes[K]
}

/** Changes of a record as they are in today's shape; undefined where an upgrade could not carry them over. */
export function readChanges(
  kind: RecordKind,
  schema: number,
  changes: readonly Change[],
): Change[] | undefined {
  let carried: readonly Change[] = changes
  for (const step of stepsFrom(kind, schema)) {
    const next = carried.flatMap((change) => step.change(change) ?? [])
    if (next.length < carried.length) return undefined
    carried = next
  }
  const { version } = recordKinds[kind]
  // A whole record says which shape it has.
  return carried.map((change) => {
    if (change.path.length || 'at' in change) return change
    const told = (whole: unknown) => ({ ...(whole as Stored), schema: version }) as never
    return {
      path: [],
      ...(change.from === undefined ? {} : { from: told(change.from) }),
      ...(change.to === undefined ? {} : { to: told(change.to) }),
    }
  })
}

/** Whether a text is longer than its place allows, by what a check finds; in one of several shapes as well. */
const isTooLong = (issues: readonly z.core.$ZodIssue[]): boolean =>
  issues.some((issue) =>
    issue.code === 'invalid_union'
      ? issue.errors.some(isTooLong)
      : issue.code === 'too_big' && issue.origin === 'string',
  )

/** Why a record may not be stored, for it could not be read again; undefined where it may. */
export function wholeFault(
  kind: RecordKind,
  record: unknown,
): 'text-too-long' | 'not-whole' | undefined {
  const { error } = recordKinds[kind].schema.safeParse(record)
  if (!error) return undefined
  return isTooLong(error.issues) ? 'text-too-long' : 'not-whole'
}

/** Whether a record may be stored: whether it could be read again. */
export const isWholeRecord = (kind: RecordKind, record: unknown): boolean =>
  wholeFault(kind, record) === undefined

function otherThan<T>(
  after: Readonly<Record<string, T>>,
  before: Readonly<Record<string, T>>,
): Record<string, T> {
  const others = Object.entries(after).filter(
    ([id, each]) => !Object.hasOwn(before, id) || before[id] !== each,
  )
  return Object.fromEntries(others)
}

/**
 * The part of a record that a check of it has to look at, given that the state
 * before was whole: sections and elements that are still the same objects hold,
 * for each is checked by itself.
 */
export function changedPart<R extends SiteRecord>(after: R, before: SiteRecord | undefined): R {
  if (!before || !('body' in before) || !('body' in after)) return after
  const { body } = after
  return {
    ...after,
    body: {
      ...body,
      sections: otherThan(body.sections, before.body.sections),
      elements: otherThan(body.elements, before.body.elements),
    },
  }
}

/** The changes of one record. */
export interface RecordChange extends RecordRef {
  readonly changes: readonly Change[]
}

type Collection = Readonly<Record<string, SiteRecord>>

export function recordAt(docs: SiteDocs, { kind, id }: RecordRef): SiteRecord | undefined {
  const { at } = recordKinds[kind]
  if (at === 'frame') return docs.frame
  const all = docs[at] as Collection
  return Object.hasOwn(all, id) ? all[id] : undefined
}

/** The documents with one record in place of what stood there; undefined takes it away. */
export function withRecord(
  docs: SiteDocs,
  { kind, id }: RecordRef,
  record: SiteRecord | undefined,
): SiteDocs {
  const { at } = recordKinds[kind]
  if (at === 'frame') {
    if (!record) throw new RangeError('a site has a frame')
    return { ...docs, frame: record as Frame }
  }
  const { [id]: _before, ...others } = docs[at] as Collection
  return { ...docs, [at]: record ? { ...others, [id]: record } : others }
}

/** Every record of the documents. */
export function recordsOf(docs: SiteDocs): Array<RecordRef & { readonly record: SiteRecord }> {
  return allRecordKinds.flatMap((kind) => {
    const { at } = recordKinds[kind]
    if (at === 'frame') return [{ ...frameRef, record: docs.frame }]
    return Object.entries(docs[at] as Collection).map(([id, record]) => ({ kind, id, record }))
  })
}

/** What lies between two states of one record; undefined where it is not there. */
export const changesOfRecord = (
  before: SiteRecord | undefined,
  after: SiteRecord | undefined,
): Change[] => changesBetween(before, after, isOneValue)

function changesOfKind(kind: RecordKind, before: SiteDocs, after: SiteDocs): RecordChange[] {
  const { at } = recordKinds[kind]
  if (before[at] === after[at]) return []
  const ids =
    at === 'frame'
      ? ['frame']
      : [...new Set([...Object.keys(before[at]), ...Object.keys(after[at])])]
  return ids.flatMap((id) => {
    const ref = { kind, id }
    const changes = changesOfRecord(recordAt(before, ref), recordAt(after, ref))
    return changes.length ? [{ ...ref, changes }] : []
  })
}

/** What lies between two states of a site, by record. */
export function recordChanges(before: SiteDocs, after: SiteDocs): RecordChange[] {
  return allRecordKinds.flatMap((kind) => changesOfKind(kind, before, after))
}

/** The documents after changes by record; throws `ChangeUnfit` where one does not find what it says. */
export function applyRecordChanges(docs: SiteDocs, changes: readonly RecordChange[]): SiteDocs {
  return changes.reduce(
    (now, { kind, id, changes: own }) =>
      withRecord(now, { kind, id }, applyChanges(recordAt(now, { kind, id }), own)),
    docs,
  )
}
