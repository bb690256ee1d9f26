import * as z from 'zod'
import type { Change, Json } from '../changes'
import { themeId, type Frame, type Page, type ThemeId } from '../site'
import { defineWide, many, nothing, ready, refuse } from './wide'

const removeThemeIntent = z.strictObject({
  type: z.literal('removeTheme'),
  theme: themeId,
  /** The theme that takes over. */
  to: themeId,
})

/** The theme itself out of the sheet. */
function withoutTheme(theme: ThemeId, { themes }: Frame): Change[] {
  return [
    { path: ['themes', 'byId', theme], from: themes.byId[theme] as Json },
    { path: ['themes', 'order'], at: themes.order.indexOf(theme), out: [theme], in: [] },
  ]
}

/** Takes a theme away; every section that had it goes to another one. */
export const removeTheme = defineWide({
  type: 'removeTheme',
  schema: removeThemeIntent,
  asks: [],
  always: true,
  prepare({ theme, to }: z.infer<typeof removeThemeIntent>, { frame }) {
    const { byId, order } = frame.themes
    if (!Object.hasOwn(byId, theme) || !Object.hasOwn(byId, to)) return refuse('theme-gone')
    if (theme === to || order.length < 2) return refuse('last-theme')
    return ready({ theme, to, frame })
  },
  reach: ({ theme }) => ({ frame: true, theme }),
  plan({ theme, to, frame }, { kind, read }) {
    if (kind !== 'frame' && kind !== 'page') return nothing
    const { sections } = (read() as Frame | Page).body
    const given = Object.values(sections)
      .filter((section) => section.theme === theme)
      .map(({ id }): Change => ({ path: ['body', 'sections', id, 'theme'], from: theme, to }))
    const own = kind === 'frame' ? withoutTheme(theme, frame) : []
    return { changes: [...given, ...own], count: given.length }
  },
  describe({ theme, to, frame }, count) {
    const name = (id: ThemeId) => frame.themes.byId[id]?.name ?? id
    return `Theme ${name(theme)} removed, ${many(count, 'section')} given ${name(to)}`
  },
})
