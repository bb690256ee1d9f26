import type { Candidate } from '../site'

/** The kinds of palette that can be read. */
export type PaletteFormat = 'tokens' | 'gpl' | 'css' | 'text'

/** What was wrong with a part of a file; the words for it stand in the interface. */
export type ReadProblemCode =
  | 'bad-json'
  | 'too-deep'
  | 'broken-line'
  | 'not-a-color'
  | 'cyclic-alias'
  | 'missing-alias'
  | 'wrong-type'
  | 'too-many'
  | 'no-color'
  | 'no-themes'
  | 'unknown-role'

export interface ReadProblem {
  readonly code: ReadProblemCode
  /** The line (from 1) or the path of the token at fault. */
  readonly where?: string
}

/** The colours that could be read, and what could not; a reader never throws. */
export interface ReadPalette {
  readonly format: PaletteFormat
  readonly colors: readonly Candidate[]
  readonly problems: readonly ReadProblem[]
  /** How many colours the file holds, taken or not. */
  readonly total: number
}
