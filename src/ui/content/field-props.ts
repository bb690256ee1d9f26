import type { ContentPath } from '@/core/edit'
import type { Field } from '@/core/elements'

export interface FieldProps<As extends Field['as'] = Field['as']> {
  readonly field: Extract<Field, { readonly as: As }>
  /** Where it lies in the content. */
  readonly at: ContentPath
  readonly content: unknown
  /** Writes a part of the content; returns what is wrong with it, in words. */
  readonly onWrite: (at: ContentPath, to: unknown) => string | undefined
}
