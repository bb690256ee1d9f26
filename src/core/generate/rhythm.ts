import { decisionColor } from '../resolve'
import {
  shownSections,
  themesInOrder,
  type Frame,
  type Paint,
  type Theme,
  type ThemeId,
} from '../site'
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

/**
 * A theme for a section that comes between others, whose themes are given top to bottom: the
 * one that a rhythm has there, unless a neighbour is in it already.
 */
export function proposeTheme(frame: Frame, themes: readonly ThemeId[], at: number): ThemeId {
  const proposed = proposeRhythm(frame, themes.length + 1)[at]!
  const beside = new Set([themes[at - 1], themes[at]])
  if (!beside.has(proposed)) return proposed
  const { pale, dark, vivid } = themesByKind(frame)
  return [...pale, ...dark, ...vivid].find(({ id }) => !beside.has(id))?.id ?? proposed
}

/** The sections of a page, top to bottom: what they are called, their themes now, a fill of their own, and whether the theme is to stay. */
export type RhythmPage = ReadonlyArray<{
  readonly name: string
  readonly theme: string
  readonly fill?: Paint
  readonly isGiven?: boolean
}>

const kindOf = ({ name }: RhythmPage[number]) => name.trim().toLowerCase()

/**
 * Rhythms for several pages: each by itself as `proposeRhythm` has it, but
 * sections of one name get one theme wherever they stand, on `others` as well,
 * which keep what they have; one with a fill of its own keeps the theme whose
 * words stand on it; and no two neighbours are alike, the footer included,
 * unless they are such.
 */
export function proposeRhythms(
  frame: Frame,
  pages: readonly RhythmPage[],
  others: readonly RhythmPage[] = [],
): ThemeId[][] {
  const kinds = themesByKind(frame)
  const all = [...kinds.pale, ...kinds.dark, ...kinds.vivid].map(({ id }) => id)
  const footer = shownSections(frame.body).find(({ kind }) => kind === 'footer')?.theme
  const stays = ({ fill, isGiven }: RhythmPage[number]) => !!fill || !!isGiven
  const filled = pages.flat().filter(stays)
  const given = new Map<string, ThemeId>(
    [...others.flat(), ...filled].map((section) => [kindOf(section), section.theme as ThemeId]),
  )
  const fixed = (section: RhythmPage[number]) =>
    stays(section) ? (section.theme as ThemeId) : given.get(kindOf(section))
  return pages.map((page) => {
    const rhythm = proposeRhythm(frame, page.length)
    page.forEach((section, i) => {
      const known = fixed(section)
      const below = page[i + 1]
      const near = [rhythm[i - 1], below ? fixed(below) : footer]
      const wanted = rhythm[i]!
      const alike = Object.values(kinds).find((some) => some.some(({ id }) => id === wanted)) ?? []
      const choices = [wanted, ...alike.map(({ id }) => id), ...all]
      const theme = known ?? choices.find((each) => !near.includes(each)) ?? wanted
      rhythm[i] = theme
      if (!known) given.set(kindOf(section), theme)
    })
    return rhythm
  })
}
