import * as z from 'zod'
import type { Change } from '../changes'
import {
  docId,
  plainText,
  sectionId,
  themeId,
  type DocId,
  type Frame,
  type Page,
  type PageId,
} from '../site'
import { defineWide, nothing, ready, refuse } from './wide'

const given = z.strictObject({ doc: docId, section: sectionId, theme: themeId })

type Given = z.infer<typeof given>

function byDocument(sections: readonly Given[]): ReadonlyMap<DocId, readonly Given[]> {
  const found = new Map<DocId, Given[]>()
  for (const each of sections) {
    const own = found.get(each.doc)
    if (own) own.push(each)
    else found.set(each.doc, [each])
  }
  return found
}

const giveThemesIntent = z.strictObject({
  type: z.literal('giveThemes'),
  told: plainText(120),
  sections: z.array(given).min(1).max(20_000),
})

/** Gives sections a theme each, wherever on the site they are. */
export const giveThemes = defineWide({
  type: 'giveThemes',
  schema: giveThemesIntent,
  asks: [],
  prepare({ told, sections }: z.infer<typeof giveThemesIntent>, { frame }) {
    if (sections.some(({ theme }) => !Object.hasOwn(frame.themes.byId, theme))) {
      return refuse('theme-gone')
    }
    return ready({ told, byDoc: byDocument(sections) })
  },
  reach({ byDoc }) {
    const docs = [...byDoc.keys()]
    const pages = docs.filter((doc): doc is PageId => doc !== 'frame')
    return { frame: byDoc.has('frame'), pages }
  },
  plan({ byDoc }, { kind, id, read }) {
    const record = read()
    if ((kind !== 'frame' && kind !== 'page') || !record) return nothing
    const { sections } = (record as Frame | Page).body
    const changes = (byDoc.get(id as DocId) ?? []).flatMap(({ section, theme }): Change[] => {
      const found = sections[section]
      const at = ['body', 'sections', section]
      if (!found) return []
      return [
        ...(found.theme === theme
          ? []
          : [{ path: [...at, 'theme'], from: found.theme, to: theme }]),
        ...(found.blend ? [{ path: [...at, 'blend'], from: true }] : []),
      ]
    })
    return { changes, count: changes.length }
  },
  describe: ({ told }) => told,
})
