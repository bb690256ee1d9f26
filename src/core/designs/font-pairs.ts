import type { Settings } from '../traits'

/** Typefaces that go together: for headings with their weight, and for running text. */
export interface FontPair {
  readonly id: string
  readonly mood: string
  /** Why they go together. */
  readonly reason: string
  readonly heading: { readonly family: string; readonly weight: number }
  readonly body: { readonly family: string; readonly weight: number }
}

const pair = (
  id: string,
  mood: string,
  [heading, weight]: readonly [string, number],
  body: string,
  reason: string,
): FontPair => ({
  id,
  mood,
  reason,
  heading: { family: heading, weight },
  body: { family: body, weight: 400 },
})

/** Pairs of the typefaces that ship with us, of our own choosing: one with a voice, one that is read long. */
export const fontPairs: readonly FontPair[] = [
  pair(
    'soft',
    'soft and old',
    ['Fraunces', 600],
    'Karla',
    'Swelling serifs over an even, slightly narrow text.',
  ),
  pair(
    'bookish',
    'like a book',
    ['Newsreader', 560],
    'Newsreader',
    'One family throughout: size alone tells a heading.',
  ),
  pair(
    'sturdy',
    'sturdy',
    ['Bitter', 700],
    'Figtree',
    'Square serifs carry weight, round letters lighten it.',
  ),
  pair(
    'lively',
    'lively',
    ['Bricolage Grotesque', 700],
    'Karla',
    'Both have uneven curves; only one of them shouts.',
  ),
  pair(
    'clear',
    'clear',
    ['Figtree', 700],
    'Figtree',
    'One plain family in two weights: nothing to explain.',
  ),
  pair(
    'exact',
    'exact',
    ['Space Grotesk', 650],
    'Newsreader',
    'Drawn with a ruler above, written by hand below.',
  ),
  pair(
    'loud',
    'loud',
    ['Unbounded', 700],
    'Figtree',
    'Very wide over ordinary: titles need few words.',
  ),
  pair(
    'court',
    'quiet and classical',
    ['EB Garamond', 500],
    'Libre Franklin',
    'An old book face beside a plain newspaper one.',
  ),
  pair(
    'paper',
    'warm and readable',
    ['Lora', 600],
    'Work Sans',
    'Brushed serifs with open, upright text.',
  ),
  pair(
    'office',
    'sober',
    ['Source Serif 4', 600],
    'DM Sans',
    'The same width and colour on the page, with and without serifs.',
  ),
  pair(
    'gallery',
    'light and airy',
    ['Josefin Sans', 400],
    'Crimson Pro',
    'Thin geometric capitals over a fine old text.',
  ),
  pair(
    'tools',
    'practical',
    ['Archivo', 700],
    'Literata',
    'A tight headline face, and text made for long reading.',
  ),
  pair(
    'round',
    'friendly',
    ['Outfit', 650],
    'Manrope',
    'Two round families, one drawn tighter for reading.',
  ),
]

export const fontPairOf = (id: string | undefined): FontPair | undefined =>
  fontPairs.find((each) => each.id === id)

/** The settings that a pair decides. */
export const settingsOfPair = ({ heading, body }: Pick<FontPair, 'heading' | 'body'>) => ({
  titleFace: heading.family,
  titleWeight: heading.weight,
  headingFace: heading.family,
  headingWeight: heading.weight,
  bodyFace: body.family,
  bodyWeight: body.weight,
  interactiveFace: body.family,
})

/** Settings with another pair in them. */
export const withFonts = (settings: Settings, pairId: string | undefined): Settings => {
  const found = fontPairOf(pairId)
  return found ? { ...settings, ...settingsOfPair(found) } : settings
}
