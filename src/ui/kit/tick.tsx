import type { ReactNode } from 'react'

interface TickProps {
  readonly checked: boolean
  readonly onChange: (checked: boolean) => void
  readonly children: ReactNode
}

/** A box to tick, with its words. */
export function Tick({ checked, onChange, children }: TickProps) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="size-4 accent-(--strong)"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span>{children}</span>
    </label>
  )
}
