import type { Draft } from 'immer'
import type * as z from 'zod'
import type { DocId, RecordRef, SiteDocs } from '../site'

/** Why an edit that was well formed could not be carried out. The words for each stand in the interface. */
export type EditProblem =
  | 'slot-gone'
  | 'slot-taken'
  | 'slots-full'
  | 'steps-full'
  | 'step-unknown'
  | 'studies-full'
  | 'study-gone'
  | 'theme-gone'
  | 'theme-taken'
  | 'theme-named'
  | 'themes-full'
  | 'last-theme'
  | 'page-gone'
  | 'page-taken'
  | 'path-taken'
  | 'home-page'
  | 'home-address'
  | 'picture-gone'
  | 'picture-taken'
  | 'font-gone'
  | 'font-taken'
  | 'file-taken'
  | 'checkpoint-gone'
  | 'section-gone'
  | 'section-taken'
  | 'part-gone'
  | 'part-here'
  | 'part-in-part'
  | 'parts-full'
  | 'not-a-part'
  | 'sections-full'
  | 'element-gone'
  | 'element-taken'
  | 'elements-full'
  | 'holds-nothing'
  | 'into-itself'
  | 'content-unfit'
  | 'style-gone'
  | 'style-taken'
  | 'style-named'
  | 'styles-full'
  | 'style-other-kind'
  | 'style-circle'
  | 'property-unknown'
  | 'value-unfit'
  | 'shadows-full'
  | 'stops-disordered'
  | 'text-changed'
  | 'file-gone'
  /** A picture's file is of another kind than its record or its name says, or no font is in the file of one. */
  | 'file-other-kind'
  | 'pairs-at-odds'
  | 'nothing-sought'
  | 'same-thing'
  | 'no-target'
  | 'target-gone'
  | 'add-on-gone'
  | 'add-on-there'
  | 'add-ons-full'
  | 'setting-unknown'
  | 'css-too-deep'
  | 'css-reaches-out'
  | 'not-whole'
  /** Custom CSS, a snippet or other text would become longer than its place allows. */
  | 'text-too-long'
  /** A snippet holds what may not stand in a page. */
  | 'unclean-snippet'
  /** It is not what an edit of its kind is made of, or holds what cannot be kept; told before it is carried out. */
  | 'malformed'
  | 'too-much'

export type DraftDocs = Draft<SiteDocs>

/** A kind of edit: how it is checked, which records it needs, what it does, how it is told. */
export interface EditKind<Command extends { readonly type: string }> {
  readonly type: Command['type']
  readonly schema: z.ZodType<Command>
  /** The records that must be at hand, beside the frame, which always is; one that is not there is left out. */
  readonly needs?: (command: Command) => readonly RecordRef[]
  /** Changes the draft, or returns why it cannot; then nothing is kept. */
  readonly apply: (draft: DraftDocs, command: Command) => EditProblem | undefined
  /** One line for people, told with the names that hold before the edit. */
  readonly describe: (command: Command, docs: SiteDocs) => string
  /** What somebody typed, in full and without its form: told where it cannot be kept. Absent where `describe` tells all of it. */
  readonly typed?: (command: Command) => string | undefined
}

export function defineEdit<Command extends { readonly type: string }>(
  kind: EditKind<Command>,
): EditKind<Command> {
  return kind
}

/** The pages among some documents, each once. */
export function pagesIn(docs: readonly DocId[]): RecordRef[] {
  const pages = new Set(docs.filter((doc) => doc !== 'frame'))
  return [...pages].map((id) => ({ kind: 'page', id }))
}

export type DraftBody = DraftDocs['frame']['body']

export function draftBody(draft: DraftDocs, doc: DocId): DraftBody | undefined {
  return doc === 'frame' ? draft.frame.body : draft.pages[doc]?.body
}
