import { decisionColor } from '../resolve'
import { themesInOrder, type Frame, type Theme, type ThemeId } from '../site'
import { groundKind, type GroundKind } from '../theme'

/** The themes of a site by the kind of their ground, each in the order of the sheet. */
export function themesByKind({ palette, themes }: Frame): Record<GroundKind, Theme[]> {
  const kinds: Record<GroundKind, Theme[]> = { pale: [], vivid: [], dark: [] }
  for (const theme of themesInOrder(themes)) {
    kinds[groundKind(decisionColor(palette, theme.roles.ground))].push(theme)
  }
  return kinds
}

/**
 * A rhythm for a page of `count` sections, top to bottom: pale ones in turn,
 * every fourth one dark, at most one vivid, near the end, where a page asks for
 * something. Common practice, no source. Falls back on what themes there are.
 */
export function proposeRhythm(frame: Frame, count: number): ThemeId[] {
  const { pale, vivid, dark } = themesByKind(frame)
  const all = themesInOrder(frame.themes)
  const light = pale.length ? pale : all
  const deep = dark.length ? dark : vivid.length ? vivid : all
  const vividAt = vivid.length && count >= 5 ? count - 2 : -1
  let lightCount = 0
  let deepCount = 0
  return Array.from({ length: count }, (_, i) => {
    if (i === vividAt) return vivid[0]!.id
    if (i % 4 === 3) return deep[deepCount++ % deep.length]!.id
    return light[lightCount++ % light.length]!.id
  })
}
