'use client'

import { decisionWords } from '@/core/edit'
import { canonicalJson, isBound, slotsInOrder, type ColorDecision, type SlotId } from '@/core/site'
import { decisionHex, useEditorState } from '../editor'
import { TextField } from '../kit'
import { readColorText } from './read-color'

/** Steps of lightness that are offered beside each slot, lightest first. */
export const shadeSteps = [16, 8, 0, -8, -16] as const

export function shadeOf(slot: SlotId, lightness: number): ColorDecision {
  return lightness === 0 ? { slot } : { slot, shade: { lightness } }
}

interface ColorChooserProps {
  readonly value?: ColorDecision
  readonly onChoose: (decision: ColorDecision) => void
  readonly label: string
}

/** The palette and its shades, then any colour in any notation: the same wherever a colour is set. */
export function ColorChooser({ value, onChoose, label }: ColorChooserProps) {
  const docs = useEditorState((state) => state.docs)
  const { palette } = docs.frame
  const chosen = value && canonicalJson(value)
  const takeText = (typed: string) => {
    const read = readColorText(typed)
    if ('wrong' in read) return read.wrong
    onChoose({ value: read.value })
    return undefined
  }
  return (
    <div>
      <div
        role="group"
        aria-label={label}
        className="grid gap-1"
        style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(38px, 1fr))' }}
      >
        {slotsInOrder(palette).map((slot) => (
          <div key={slot.id} className="flex flex-col overflow-hidden rounded">
            {shadeSteps.map((step) => {
              const decision = shadeOf(slot.id, step)
              const words = decisionWords(decision, docs)
              const pressed = canonicalJson(decision) === chosen
              return (
                <button
                  key={step}
                  type="button"
                  title={words}
                  aria-label={words}
                  aria-pressed={pressed}
                  onClick={() => onChoose(decision)}
                  className={`relative border border-black/15 ${step === 0 ? 'h-7' : 'h-6'} aria-pressed:outline-2 aria-pressed:-outline-offset-2 aria-pressed:outline-black aria-pressed:ring-2 aria-pressed:ring-white aria-pressed:ring-inset`}
                  style={{ background: decisionHex(palette, decision) }}
                />
              )
            })}
          </div>
        ))}
      </div>
      <div className="mt-3">
        <TextField
          label="Any colour, in any notation"
          value={value && !isBound(value) ? value.value : ''}
          placeholder="#1d5955, teal, rgb(29 89 85) …"
          mono
          onCommit={takeText}
        />
      </div>
    </div>
  )
}
