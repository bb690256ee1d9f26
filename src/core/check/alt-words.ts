import { colorOf, difference, type Color } from '../color'
import type { Palette, Picture } from '../site'

/**
 * Words that name a colour and hardly anything else, with the colour that they name: CSS Color 4
 * where it has the word, else the colour of that name in color-name-list 14 (MIT), from memory.
 */
const COLOUR_WORDS: Readonly<Record<string, string>> = {
  ...{ red: '#ff0000', orange: '#ffa500', yellow: '#ffff00', green: '#008000', blue: '#0000ff' },
  ...{ purple: '#800080', pink: '#ffc0cb', brown: '#a52a2a', teal: '#008080', navy: '#000080' },
  ...{ turquoise: '#40e0d0', violet: '#ee82ee', indigo: '#4b0082', maroon: '#800000' },
  ...{
    crimson: '#dc143c',
    coral: '#ff7f50',
    salmon: '#fa8072',
    beige: '#f5f5dc',
    ivory: '#fffff0',
  },
  ...{
    lavender: '#e6e6fa',
    lime: '#00ff00',
    magenta: '#ff00ff',
    cyan: '#00ffff',
    olive: '#808000',
  },
  ...{ rust: '#a83c09', burgundy: '#800020', scarlet: '#ff2400', vermilion: '#f4320c' },
  ...{ mustard: '#ceb301', ochre: '#cc7722', terracotta: '#cb6843', amber: '#ffbf00' },
  ...{
    emerald: '#028f1e',
    sage: '#87ae73',
    lilac: '#cea2fd',
    mauve: '#ae7181',
    aubergine: '#3d0734',
  },
}

/** How far a colour may lie from one that a word names (CIEDE2000). Common practice, no source. */
const NAMED_AFTER = 22

/** A picture whose alt text names a colour that the palette held and no longer holds. */
export interface StaleAlt {
  readonly picture: Picture['id']
  readonly fileName: string
  readonly word: string
}

const wordsOf = (text: string) => text.toLowerCase().match(/\p{L}+/gu) ?? []

/**
 * Alt texts that name a colour which slots held before and none holds now: after a change they
 * may describe a picture that has changed as well. English words; whoever reads decides.
 */
export function staleAlts(palette: Palette, pictures: readonly Picture[]): StaleAlt[] {
  const slots = Object.values(palette.slots)
  const colorsOf = (texts: ReadonlyArray<string | null>) =>
    texts.flatMap((text) => (text && colorOf(text)) || [])
  const before = colorsOf(slots.flatMap(({ was }) => was))
  const now = colorsOf(slots.map(({ value }) => value))
  const isNear = (all: readonly Color[], color: Color) =>
    all.some((each) => difference(each, color) <= NAMED_AFTER)
  const isStale = (word: string) => {
    const color = Object.hasOwn(COLOUR_WORDS, word) ? colorOf(COLOUR_WORDS[word]!) : undefined
    return color !== undefined && isNear(before, color) && !isNear(now, color)
  }
  return pictures.flatMap(({ id, fileName, alt }) => {
    const word = wordsOf(alt).find(isStale)
    return word ? [{ picture: id, fileName, word }] : []
  })
}
