import type { Font, Fonts } from './font'
import type { Frame } from './frame'
import type { DocId, PageId } from './ids'
import { byOrder, type Page } from './page'
import type { Picture, Pictures } from './picture'
import type { Body } from './section'

/** The records of a site that are at hand: its frame, and what else was loaded. */
export interface SiteDocs {
  readonly frame: Frame
  readonly pages: Readonly<Record<PageId, Page>>
  readonly pictures: Pictures
  readonly fonts: Fonts
}

const byId = <T extends { readonly id: string }>(records: readonly T[]): Record<string, T> =>
  Object.fromEntries(records.map((record) => [record.id, record]))

export function siteDocs(
  frame: Frame,
  pages: readonly Page[] = [],
  pictures: readonly Picture[] = [],
  fonts: readonly Font[] = [],
): SiteDocs {
  return { frame, pages: byId(pages), pictures: byId(pictures), fonts: byId(fonts) }
}

/** The pages at hand in their order. */
export function pagesInOrder(docs: Pick<SiteDocs, 'pages'>): Page[] {
  return Object.values(docs.pages).sort(byOrder)
}

export function bodyOf(docs: SiteDocs, doc: DocId): Body | undefined {
  return doc === 'frame' ? docs.frame.body : docs.pages[doc]?.body
}

/**
 * JSON with keys in order: one document has one text, however a database or a
 * patch ordered its keys.
 */
export function canonicalJson(value: unknown): string {
  // Most of what is written was read from such a text: the engine's own writer is far quicker.
  return isCanonical(value) ? (JSON.stringify(value) ?? 'null') : ordered(value)
}

/** Whether the members of everything in a value stand in order, so that the engine writes it as `canonicalJson` does. */
export function isCanonical(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return true
  if (Array.isArray(value)) return value.every(isCanonical)
  let last = ''
  for (const key in value) {
    if (key < last || !isCanonical((value as Record<string, unknown>)[key])) return false
    last = key
  }
  return true
}

function ordered(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(ordered).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const entries = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${entries.map(([k, v]) => `${JSON.stringify(k)}:${ordered(v)}`).join(',')}}`
}
