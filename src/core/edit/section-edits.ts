import * as z from 'zod'
import {
  bodyOf,
  docId,
  plainText,
  sectionId,
  themeId,
  type DocId,
  type SectionId,
  type ThemeId,
} from '../site'
import { defineEdit, draftBody, pagesIn, type DraftDocs, type EditProblem } from './edit'

/** Gives one section a theme of its own; one that blended stands by itself again. */
function giveTheme(
  draft: DraftDocs,
  doc: DocId,
  id: SectionId,
  theme: ThemeId,
): EditProblem | undefined {
  if (!draft.frame.themes.byId[theme]) return 'theme-gone'
  const body = draftBody(draft, doc)
  if (!body) return 'page-gone'
  const section = body.sections[id]
  if (!section) return 'section-gone'
  section.theme = theme
  if (section.blend) delete section.blend
}

const setSectionThemeCommand = z.strictObject({
  type: z.literal('setSectionTheme'),
  sections: z
    .array(z.strictObject({ doc: docId, section: sectionId }))
    .min(1)
    .max(400),
  theme: themeId,
})

export const setSectionTheme = defineEdit<z.infer<typeof setSectionThemeCommand>>({
  type: 'setSectionTheme',
  schema: setSectionThemeCommand,
  needs: ({ sections }) => pagesIn(sections.map(({ doc }) => doc)),
  apply(draft, { sections, theme }) {
    for (const { doc, section } of sections) {
      const problem = giveTheme(draft, doc, section, theme)
      if (problem) return problem
    }
  },
  describe({ sections, theme }, docs) {
    const names = sections.map(
      ({ doc, section }) => bodyOf(docs, doc)?.sections[section]?.name ?? section,
    )
    const told = names.length > 2 ? `${names.length} sections` : names.join(' and ')
    return `${told}: theme ${docs.frame.themes.byId[theme]?.name ?? theme}`
  },
})

const setSectionThemesCommand = z.strictObject({
  type: z.literal('setSectionThemes'),
  told: plainText(120),
  sections: z
    .array(z.strictObject({ doc: docId, section: sectionId, theme: themeId }))
    .min(1)
    .max(2000),
})

/** Gives many sections a theme each: what applying a rhythm is. */
export const setSectionThemes = defineEdit<z.infer<typeof setSectionThemesCommand>>({
  type: 'setSectionThemes',
  schema: setSectionThemesCommand,
  needs: ({ sections }) => pagesIn(sections.map(({ doc }) => doc)),
  apply(draft, { sections }) {
    for (const { doc, section, theme } of sections) {
      const problem = giveTheme(draft, doc, section, theme)
      if (problem) return problem
    }
  },
  describe: ({ told }) => told,
})

const setBlendCommand = z.strictObject({
  type: z.literal('setBlend'),
  section: sectionId,
  blend: z.boolean(),
})

export const setBlend = defineEdit<z.infer<typeof setBlendCommand>>({
  type: 'setBlend',
  schema: setBlendCommand,
  apply({ frame }, { section: id, blend }) {
    const section = frame.body.sections[id]
    if (!section) return 'section-gone'
    if (blend) section.blend = true
    else delete section.blend
  },
  describe: ({ section, blend }, { frame }) =>
    `${frame.body.sections[section]?.name ?? section} ${blend ? 'blends' : 'stands by itself'}`,
})
