import type { TraitValues } from '@/core/site'
import type { TraitId } from '@/core/traits'

/** What an editor of a trait is given: what is seen now, and whom to tell of another value while it moves, and for good. */
export interface TraitEditorProps<T extends TraitId> {
  readonly label: string
  /** Absent where nobody decided it. */
  readonly value: TraitValues[T] | undefined
  readonly onDrag: (value: TraitValues[T]) => void
  readonly onChoose: (value: TraitValues[T]) => void
}
