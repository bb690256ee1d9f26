import { z } from 'zod'
import { frameSchema, schemaVersion, type Frame } from './frame'
import { pageSchema, type Page } from './page'
import { usualShadeScale } from './palette'

type Stored = { readonly schema?: unknown }
type Step = (doc: Record<string, unknown>) => Record<string, unknown>

interface StoredPalette {
  readonly order: readonly string[]
  readonly slots: Readonly<Record<string, { id: string; name: string; value: string | null }>>
}

function withScale(palette: StoredPalette) {
  const original = palette.order.flatMap((id) => {
    const slot = palette.slots[id]
    return slot ? [{ id, name: slot.name, value: slot.value }] : []
  })
  return { ...palette, shades: usualShadeScale, original }
}

interface StoredThemes {
  readonly order: readonly string[]
  readonly byId: Readonly<Record<string, object>>
}

/** What a design came with counts as generated. */
function withHand(themes: StoredThemes) {
  const byId = Object.entries(themes.byId).map(([id, theme]) => [id, { ...theme, hand: [] }])
  return { ...themes, byId: Object.fromEntries(byId) }
}

/** Steps from version n to n + 1, by n. A change of the document's shape adds its step here. */
const frameSteps: Readonly<Record<number, Step>> = {
  // 2: studies are kept with the site.
  1: (frame) => ({ ...frame, studies: [] }),
  // 3: slots fan out by a scale, and the palette remembers what the design came with.
  2: (frame) => ({ ...frame, palette: withScale(frame.palette as StoredPalette) }),
  // 4: themes know what a person decided in them, and may have a dark edition.
  3: (frame) => ({ ...frame, edition: 'light', themes: withHand(frame.themes as StoredThemes) }),
}
const pageSteps: Readonly<Record<number, Step>> = {
  1: (page) => page,
  2: (page) => page,
  3: (page) => page,
}

export class DocumentUnreadable extends Error {}

/** Whether reading a stored document failed because of what it is. */
export const isUnreadable = (error: unknown): boolean =>
  error instanceof DocumentUnreadable || error instanceof z.ZodError

function upgrade(stored: unknown, steps: Readonly<Record<number, Step>>): unknown {
  let doc = stored as Record<string, unknown>
  let version = Number((stored as Stored)?.schema)
  if (!Number.isInteger(version) || version > schemaVersion) {
    throw new DocumentUnreadable(`document of schema ${String((stored as Stored)?.schema)}`)
  }
  while (version < schemaVersion) {
    const step = steps[version]
    if (!step) throw new DocumentUnreadable(`no step from schema ${version}`)
    version += 1
    doc = { ...step(doc), schema: version }
  }
  return doc
}

/** A stored frame in today's shape; throws `DocumentUnreadable` or a Zod error when it cannot be. */
export function readFrame(stored: unknown): Frame {
  return frameSchema.parse(upgrade(stored, frameSteps))
}

/** A stored page in today's shape; throws like `readFrame`. */
export function readPage(stored: unknown): Page {
  return pageSchema.parse(upgrade(stored, pageSteps))
}
