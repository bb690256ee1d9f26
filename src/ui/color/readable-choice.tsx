import type { ReactNode } from 'react'

interface ReadableChoiceProps {
  readonly label: string
  /** The thing itself in that colour, on what it stands on. */
  readonly sample: ReactNode
  /** The decision and its contrast, in words. */
  readonly words: string
  readonly onChoose: () => void
  /** Whether it is pointed at, by pointer or focus. */
  readonly onPoint?: (pointed: boolean) => void
}

/** One colour that could be read where another cannot, shown as it would look. */
export function ReadableChoice({ label, sample, words, onChoose, onPoint }: ReadableChoiceProps) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onChoose}
      onPointerEnter={() => onPoint?.(true)}
      onPointerLeave={() => onPoint?.(false)}
      onFocus={() => onPoint?.(true)}
      onBlur={() => onPoint?.(false)}
      className="grid grid-cols-[minmax(0,1fr)_auto] items-center overflow-hidden rounded ring-1 ring-black/15 hover:ring-2 hover:ring-ink"
    >
      {sample}
      <span className="code bg-raised px-2 leading-8">{words}</span>
    </button>
  )
}
