import { readPalette } from '@/core/formats'
import type { Trial } from '../editor'
import type { Basis } from './basis'
import { proposed } from './trial'

/** What a pasted or opened text proposes. The readers of files come with it, so only what needs them imports it. */
export function trialOfList(basis: Basis, text: string): Trial {
  const { colors, problems } = readPalette(text)
  const empty = text.trim() === ''
  return proposed(basis, { way: 'list', text, problems: empty ? [] : problems }, colors)
}
