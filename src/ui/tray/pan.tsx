'use client'

import { useDraggable, useDroppable } from '@dnd-kit/core'
import type { KeyboardEvent } from 'react'
import { isBound, type ColorDecision, type Slot } from '@/core/site'
import { SlotEditor } from '../color'
import { useEditor, useEditorState } from '../editor'
import { decisionHex, distinctFan } from '../look'
import { takeInHand } from '../stage'
import { Panel } from '../kit'
import { counted } from '../words'
import { LeftBehind } from './left-behind'
import { moveSlot } from './move-slot'
import { SlotDuties } from './slot-duties'

export type PanSize = 'large' | 'medium' | 'small'

interface PanProps {
  readonly slot: Slot
  readonly size: PanSize
  readonly number: number
  readonly count: number
  readonly startsGroup: boolean
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

const PATCH: Readonly<Record<PanSize, string>> = { large: 'h-10', medium: 'h-5', small: 'h-4' }

/** Whether a step of the fan has a colour of its own in place of the computed one. */
const isOwnStep = ({ steps = {} }: Slot, decision: ColorDecision): boolean =>
  isBound(decision) && steps[decision.shade?.lightness ?? 0] !== undefined

/** What a slot looks like in the tray: its colour, its fan, its name and reach. */
function PanFace({
  slot,
  size,
  number,
  count,
}: Pick<PanProps, 'slot' | 'size' | 'number' | 'count'>) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const stays = useEditorState(
    ({ trial }) => trial && 'stays' in trial.from && trial.from.stays.includes(slot.id),
  )
  const hex = decisionHex(palette, { slot: slot.id })
  return (
    <>
      <span
        className={`block overflow-hidden rounded-md border border-black/25 ${slot.value === null ? 'border-dashed border-edge-strong' : 'see-through'}`}
      >
        <span
          className={`block ${PATCH[size]}`}
          style={slot.value === null ? {} : { background: hex }}
        />
        <span className={`flex ${size === 'large' ? 'h-3.5' : 'h-2'}`} aria-hidden>
          {distinctFan(palette, slot.id).map((each, i) => (
            <span
              key={i}
              // Dragged from here, it is this shade that is in hand.
              data-shade={isBound(each) ? (each.shade?.lightness ?? 0) : undefined}
              className={`flex-1 ${isOwnStep(slot, each) ? 'border-b-2 border-white ring-1 ring-black/60 ring-inset' : ''}`}
              style={slot.value === null ? {} : { background: decisionHex(palette, each) }}
            />
          ))}
        </span>
      </span>
      {size !== 'small' && (
        <span className="flex items-baseline justify-between gap-1">
          <span
            className={`truncate font-semibold ${stays ? 'underline decoration-2 underline-offset-3' : ''}`}
          >
            {stays ? `${slot.name} stays` : slot.name}
          </span>
          <span
            className="code text-soft"
            title={`Colours ${counted(count, 'thing')} on this site; Sweep counts the uses, the places where that is decided`}
          >
            {count.toLocaleString('en-GB')}
          </span>
        </span>
      )}
      {size === 'large' && (
        <span className="code flex justify-between text-soft">
          <span className="truncate">{slot.value ?? 'empty'}</span>
          {number < 10 && <kbd className="text-[10px]">{number}</kbd>}
        </span>
      )}
    </>
  )
}

/** A slot in the tray: dragged onto the stage it binds, dragged within the tray it moves; Alt with the arrow keys moves it too. */
export function Pan(props: PanProps) {
  const { slot, size, number, count, startsGroup, open, onOpenChange } = props
  const editor = useEditor()
  const { setNodeRef: dragRef, listeners, isDragging } = useDraggable({ id: slot.id })
  const { setNodeRef: dropRef, isOver } = useDroppable({ id: `pan:${slot.id}` })
  const show = () => editor.show({ shownSlot: slot.id })
  const hide = () => editor.show({ shownSlot: undefined })
  const told = `${slot.name}, ${slot.value ?? 'empty'}, colours ${counted(count, 'thing')}`
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>) => {
    if (event.key.toLowerCase() === 'p' && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault()
      return takeInHand(editor, slot.id)
    }
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (!event.altKey || !by) return
    event.preventDefault()
    moveSlot(editor, slot.id, number - 1 + by)
    const pan = event.currentTarget
    requestAnimationFrame(() => pan.focus())
  }
  const trigger = (
    <button
      ref={dragRef}
      {...listeners}
      type="button"
      data-slot={slot.id}
      title={size === 'large' ? undefined : told}
      aria-label={told}
      aria-keyshortcuts="P Alt+ArrowLeft Alt+ArrowRight"
      onPointerEnter={show}
      onPointerLeave={hide}
      onFocus={show}
      onBlur={hide}
      onKeyDown={onKeyDown}
      className={`w-full touch-none rounded-md text-left ${isDragging ? 'opacity-50' : ''}`}
    >
      <PanFace slot={slot} size={size} number={number} count={count} />
    </button>
  )
  return (
    <li
      ref={dropRef}
      className={`border-l-2 pl-0.5 ${isOver && !isDragging ? 'border-strong' : 'border-transparent'}`}
    >
      {size === 'large' && (
        <span
          className="block h-3.5 truncate text-[10px] leading-3 text-soft"
          aria-hidden={!startsGroup}
        >
          {startsGroup ? slot.group : ''}
        </span>
      )}
      <Panel title={`Slot ${slot.name}`} open={open} onOpenChange={onOpenChange} trigger={trigger}>
        <div className="grid gap-3">
          <SlotEditor slot={slot} />
          <SlotDuties slot={slot} />
          <LeftBehind slot={slot} />
        </div>
      </Panel>
    </li>
  )
}
