import type { Ref } from 'react'

interface SearchFieldProps {
  readonly ref?: Ref<HTMLInputElement>
  readonly label: string
  readonly placeholder?: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly className?: string
}

/** One line that narrows a list while it is typed. */
export function SearchField({
  ref,
  label,
  placeholder,
  value,
  onChange,
  className = '',
}: SearchFieldProps) {
  return (
    <input
      ref={ref}
      type="search"
      aria-label={label}
      placeholder={placeholder ?? label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      className={`h-8 rounded-md border border-edge-strong/60 bg-raised px-2.5 ${className}`}
    />
  )
}
