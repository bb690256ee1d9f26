import { cssFaults, type CssFaultKind } from '@/core/css'
import type { FaultInText } from '../code'

const WORDS: Readonly<Record<CssFaultKind, string>> = {
  unclosed: 'This is opened and never closed.',
  stray: 'This closes what was never opened.',
  'torn-text': 'This text has no end: put a quotation mark behind it, on the same line.',
  'torn-address':
    'This address has no end, or a character that it cannot hold. Put it in quotation marks.',
  'no-colon': 'A declaration is a property, a colon and a value.',
  import:
    'Nothing is fetched from elsewhere by these pages: put the rules themselves here instead of @import.',
  'reaches-out':
    'Nothing is fetched from elsewhere by these pages: take the file into the site and name it as assets/…',
  'too-deep': 'Blocks and brackets stand more than a hundred deep.',
}

/** Faults for which custom CSS is refused, rather than only not doing what was meant. */
const REFUSED: readonly CssFaultKind[] = ['import', 'reaches-out', 'too-deep']

export interface CssFaultInText extends FaultInText {
  readonly isRefused: boolean
}

export const faultsIn = (css: string): CssFaultInText[] =>
  cssFaults(css).map(({ start, end, what }) => ({
    from: start,
    to: end,
    words: WORDS[what],
    isRefused: REFUSED.includes(what),
  }))
