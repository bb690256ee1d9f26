import { z } from 'zod'
import { canonicalJson, docId, mostCustomCss, paint, type DocId } from '../site'
import { defineEdit, pagesIn } from './edit'

const path = z
  .array(z.union([z.string().max(80), z.number().int().min(0)]))
  .min(1)
  .max(12)

/** A decision that is exchanged where it stands. */
const decisionChange = z.strictObject({ doc: docId, path, before: paint, after: paint })
/** A stretch of text that is exchanged: `start` counts UTF-16 units in the text before the sweep. */
const textChange = z.strictObject({
  doc: docId,
  path,
  start: z.number().int().min(0),
  before: z.string().min(1).max(mostCustomCss),
  after: z.string().max(500),
})

export const sweepChange = z.union([decisionChange, textChange])
export type SweepChange = z.infer<typeof sweepChange>
type TextChange = z.infer<typeof textChange>

const sweepCommand = z.strictObject({
  type: z.literal('sweep'),
  told: z.string().max(300),
  changes: z.array(sweepChange).min(1).max(100_000),
})

type Keyed = Record<string | number, unknown>

function parentAt(root: unknown, steps: ReadonlyArray<string | number>): Keyed | undefined {
  let at: unknown = root
  for (const step of steps) {
    if (typeof at !== 'object' || at === null) return undefined
    at = (at as Keyed)[step]
  }
  return typeof at === 'object' && at !== null ? (at as Keyed) : undefined
}

/** The text with all changes made, from the first to the last; undefined where one does not find what it expects. */
function splice(text: string, changes: readonly TextChange[]): string | undefined {
  const parts: string[] = []
  let end = 0
  for (const { start, before, after } of [...changes].sort((a, b) => a.start - b.start)) {
    if (start < end || !text.startsWith(before, start)) return undefined
    parts.push(text.slice(end, start), after)
    end = start + before.length
  }
  parts.push(text.slice(end))
  return parts.join('')
}

/**
 * A site-wide replacement: the exact changes that the dry run listed. Each
 * checks what it finds; one that finds anything else stops the whole.
 */
export const sweep = defineEdit<z.infer<typeof sweepCommand>>({
  type: 'sweep',
  schema: sweepCommand,
  pages: ({ changes }) => [...new Set(pagesIn(changes.map(({ doc }) => doc)))],
  apply(draft, { changes }) {
    const docOf = (doc: DocId) => (doc === 'frame' ? draft.frame : draft.pages[doc])
    const texts = new Map<string, TextChange[]>()
    for (const change of changes) {
      const root = docOf(change.doc)
      if (!root) return 'page-gone'
      if ('start' in change) {
        const key = canonicalJson([change.doc, change.path])
        const group = texts.get(key)
        if (group) group.push(change)
        else texts.set(key, [change])
        continue
      }
      const parent = parentAt(root, change.path.slice(0, -1))
      const last = change.path.at(-1)!
      if (!parent || canonicalJson(parent[last]) !== canonicalJson(change.before)) {
        return 'text-changed'
      }
      parent[last] = change.after
    }
    for (const group of texts.values()) {
      const { doc, path: steps } = group[0]!
      const parent = parentAt(docOf(doc), steps.slice(0, -1))
      const text = parent?.[steps.at(-1)!]
      const next = typeof text === 'string' ? splice(text, group) : undefined
      if (!parent || next === undefined) return 'text-changed'
      parent[steps.at(-1)!] = next
    }
  },
  describe: ({ told }) => told,
})
