'use client'

import { useEffect, useRef, useState } from 'react'
import { HexAlphaColorPicker } from 'react-colorful'
import { colorOf, isOutOfGamut, writeColor, writeHex } from '@/core/color'
import { nameText, type Slot } from '@/core/site'
import { useEditor } from '../editor'
import { Swatch, TextField } from '../kit'
import { slotPainter, stageStore, unpaintSlot } from '../stage'
import { readColorText } from './read-color'

/** How long the pointer must rest before a dragged colour is kept, in milliseconds. */
const REST = 260

/**
 * Edits one slot. While a colour is dragged only the stage's custom properties
 * change; the edit itself is made when the pointer rests.
 */
export function SlotEditor({ slot }: { readonly slot: Slot }) {
  const editor = useEditor()
  const [dragged, setDragged] = useState<string>()
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const unkept = useRef<string>(undefined)
  const paint = useRef<(value: string) => void>(undefined)

  const keep = () => {
    clearTimeout(timer.current)
    const value = unkept.current
    unkept.current = undefined
    paint.current = undefined
    if (value === undefined) return
    editor.dispatch({ type: 'setSlot', slot: slot.id, value })
    const stage = stageStore.getState().stage
    // The stylesheet has the new value only after the next drawing; until then the inline one stays.
    if (stage) requestAnimationFrame(() => unpaintSlot(stage.document, slot.id))
    setDragged(undefined)
  }
  const latestKeep = useRef(keep)
  useEffect(() => {
    latestKeep.current = keep
  })
  useEffect(() => () => latestKeep.current(), [])

  const drag = (hex: string) => {
    setDragged(hex)
    unkept.current = hex
    const { docs, pageId } = editor.store.getState()
    const stage = stageStore.getState().stage
    if (stage) paint.current ??= slotPainter(stage.document, docs, pageId, slot.id)
    paint.current?.(hex)
    clearTimeout(timer.current)
    timer.current = setTimeout(keep, REST)
  }

  const text = dragged ?? slot.value ?? ''
  const color = colorOf(text)
  const takeText = (typed: string) => {
    const read = readColorText(typed)
    if ('wrong' in read) return read.wrong
    editor.dispatch({ type: 'setSlot', slot: slot.id, value: read.value })
    return undefined
  }
  const rename = (typed: string) => {
    const name = nameText.safeParse(typed)
    if (!name.success) return 'A name has 1 to 60 characters.'
    editor.dispatch({ type: 'renameSlot', slot: slot.id, name: name.data })
    return undefined
  }

  return (
    <div className="grid gap-3">
      <TextField label="Name" value={slot.name} onCommit={rename} />
      <HexAlphaColorPicker
        className="easel-picker"
        color={color ? writeHex(color) : '#ffffff'}
        onChange={drag}
      />
      <TextField label="Colour, in any notation" value={text} mono onCommit={takeText} />
      {color && (
        <dl className="code grid grid-cols-[3.2rem_1fr] gap-y-0.5 text-soft">
          {(['hex', 'rgb', 'hsl', 'oklch'] as const).map((notation) => (
            <div key={notation} className="contents">
              <dt>{notation}</dt>
              <dd className="text-ink select-all">{writeColor(color, notation)}</dd>
            </div>
          ))}
        </dl>
      )}
      {color && isOutOfGamut(color) && (
        <p className="flex items-center gap-2 text-xs">
          <Swatch color={writeHex(color)} /> Outside sRGB; shown and written as {writeHex(color)}.
        </p>
      )}
    </div>
  )
}
