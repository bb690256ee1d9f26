'use client'

import { createContext, useContext, useId, type MouseEvent, type ReactNode } from 'react'

interface Chosen {
  /** What the browser tells the choices of one group by. */
  readonly name: string
  readonly value: string | undefined
  readonly onChange: (value: string) => void
}

const Group = createContext<Chosen | undefined>(undefined)

interface ChoicesProps {
  readonly label: string
  readonly value: string | undefined
  readonly onChange: (value: string) => void
  readonly className?: string
  readonly children: ReactNode
}

/** One of some things that are drawn, not only named: one stop for the tab key, arrow keys choose, as the browser has it. */
export function Choices({ label, value, onChange, className, children }: ChoicesProps) {
  const name = useId()
  return (
    <div role="radiogroup" aria-label={label} className={className}>
      <Group value={{ name, value, onChange }}>{children}</Group>
    </div>
  )
}

interface ChoiceProps {
  readonly value: string
  /** Its name, where what it shows has none. */
  readonly label?: string
  /** How it looks; `has-checked:` where it is the one that is chosen. */
  readonly className?: string
  readonly onClick?: (event: MouseEvent) => void
  readonly children: ReactNode
}

export function Choice({ value, label, className = '', onClick, children }: ChoiceProps) {
  const group = useContext(Group)
  if (!group) throw new Error('a choice stands in Choices')
  return (
    <label className={`relative ${className}`}>
      {children}
      {/* It lies over all of it and shows nothing of its own: what is clicked and walked to is the browser’s. */}
      <input
        type="radio"
        name={group.name}
        value={value}
        aria-label={label}
        checked={group.value === value}
        onChange={() => group.onChange(value)}
        onClick={onClick}
        // Light and dark, so that it is seen on whatever is drawn there.
        className="absolute inset-0 size-full cursor-pointer appearance-none focus-visible:shadow-[inset_0_0_0_4px_#fff] focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-black"
      />
    </label>
  )
}
