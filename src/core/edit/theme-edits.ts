import * as z from 'zod'
import { roleIds, roleName } from '../roles'
import {
  colorDecision,
  decidedIn,
  editions,
  isBound,
  mostThemes,
  typedName,
  plainText,
  themeId,
  themeSchema,
  type ColorDecision,
  type SiteDocs,
  type Theme,
} from '../site'
import { writeDecision } from './decision-text'
import { defineEdit, type DraftDocs, type EditProblem } from './edit'

export const decisionWords = (decision: ColorDecision, { frame }: SiteDocs): string =>
  writeDecision(frame.palette, decision)

const setRoleCommand = z.strictObject({
  type: z.literal('setRole'),
  themes: z.array(themeId).min(1).max(64),
  role: z.enum(roleIds),
  decision: colorDecision,
})

export const setRole = defineEdit<z.infer<typeof setRoleCommand>>({
  type: 'setRole',
  schema: setRoleCommand,
  apply({ frame }, { themes, role, decision }) {
    if (isBound(decision) && !frame.palette.slots[decision.slot]) return 'slot-gone'
    for (const id of themes) {
      const theme = frame.themes.byId[id]
      if (!theme) return 'theme-gone'
      theme.roles[role] = decision
      if (!theme.hand.includes(role)) theme.hand.push(role)
    }
  },
  describe({ themes, role, decision }, docs) {
    const { byId, order } = docs.frame.themes
    const where =
      themes.length === order.length
        ? 'in all themes'
        : themes.map((id) => byId[id]?.name ?? id).join(', ')
    return `${roleName(role)} ${where}: ${decisionWords(decision, docs)}`
  },
})

/** A cell of the theme sheet with what is decided in it. */
export const cellSchema = z.strictObject({
  theme: themeId,
  role: z.enum(roleIds),
  decision: colorDecision,
  /** The dark edition's decision rather than the light one's. */
  dark: z.literal(true).optional(),
  /** Whether a person decides this one, where it differs from the others. */
  hand: z.boolean().optional(),
})

export type Cell = z.infer<typeof cellSchema>
/** As many as there can be, in both editions. */
export const cellsSchema = z.array(cellSchema).max(mostThemes * roleIds.length * 2)

const setCellsCommand = z.strictObject({
  type: z.literal('setCells'),
  told: plainText(160),
  cells: cellsSchema,
  /** Whether a person decides: what is generated may be generated anew. */
  hand: z.boolean(),
  /** Themes that are new, at the end of the order. */
  add: z.array(themeSchema).max(mostThemes).optional(),
})

function missingSlot({ frame }: DraftDocs, decisions: readonly ColorDecision[]): boolean {
  return decisions.some((each) => isBound(each) && !frame.palette.slots[each.slot])
}

const decisionsOf = ({ roles, dark = roles }: Theme): ColorDecision[] => [
  ...Object.values(roles),
  ...Object.values(dark),
]

function addTo(
  { frame: { themes } }: DraftDocs,
  theme: Theme,
  at: number,
): EditProblem | undefined {
  if (themes.byId[theme.id]) return 'theme-taken'
  if (themes.order.length >= mostThemes) return 'themes-full'
  themes.byId[theme.id] = theme
  themes.order = themes.order.toSpliced(at, 0, theme.id)
}

/** Decides cells; `hand` tells whether a person does. */
export function decideCells(
  draft: DraftDocs,
  cells: readonly Cell[],
  hand: boolean,
): EditProblem | undefined {
  const { byId } = draft.frame.themes
  const decisions = cells.map(({ decision }) => decision)
  if (missingSlot(draft, decisions)) return 'slot-gone'
  for (const cell of cells) {
    const theme = byId[cell.theme]
    if (!theme) return 'theme-gone'
    byId[cell.theme] = decidedIn(theme, { hand, ...cell })
  }
}

/** Decides many cells of the theme sheet at once, and adds themes: what pasting, fixing and generating are. */
export const setCells = defineEdit<z.infer<typeof setCellsCommand>>({
  type: 'setCells',
  schema: setCellsCommand,
  apply(draft, { cells, hand, add = [] }) {
    const { themes } = draft.frame
    const problem = decideCells(draft, cells, hand)
    if (problem) return problem
    for (const theme of add) {
      if (missingSlot(draft, decisionsOf(theme))) return 'slot-gone'
      const refused = addTo(draft, theme, themes.order.length)
      if (refused) return refused
    }
  },
  describe: ({ told }) => told,
})

const addThemeCommand = z.strictObject({
  type: z.literal('addTheme'),
  theme: themeSchema,
  /** The theme behind which it stands; at the end where it is left out. */
  after: themeId.optional(),
})

export const addTheme = defineEdit<z.infer<typeof addThemeCommand>>({
  type: 'addTheme',
  schema: addThemeCommand,
  apply(draft, { theme, after }) {
    if (missingSlot(draft, decisionsOf(theme))) return 'slot-gone'
    const { order } = draft.frame.themes
    const at = after ? order.indexOf(after) : -1
    return addTo(draft, theme, at < 0 ? order.length : at + 1)
  },
  describe: ({ theme }) => `Theme ${theme.name} added`,
})

const renameThemeCommand = z.strictObject({
  type: z.literal('renameTheme'),
  theme: themeId,
  name: typedName,
})

export const renameTheme = defineEdit<z.infer<typeof renameThemeCommand>>({
  type: 'renameTheme',
  schema: renameThemeCommand,
  apply({ frame: { themes } }, { theme: id, name }) {
    const theme = themes.byId[id]
    if (!theme) return 'theme-gone'
    const clash = Object.values(themes.byId).some(
      (other) => other.id !== id && other.name.toLowerCase() === name.toLowerCase(),
    )
    if (clash) return 'theme-named'
    theme.name = name
  },
  describe: ({ theme, name }, { frame }) =>
    `${frame.themes.byId[theme]?.name ?? theme} renamed to ${name}`,
})

const orderThemesCommand = z.strictObject({
  type: z.literal('orderThemes'),
  order: z.array(themeId).max(mostThemes),
})

/** Puts the themes in an order; it must name every theme once. */
export const orderThemes = defineEdit<z.infer<typeof orderThemesCommand>>({
  type: 'orderThemes',
  schema: orderThemesCommand,
  apply({ frame: { themes } }, { order }) {
    if ([...order].sort().join() !== [...themes.order].sort().join()) return 'theme-gone'
    if (order.join() !== themes.order.join()) themes.order = order
  },
  describe: () => 'Themes put in another order',
})

const setEditionCommand = z.strictObject({
  type: z.literal('setEdition'),
  edition: z.enum(editions),
  /** What each theme is after dark; those that are left out keep what they have. */
  dark: z.record(themeId, themeSchema.shape.roles).optional(),
})

/** Gives the site a dark edition, or says who decides between the two. */
export const setEdition = defineEdit<z.infer<typeof setEditionCommand>>({
  type: 'setEdition',
  schema: setEditionCommand,
  apply(draft, { edition, dark = {} }) {
    const { frame } = draft
    for (const [id, roles] of Object.entries(dark)) {
      const theme = frame.themes.byId[id as Theme['id']]
      if (!theme) return 'theme-gone'
      if (missingSlot(draft, Object.values(roles))) return 'slot-gone'
      theme.dark = roles
    }
    frame.edition = edition
  },
  describe: ({ edition }) =>
    ({
      light: 'Light edition only',
      visitor: 'Dark edition, by the visitor’s setting',
      switch: 'Dark edition, by a switch',
    })[edition],
})
