'use client'

import { useState } from 'react'
import { fanOf } from '@/core/palette'
import { isBound, type Slot } from '@/core/site'
import { ColorEditor, useResting } from '../color'
import { useEditor, useEditorState } from '../editor'
import { Button, useRoving } from '../kit'
import { decisionHex } from '../look'

const stepName = (step: number) => (step > 0 ? `+${step}` : `−${-step}`)

/** The tints and shades of a slot, each of which can be given a colour of its own: a brand’s official tint. */
export function Ramp({ slot }: { readonly slot: Slot }) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [chosen, setChosen] = useState<number>()
  const group = useRoving()
  const own = slot.steps ?? {}
  const steps = fanOf(palette, slot.id).flatMap((decision) =>
    isBound(decision) && decision.shade?.lightness ? [decision.shade.lightness] : [],
  )
  // Steps of their own stay in sight, also where the scale no longer has them.
  const all = [...new Set([...steps, ...Object.keys(own).map(Number)])].sort((a, b) => b - a)
  const hexOf = (step: number) =>
    decisionHex(palette, { slot: slot.id, shade: { lightness: step } })
  const set = (step: number, value: string | null) =>
    editor.carryOut({ type: 'setStep', slot: slot.id, step, value })
  return (
    <div className="grid gap-2">
      <div {...group} role="group" aria-label={`Steps of ${slot.name}`} className="flex gap-1">
        {all.map((step) => (
          <button
            key={step}
            type="button"
            aria-pressed={chosen === step}
            aria-label={`${slot.name} ${stepName(step)}, ${hexOf(step)}${own[step] ? ', its own' : ''}`}
            onClick={() => setChosen(chosen === step ? undefined : step)}
            className="min-w-0 flex-1 rounded-md border border-edge-strong/60 p-0.5 aria-pressed:border-strong aria-pressed:ring-1 aria-pressed:ring-strong"
          >
            <span className="block h-7 rounded-sm" style={{ background: hexOf(step) }} />
            <span className="code block text-[10px]">
              {stepName(step)}
              {own[step] && ' ●'}
            </span>
          </button>
        ))}
      </div>
      {chosen !== undefined && (
        <Step
          key={chosen}
          value={own[chosen] ?? hexOf(chosen)}
          isOwn={own[chosen] !== undefined}
          name={`${slot.name} ${stepName(chosen)}`}
          onSet={(value) => set(chosen, value)}
        />
      )}
    </div>
  )
}

interface StepProps {
  readonly name: string
  readonly value: string
  readonly isOwn: boolean
  readonly onSet: (value: string | null) => void
}

function Step({ name, value, isOwn, onSet }: StepProps) {
  const [dragged, rest, take] = useResting<string>(onSet)
  return (
    <section aria-label={name} className="grid gap-2 rounded-md border border-edge p-2">
      <p className="flex items-center justify-between gap-2">
        <span>
          <b>{name}</b> {isOwn ? 'has a colour of its own' : 'is computed'}
        </span>
        {isOwn && <Button onClick={() => onSet(null)}>Compute it again</Button>}
      </p>
      <ColorEditor value={dragged ?? value} onDrag={rest} onCommit={take} />
    </section>
  )
}
