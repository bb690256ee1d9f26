import { useId } from 'react'

interface LineProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  /** What is wrong with it, in words. */
  readonly wrong?: string
  readonly placeholder?: string
  readonly mono?: boolean
  /** Whether a dialog begins here. */
  readonly first?: boolean
}

/** One line of a form, which is read when the form is sent; a mistake is told beneath it and keeps what was typed. */
export function Line({ label, value, onChange, wrong, placeholder, mono, first }: LineProps) {
  const id = useId()
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={id} className="mb-1 block text-xs text-soft">
        {label}
      </label>
      <input
        id={id}
        value={value}
        placeholder={placeholder}
        autoComplete="off"
        spellCheck={!mono}
        data-first={first || undefined}
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
