'use client'

import { useId, useState, type KeyboardEvent } from 'react'

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
  const id = useId()
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
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-1 block text-xs text-soft'}>
        {label}
      </label>
      <input
        id={id}
        value={typed ?? value}
        placeholder={placeholder}
        spellCheck={false}
        data-changed={typed !== undefined && typed !== value}
        autoComplete="off"
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => {
          setTyped(event.target.value)
          setProblem(undefined)
          onType?.(event.target.value)
        }}
        onBlur={commit}
        onKeyDown={onKeyDown}
        className={`h-8 w-full rounded-md border border-edge-strong/60 bg-raised px-2.5 aria-invalid:border-2 aria-invalid:border-strong ${mono ? 'code' : ''}`}
      />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-xs font-semibold">
          × {problem}
        </p>
      )}
    </div>
  )
}
