import type { Settings } from '../traits'

/** Typefaces that go together: for headings with their weight, and for running text. */
export interface FontPair {
  readonly id: string
  readonly mood: string
  readonly heading: { readonly family: string; readonly weight: number }
  readonly body: { readonly family: string; readonly weight: number }
}

const pair = (
  id: string,
  mood: string,
  [heading, weight]: readonly [string, number],
  body: string,
): FontPair => ({
  id,
  mood,
  heading: { family: heading, weight },
  body: { family: body, weight: 400 },
})

/** Pairs of the typefaces that ship with us: one with a voice, one that is read long. */
export const fontPairs: readonly FontPair[] = [
  pair('soft', 'soft and old', ['Fraunces', 600], 'Karla'),
  pair('bookish', 'like a book', ['Newsreader', 560], 'Newsreader'),
  pair('sturdy', 'sturdy', ['Bitter', 700], 'Figtree'),
  pair('lively', 'lively', ['Bricolage Grotesque', 700], 'Karla'),
  pair('clear', 'clear', ['Figtree', 700], 'Figtree'),
  pair('exact', 'exact', ['Space Grotesk', 650], 'Newsreader'),
  pair('loud', 'loud', ['Unbounded', 700], 'Figtree'),
]

export const fontPairOf = (id: string | undefined): FontPair | undefined =>
  fontPairs.find((each) => each.id === id)

/** Settings with another pair in them. */
export const withFonts = (settings: Settings, pairId: string | undefined): Settings => {
  const found = fontPairOf(pairId)
  if (!found) return settings
  const { heading, body } = found
  return {
    ...settings,
    titleFace: heading.family,
    titleWeight: heading.weight,
    headingFace: heading.family,
    headingWeight: heading.weight,
    bodyFace: body.family,
    bodyWeight: body.weight,
    interactiveFace: body.family,
  }
}
