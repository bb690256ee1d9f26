import { useId, type ReactNode } from 'react'

interface SelectFieldProps {
  readonly label: string
  readonly hideLabel?: boolean
  readonly value: string
  readonly onChange: (value: string) => void
  /** `option`s, perhaps in groups. */
  readonly children: ReactNode
}

/** One of a list that is too long to be shown at once. */
export function SelectField({ label, hideLabel, value, onChange, children }: SelectFieldProps) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-1 block text-xs text-soft'}>
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="h-8.5 w-full rounded-md border border-edge-strong/60 bg-raised px-2"
      >
        {children}
      </select>
    </div>
  )
}
