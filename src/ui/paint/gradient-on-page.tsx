'use client'

import { memo, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { useStore } from 'zustand'
import { writeDecision } from '@/core/edit'
import { gradientCenter, pointAlong, type Point, type Rect } from '@/core/geometry'
import type { GradientPaint } from '@/core/site'
import { useEditorState } from '../editor'
import { arrowSteps } from '../kit'
import { decisionHex } from '../look'
import { paintedBox, stageStore } from '../stage'
import { ledTo, stepped, type Grip } from './gradient-moves'
import { heldGradient, type HeldGradient } from './held-gradient'

/** The gradient that is edited, where it is on the page: its way, and its stops, angle and centre to be taken hold of. */
export const GradientOnPage = memo(function GradientOnPage({ scale }: { readonly scale: number }) {
  const held = useStore(heldGradient, (state) => state.held)
  const stage = useStore(stageStore, (state) => state.stage)
  const drawing = useStore(stageStore, (state) => state.drawing)
  const isBusy = useEditorState((state) => !!state.words || !!state.brush || !!state.trial)
  const place = held?.place
  const box = useMemo(
    () => (stage && place ? paintedBox(stage.document, place.selection, place.facet) : undefined),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- measured anew when the page was drawn
    [stage, drawing, place],
  )
  if (!held || !box || isBusy) return null
  return <Grips held={held} box={box} scale={scale} />
})

/** Radius of the ring that the angle is turned on, in CSS pixels of the screen. */
const DIAL = 30

interface GripsProps {
  readonly held: HeldGradient
  /** What the gradient fills, in CSS pixels of the page. */
  readonly box: Rect
  readonly scale: number
}

function Grips({ held, box, scale }: GripsProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { value, chosen, onPick } = held
  const { gradient, angle, stops } = value
  const seen = ({ x, y }: Point): Point => ({ x: (box.x + x) * scale, y: (box.y + y) * scale })
  const dial = dialOf(value, box)
  const center = gradientCenter(value, box)
  return (
    <div
      role="group"
      aria-label="The gradient on the page"
      className="pointer-events-none absolute inset-0"
    >
      <Way value={value} seen={seen} box={box} dial={dial} />
      {stops.map(({ at, color }, i) => (
        <Handle
          key={i}
          {...{ held, box, scale }}
          grip={i}
          at={seen(pointAlong(value, box, at / 100))}
          label={`Stop ${i + 1} on the page, ${writeDecision(palette, color)}`}
          now={at}
          most={100}
          told={`${at} %`}
          onTake={() => onPick(i)}
          className={`rounded-[4px] border-2 border-white ${i === chosen ? 'outline-2 outline-offset-2 outline-black' : ''}`}
          fill={decisionHex(palette, color)}
        />
      ))}
      {dial && (
        <Handle
          {...{ held, box, scale }}
          grip="angle"
          at={knobOf(seen(dial), angle)}
          label="Angle of the gradient on the page"
          now={angle}
          most={360}
          told={`${angle}°`}
          className="rounded-full border-[5px] border-white"
        />
      )}
      {gradient !== 'linear' && (
        <Handle
          {...{ held, box, scale }}
          grip="center"
          at={seen(center)}
          label="Centre of the gradient on the page"
          now={Math.round(value.center?.x ?? 50)}
          most={100}
          told={`${value.center?.x ?? 50} % across, ${value.center?.y ?? 50} % down`}
          className="rotate-45 border-[5px] border-white"
        />
      )}
    </div>
  )
}

/** What the angle turns around; nothing for a gradient that has none. */
function dialOf(value: GradientPaint, box: Rect): Point | undefined {
  if (value.gradient === 'radial') return undefined
  return value.gradient === 'linear'
    ? { x: box.width / 2, y: box.height / 2 }
    : gradientCenter(value, box)
}

const knobOf = ({ x, y }: Point, angle: number): Point => {
  const turned = (angle * Math.PI) / 180
  return { x: x + Math.sin(turned) * DIAL, y: y - Math.cos(turned) * DIAL }
}

interface WayProps {
  readonly value: GradientPaint
  readonly box: Rect
  readonly dial?: Point
  /** Where a point of the box is on the screen. */
  readonly seen: (point: Point) => Point
}

/** The way that the stops lie on, light and dark so that it is seen on any ground. */
function Way({ value, box, dial, seen }: WayProps) {
  const [from, to] = [seen(pointAlong(value, box, 0)), seen(pointAlong(value, box, 1))]
  const middle = seen(gradientCenter(value, box))
  const turn = dial && seen(dial)
  const lines = (['#fff', '#000'] as const).map((stroke, i) => (
    <g key={stroke} fill="none" stroke={stroke} strokeWidth={i ? 1.5 : 4}>
      {value.gradient === 'conic' ? (
        <circle cx={middle.x} cy={middle.y} r={Math.hypot(from.x - middle.x, from.y - middle.y)} />
      ) : (
        <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
      )}
      {turn && <circle cx={turn.x} cy={turn.y} r={DIAL} strokeDasharray="3 4" />}
    </g>
  ))
  return (
    <svg aria-hidden className="pointer-events-none absolute inset-0 size-full overflow-visible">
      {lines}
    </svg>
  )
}

interface HandleProps extends GripsProps {
  readonly grip: Grip
  /** Where it is on the stage, in CSS pixels of the screen. */
  readonly at: Point
  readonly label: string
  readonly now: number
  readonly most: number
  readonly told: string
  readonly fill?: string
  readonly className: string
  readonly onTake?: () => void
}

/** Something of a gradient to be taken hold of: led by the pointer, or by arrow keys, in larger steps with Shift. */
function Handle({ held, box, scale, grip, at, ...shown }: HandleProps) {
  const { label, now, most, told, fill = '#000', className, onTake } = shown
  const { value, onDrag, onChoose } = held
  const led = (event: PointerEvent<HTMLElement>): GradientPaint => {
    const stage = event.currentTarget.parentElement!.parentElement!.getBoundingClientRect()
    const point = {
      x: (event.clientX - stage.left) / scale - box.x,
      y: (event.clientY - stage.top) / scale - box.y,
    }
    return ledTo(value, grip, box, point, event.shiftKey)
  }
  const isMoved = useRef(false)
  const isHeld = (event: PointerEvent<HTMLElement>) =>
    event.currentTarget.hasPointerCapture(event.pointerId)
  const press = (event: KeyboardEvent) => {
    const step = arrowSteps[event.key]
    if (!step) return
    event.preventDefault()
    event.stopPropagation()
    onChoose(stepped(value, grip, step, event.shiftKey))
  }
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuenow={now}
      aria-valuetext={told}
      title={`${label}: ${told}`}
      onFocus={onTake}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        isMoved.current = false
        onTake?.()
      }}
      onPointerMove={(event) => {
        if (!isHeld(event)) return
        isMoved.current = true
        onDrag(led(event))
      }}
      onPointerUp={(event) => {
        if (!isHeld(event)) return
        event.currentTarget.releasePointerCapture(event.pointerId)
        if (isMoved.current) onChoose(led(event))
      }}
      onPointerCancel={() => onDrag(value)}
      onKeyDown={press}
      className={`pointer-events-auto absolute size-4.5 -translate-1/2 cursor-move touch-none shadow-[0_0_0_1.5px_#000] ${className}`}
      style={{ left: at.x, top: at.y, background: fill }}
    />
  )
}
