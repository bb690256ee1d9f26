import { useId, type ComponentProps } from 'react'

type Native = Pick<
  ComponentProps<'input'>,
  | 'placeholder'
  | 'spellCheck'
  | 'onBlur'
  | 'onKeyDown'
  | 'role'
  | 'aria-controls'
  | 'aria-expanded'
  | 'aria-activedescendant'
  | 'aria-autocomplete'
>

interface LineProps extends Native {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  /** What is wrong with it, in words. */
  readonly wrong?: string
  readonly mono?: boolean
  readonly hideLabel?: boolean
  /** Whether a dialog begins here. */
  readonly first?: boolean
  /** Whether what stands in it is not taken yet. */
  readonly changed?: boolean
}

/** One line of text with its label; a mistake is told beneath it and keeps what was typed. */
export function Line(props: LineProps) {
  const { label, value, onChange, wrong, mono, hideLabel, first, changed, ...native } = props
  const id = useId()
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-1 block text-xs text-soft'}>
        {label}
      </label>
      <input
        {...native}
        id={id}
        value={value}
        autoComplete="off"
        data-first={first || undefined}
        data-changed={changed}
        aria-invalid={wrong !== undefined}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        onChange={(event) => onChange(event.target.value)}
        className={`h-8 w-full rounded-md border border-edge-strong/60 bg-raised px-2.5 aria-invalid:border-2 aria-invalid:border-strong ${mono ? 'code' : ''}`}
      />
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="mt-1 text-xs font-semibold">
          × {wrong}
        </p>
      )}
    </div>
  )
}
