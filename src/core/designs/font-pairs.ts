import type { TypeSettings } from '../site'

/** Typefaces that go together: for headings with their weight, and for running text. */
export interface FontPair {
  readonly id: string
  readonly mood: string
  readonly heading: TypeSettings['heading']
  readonly body: TypeSettings['body']
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

/** Type settings with another pair in them. */
export const withFonts = (type: TypeSettings, pairId: string | undefined): TypeSettings => {
  const found = fontPairOf(pairId)
  return found ? { ...type, heading: found.heading, body: found.body } : type
}
