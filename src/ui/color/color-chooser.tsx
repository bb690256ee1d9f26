'use client'

import { useState } from 'react'
import { writeDecision } from '@/core/edit'
import { decisionColor } from '@/core/resolve'
import {
  canonicalJson,
  isBound,
  slotName,
  slotsInOrder,
  type ColorDecision,
  type SlotId,
} from '@/core/site'
import { useEditorState } from '../editor'
import { decisionHex, distinctFan } from '../look'
import { Fold, Folds, useRoving } from '../kit'
import { ColorEditor } from './later-editor'
import { Readings, type ReadsOn } from './readings'
import { ShadeEditor } from './shade-editor'
import { useResting } from './use-resting'

/** Slots above which only the chosen one fans out. */
const MANY = 14

interface ColorChooserProps {
  readonly value?: ColorDecision
  readonly onChoose: (decision: ColorDecision) => void
  readonly label: string
  readonly readsOn?: readonly ReadsOn[]
  /** What is seen now, where nothing is decided here or not one thing: what a shade and a loose colour begin at. */
  readonly present?: ColorDecision
  /** Called while one of the palette's colours is pointed at or focused, and with nothing when none is. */
  readonly onPoint?: (decision: ColorDecision | undefined) => void
}

/** The palette and its shades, then any shade, then any colour: the same wherever a colour is set. */
export function ColorChooser(props: ColorChooserProps) {
  const { value, onChoose, label, readsOn = [], present, onPoint } = props
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [dragged, rest, take] = useResting(onChoose)
  const [palettes, shades] = [useRoving(), useRoving()]
  const shown = dragged ?? value
  const chosen = shown && canonicalJson(shown)
  const slots = slotsInOrder(palette)
  const begun = shown ?? present
  const slotOf = begun && isBound(begun) ? begun.slot : undefined
  const [fanned, setFanned] = useState<SlotId>()
  const many = slots.length > MANY
  const color = shown && decisionColor(palette, shown)

  const cell = (decision: ColorDecision, isSlot: boolean, shape: string) => {
    const words = writeDecision(palette, decision)
    return (
      <button
        key={words}
        type="button"
        title={words}
        aria-label={words}
        aria-pressed={canonicalJson(decision) === chosen}
        onFocus={() => {
          if (isSlot && isBound(decision)) setFanned(decision.slot)
          onPoint?.(decision)
        }}
        onBlur={() => onPoint?.(undefined)}
        onPointerEnter={() => onPoint?.(decision)}
        onPointerLeave={() => onPoint?.(undefined)}
        onClick={() => take(decision)}
        className={`relative border border-black/15 ${shape} aria-pressed:outline-2 aria-pressed:-outline-offset-2 aria-pressed:outline-black aria-pressed:ring-2 aria-pressed:ring-white aria-pressed:ring-inset`}
        style={{ background: decisionHex(palette, decision) }}
      />
    )
  }
  const fanSlot = slotOf ?? fanned
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <div
        {...palettes}
        role="group"
        aria-label={label}
        className="grid gap-1"
        style={{
          gridTemplateColumns: `repeat(auto-fill, minmax(${many ? 28 : 34}px, 1fr))`,
        }}
      >
        {slots.map(({ id }) => (
          <div key={id} className="flex flex-col overflow-hidden rounded">
            {many
              ? cell({ slot: id }, true, 'h-7 w-full')
              : distinctFan(palette, id).map((each) =>
                  cell(each, !('shade' in each), 'shade' in each ? 'h-6 w-full' : 'h-7 w-full'),
                )}
          </div>
        ))}
      </div>
      {many && fanSlot && palette.slots[fanSlot] && (
        <div
          {...shades}
          className="flex overflow-hidden rounded"
          role="group"
          aria-label={`Shades of ${slotName(palette, fanSlot)}`}
        >
          {distinctFan(palette, fanSlot).map((each) => cell(each, false, 'h-7 flex-1'))}
        </div>
      )}
      {slots.length === 0 && <p className="text-soft">The palette has no slots yet.</p>}
      <Folds begin={shown && !isBound(shown) ? ['loose'] : []}>
        {begun && isBound(begun) && (
          <Fold value="shade" title={`A shade of ${slotName(palette, begun.slot)}`}>
            <ShadeEditor palette={palette} value={begun} onChoose={rest} />
          </Fold>
        )}
        <Fold value="loose" title="A loose colour">
          <ColorEditor
            value={begun ? (isBound(begun) ? decisionHex(palette, begun) : begun.value) : ''}
            onDrag={(text) => rest({ value: text })}
            onCommit={(text) => take({ value: text })}
            readsOn={readsOn}
          />
        </Fold>
      </Folds>
      {shown && isBound(shown) && color && <Readings color={color} readsOn={readsOn} />}
    </div>
  )
}
