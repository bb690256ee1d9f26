'use client'

import { useState, type KeyboardEvent } from 'react'
import { Line } from './line'

interface TextFieldProps {
  readonly label: string
  readonly value: string
  /** Takes the typed text on Enter or on leaving; returns what is wrong with it, or nothing. */
  readonly onCommit: (text: string) => string | undefined
  readonly onType?: (text: string) => void
  readonly mono?: boolean
  readonly hideLabel?: boolean
  readonly placeholder?: string
}

/** One line of text that is taken as a whole; a mistake is told beneath it and keeps what was typed. */
export function TextField(props: TextFieldProps) {
  const { label, value, onCommit, onType, mono, hideLabel, placeholder } = props
  const [typed, setTyped] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const commit = () => {
    if (typed === undefined) return
    const wrong = typed === value ? undefined : onCommit(typed)
    setProblem(wrong)
    if (!wrong) setTyped(undefined)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') commit()
    if (event.key === 'Escape' && typed !== undefined) {
      event.stopPropagation()
      setTyped(undefined)
      setProblem(undefined)
    }
  }
  return (
    <Line
      label={label}
      hideLabel={hideLabel}
      value={typed ?? value}
      placeholder={placeholder}
      mono={mono}
      spellCheck={false}
      changed={typed !== undefined && typed !== value}
      wrong={problem}
      onChange={(text) => {
        setTyped(text)
        setProblem(undefined)
        onType?.(text)
      }}
      onBlur={commit}
      onKeyDown={onKeyDown}
    />
  )
}
