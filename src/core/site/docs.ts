import type { Frame } from './frame'
import type { DocId, PageId } from './ids'
import type { Page } from './page'
import type { Body } from './section'

/** The parts of a site that are at hand: its frame, and the pages that were loaded. */
export interface SiteDocs {
  readonly frame: Frame
  readonly pages: Readonly<Record<PageId, Page>>
}

export function bodyOf(docs: SiteDocs, doc: DocId): Body | undefined {
  return doc === 'frame' ? docs.frame.body : docs.pages[doc]?.body
}

/** A picture of the site: where it is, how large it is, what it shows. */
export interface Asset {
  readonly id: string
  readonly fileName: string
  readonly mediaType: string
  readonly width: number
  readonly height: number
  readonly alt: string
}

export type Assets = Readonly<Record<string, Asset>>

/**
 * JSON with keys in order: one document has one text, however a database or a
 * patch ordered its keys.
 */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const entries = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${entries.map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`).join(',')}}`
}
