import type { Font, Frame } from '../site'
import { faces, faceSetting } from '../traits'
import typefaces from './typefaces.json' with { type: 'json' }

/** A typeface that ships with us: its package, the weights between which it can be set, and what stands in while it loads. */
export interface SiteFont {
  readonly family: string
  readonly package: string
  readonly weights: readonly [lightest: number, boldest: number]
  readonly fallback: 'serif' | 'sans-serif'
  /** Mean advance of a–z in em, at its usual weight: what tells narrow faces from wide ones. */
  readonly width: number
  /** Its open licence, as SPDX calls it. */
  readonly license: string
}

/** The open typefaces that ship with us. The set-up lays their files out by the same list. */
export const siteFonts = typefaces as unknown as readonly SiteFont[]

/**
 * The parts that each typeface comes in, by the characters that need them: a page fetches only the
 * parts that its words need. The ranges are those of the packages (`unicode.json`).
 */
export const subsets = {
  'latin-ext':
    'U+0100-02BA, U+02BD-02C5, U+02C7-02CC, U+02CE-02D7, U+02DD-02FF, U+0304, U+0308, U+0329, U+1D00-1DBF, U+1E00-1E9F, U+1EF2-1EFF, U+2020, U+20A0-20AB, U+20AD-20C0, U+2113, U+2C60-2C7F, U+A720-A7FF',
  latin:
    'U+0000-00FF, U+0131, U+0152-0153, U+02BB-02BC, U+02C6, U+02DA, U+02DC, U+0304, U+0308, U+0329, U+2000-206F, U+20AC, U+2122, U+2191, U+2193, U+2212, U+2215, U+FEFF, U+FFFD',
} as const

export type Subset = keyof typeof subsets

/** The file of a part of a typeface. */
export const fontFile = ({ package: name }: SiteFont, subset: Subset): string =>
  `${name}-${subset}-wght-normal.woff2`

/** The files of a typeface. */
export const fontFiles = (font: SiteFont): string[] =>
  (Object.keys(subsets) as Subset[]).map((subset) => fontFile(font, subset))

export function fontsOf(families: readonly string[]): SiteFont[] {
  return siteFonts.filter((font) => families.includes(font.family))
}

const STANDING_IN = { serif: 'Georgia, serif', 'sans-serif': 'system-ui, sans-serif' } as const

/** A typeface with what stands in for it. */
export function stackOf(family: string): string {
  const font = siteFonts.find((candidate) => candidate.family === family)
  // One of the site's own may have any name.
  const name = `"${family.replaceAll(/["\\\n\r\f]/g, ' ')}"`
  return `${name}, ${STANDING_IN[font?.fallback ?? 'sans-serif']}`
}

/** The typefaces of a site: those of its faces. */
export const typefacesOf = ({ settings }: Pick<Frame, 'settings'>): string[] => [
  ...new Set(faces.map((face) => settings[faceSetting[face]])),
]

/** The typefaces of the same sort that are narrower than one by three per cent at least, the widest of them first. */
export function narrowerThan(family: string): SiteFont[] {
  const font = siteFonts.find((each) => each.family === family)
  if (!font) return []
  return siteFonts
    .filter(({ fallback, width }) => fallback === font.fallback && width <= font.width * 0.97)
    .sort((a, b) => b.width - a.width)
}

/** Characters that a part of a font of one’s own is for: the same as of those that ship with us, and all others. */
export type OwnPart = Subset | 'rest' | 'whole'

/** The files that a font of a site’s own is published in. */
export const ownFontFiles = ({
  id,
  file,
  whole,
}: Font): ReadonlyArray<{
  readonly part: OwnPart
  readonly name: string
  readonly range?: string
}> => {
  const name = (part: OwnPart) => `${id}-${file.slice(0, 8)}-${part}.woff2`
  if (whole) return [{ part: 'whole', name: name('whole') }]
  const parts = (Object.keys(subsets) as Subset[]).map((part) => ({
    part,
    name: name(part),
    range: subsets[part],
  }))
  // What is for all characters stands first: the later rule counts for those that it names.
  return [{ part: 'rest', name: name('rest') }, ...parts]
}
