'use client'

import { RadioGroup } from 'radix-ui'
import type { MouseEvent, ReactNode } from 'react'

interface ChoicesProps {
  readonly label: string
  readonly value: string | undefined
  readonly onChange: (value: string) => void
  readonly className?: string
  readonly children: ReactNode
}

/** One of some things that are drawn, not only named: one stop for the tab key, arrow keys choose. */
export function Choices({ label, value, onChange, className, children }: ChoicesProps) {
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value ?? ''}
      onValueChange={onChange}
      className={className}
    >
      {children}
    </RadioGroup.Root>
  )
}

interface ChoiceProps {
  readonly value: string
  /** Its name, where what it shows has none. */
  readonly label?: string
  readonly className?: string
  readonly onClick?: (event: MouseEvent) => void
  readonly children: ReactNode
}

export function Choice({ value, label, className, onClick, children }: ChoiceProps) {
  return (
    <RadioGroup.Item value={value} aria-label={label} className={className} onClick={onClick}>
      {children}
    </RadioGroup.Item>
  )
}
