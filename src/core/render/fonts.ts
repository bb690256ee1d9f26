import type { Frame } from '../site'
import { faces, faceSetting } from '../traits'

/** The bundled open fonts (SIL Open Font License): family, file, weights, and what stands in while it loads. */
export interface SiteFont {
  readonly family: string
  readonly file: string
  readonly weights: string
  readonly fallback: string
}

export const siteFonts: readonly SiteFont[] = [
  {
    family: 'Fraunces',
    file: 'fraunces-latin-wght-normal.woff2',
    weights: '100 900',
    fallback: 'Georgia, serif',
  },
  {
    family: 'Karla',
    file: 'karla-latin-wght-normal.woff2',
    weights: '200 800',
    fallback: 'system-ui, sans-serif',
  },
  {
    family: 'Bricolage Grotesque',
    file: 'bricolage-grotesque-latin-wght-normal.woff2',
    weights: '200 800',
    fallback: 'system-ui, sans-serif',
  },
  {
    family: 'Figtree',
    file: 'figtree-latin-wght-normal.woff2',
    weights: '300 900',
    fallback: 'system-ui, sans-serif',
  },
  {
    family: 'Newsreader',
    file: 'newsreader-latin-wght-normal.woff2',
    weights: '200 800',
    fallback: 'Georgia, serif',
  },
  {
    family: 'Bitter',
    file: 'bitter-latin-wght-normal.woff2',
    weights: '100 900',
    fallback: 'Georgia, serif',
  },
  {
    family: 'Space Grotesk',
    file: 'space-grotesk-latin-wght-normal.woff2',
    weights: '300 700',
    fallback: 'system-ui, sans-serif',
  },
  {
    family: 'Unbounded',
    file: 'unbounded-latin-wght-normal.woff2',
    weights: '200 900',
    fallback: 'system-ui, sans-serif',
  },
]

export function fontsOf(families: readonly string[]): SiteFont[] {
  return siteFonts.filter((font) => families.includes(font.family))
}

/** A typeface with what stands in for it. */
export function stackOf(family: string): string {
  const font = siteFonts.find((candidate) => candidate.family === family)
  return font ? `"${font.family}", ${font.fallback}` : 'system-ui, sans-serif'
}

/** Every typeface that a value names, however deep. */
function namedIn(value: unknown, into: Set<string>): void {
  if (typeof value !== 'object' || value === null) return
  if ('typeface' in value && typeof value.typeface === 'string') into.add(value.typeface)
  for (const each of Object.values(value)) namedIn(each, into)
}

/** The typefaces of a site: those of its faces, and those that element styles take besides. */
export function typefacesOf({ settings, styles }: Pick<Frame, 'settings' | 'styles'>): string[] {
  const found = new Set<string>(faces.map((face) => settings[faceSetting[face]]))
  for (const { looks } of Object.values(styles)) namedIn(looks, found)
  return [...found]
}
