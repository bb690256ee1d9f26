import { useId, type ReactNode } from 'react'

interface SelectFieldProps<Value extends string> {
  readonly label: string
  readonly hideLabel?: boolean
  readonly value: Value
  readonly onChange: (value: Value) => void
  /** What there is to choose, each with its words. */
  readonly options?: ReadonlyArray<readonly [value: Value, words: string]>
  /** `option`s, where they stand in groups. */
  readonly children?: ReactNode
}

/** One of a list that is too long to be shown at once. */
export function SelectField<Value extends string>(props: SelectFieldProps<Value>) {
  const { label, hideLabel, value, onChange, options = [], children } = props
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-1 block text-xs text-soft'}>
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value as Value)}
        className="h-8.5 w-full rounded-md border border-edge-strong/60 bg-raised px-2"
      >
        {options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
        {children}
      </select>
    </div>
  )
}
