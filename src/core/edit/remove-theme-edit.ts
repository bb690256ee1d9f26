import { z } from 'zod'
import { docId, sectionId, themeId } from '../site'
import { defineEdit, draftBody, pagesIn } from './edit'

const removeThemeCommand = z.strictObject({
  type: z.literal('removeTheme'),
  theme: themeId,
  /** The theme that takes over. */
  to: themeId,
  /** Every section that has it; found by the server, which has all pages. */
  sections: z.array(z.strictObject({ doc: docId, section: sectionId })).max(50_000),
})

/** Takes a theme away; the sections that had it go to another one. */
export const removeTheme = defineEdit<z.infer<typeof removeThemeCommand>>({
  type: 'removeTheme',
  schema: removeThemeCommand,
  pages: ({ sections }) => [...new Set(pagesIn(sections.map(({ doc }) => doc)))],
  apply(draft, { theme, to, sections }) {
    const { themes } = draft.frame
    if (!themes.byId[theme] || !themes.byId[to]) return 'theme-gone'
    if (theme === to || themes.order.length < 2) return 'last-theme'
    for (const { doc, section } of sections) {
      const found = draftBody(draft, doc)?.sections[section]
      if (!found) return 'section-gone'
      found.theme = to
    }
    delete themes.byId[theme]
    themes.order = themes.order.filter((id) => id !== theme)
  },
  describe({ theme, to, sections }, { frame }) {
    const name = (id: typeof theme) => frame.themes.byId[id]?.name ?? id
    const told = `${sections.length} ${sections.length === 1 ? 'section' : 'sections'}`
    return `Theme ${name(theme)} removed, ${told} given ${name(to)}`
  },
})
