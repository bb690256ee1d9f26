'use client'

import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { decisionWords } from '@/core/edit'
import { mostShadows, slotsInOrder, type Shadow } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { Amount, Button, IconButton, Menu, MenuItem, Swatch, Tick } from '../kit'
import { decisionHex } from '../look'
import type { TraitEditorProps } from './editor-props'

type Shape = Omit<Shadow, 'color'>

/** Shadows to begin with: shapes alone, in a colour of the palette. */
const READY: ReadonlyArray<readonly [name: string, alpha: number, shape: Shape]> = [
  ['Soft', -84, { x: 0, y: 6, blur: 22, spread: 0 }],
  ['Lifted', -76, { x: 0, y: 14, blur: 34, spread: -8 }],
  ['Close', -72, { x: 0, y: 1, blur: 3, spread: 0 }],
  ['Hard edge', 0, { x: 4, y: 4, blur: 0, spread: 0 }],
  ['Glow', -45, { x: 0, y: 0, blur: 18, spread: 2 }],
  ['Pressed in', -70, { inner: true, x: 0, y: 2, blur: 5, spread: 0 }],
]

const told = ({ x, y, blur, spread, inner }: Shadow) =>
  `${inner ? 'inner, ' : ''}${x} ${y} ${blur} ${spread}`

/** Shadows one upon the other, the first on top: each with its place, its softness and a colour of the palette. */
export function ShadowEditor({ value, onDrag, onChoose }: TraitEditorProps<'shadow'>) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const docs = useEditorState((state) => state.docs)
  const shadows = value?.shadows ?? []
  const [open, setOpen] = useState(0)
  const put = (at: number, shadow: Shadow) => ({ shadows: shadows.with(at, shadow) })
  const darkest = slotsInOrder(palette).at(-1)
  const add = (shape: Shape, alpha: number) => {
    const color = darkest
      ? { slot: darkest.id, ...(alpha ? { shade: { alpha } } : {}) }
      : { value: `rgb(0 0 0 / ${100 + alpha}%)` }
    onChoose({ shadows: [...shadows, { ...shape, color }] })
    setOpen(shadows.length)
  }
  const one = shadows[open]
  const part = (name: 'x' | 'y' | 'blur' | 'spread', label: string, from: number, upTo: number) =>
    one && (
      <Amount
        label={label}
        value={one[name]}
        min={from < 0 ? -200 : 0}
        max={name === 'blur' ? 300 : 200}
        from={from}
        upTo={upTo}
        unit="px"
        onDrag={(to) => onDrag(put(open, { ...one, [name]: to }))}
        onCommit={(to) => onChoose(put(open, { ...one, [name]: to }))}
      />
    )
  return (
    <div className="grid gap-2">
      {shadows.length > 0 && (
        <ul className="grid overflow-hidden rounded-md border border-edge-strong/60">
          {shadows.map((shadow, at) => (
            <li key={at} className="flex items-center border-b border-edge last:border-b-0">
              <button
                type="button"
                aria-expanded={open === at}
                onClick={() => setOpen(at)}
                className="flex min-w-0 flex-1 items-center gap-2 px-2 py-1 text-left hover:bg-hover aria-expanded:font-semibold"
              >
                <Swatch color={decisionHex(palette, shadow.color)} size={14} />
                <span className="truncate">
                  {decisionWords(shadow.color, docs)}{' '}
                  <span className="code text-[11px] text-soft">{told(shadow)}</span>
                </span>
              </button>
              <IconButton
                label={`Take shadow ${at + 1} away`}
                className="size-7"
                onClick={() => onChoose({ shadows: shadows.toSpliced(at, 1) })}
              >
                <Trash2 size={13} />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
      <div className="flex gap-1.5">
        <Menu
          trigger={
            <Button className="h-7 px-2 text-xs" disabled={shadows.length >= mostShadows}>
              <Plus size={13} aria-hidden /> A shadow
            </Button>
          }
        >
          {READY.map(([name, alpha, shape]) => (
            <MenuItem key={name} onSelect={() => add(shape, alpha)}>
              {name}
            </MenuItem>
          ))}
        </Menu>
        {shadows.length > 0 && (
          <Button className="h-7 px-2 text-xs" onClick={() => onChoose({ shadows: [] })}>
            None
          </Button>
        )}
      </div>
      {shadows.length >= mostShadows && (
        <p className="text-soft">That is the most: {mostShadows}.</p>
      )}
      {one && (
        <div className="grid gap-1.5">
          {part('x', 'Across', -40, 40)}
          {part('y', 'Down', -40, 40)}
          {part('blur', 'Blur', 0, 80)}
          {part('spread', 'Spread', -40, 40)}
          <Tick
            checked={!!one.inner}
            onChange={(inner) => {
              const { inner: _was, ...rest } = one
              onChoose(put(open, inner ? { ...rest, inner: true } : rest))
            }}
          >
            Inside of it
          </Tick>
          <ColorChooser
            label="Colour of the shadow"
            value={one.color}
            onChoose={(color) => onChoose(put(open, { ...one, color }))}
          />
        </div>
      )}
    </div>
  )
}
