'use client'

import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { inGamut, toBytes } from '@/core/color'
import type { ColorModel, Coordinates } from './color-models'

/** The raster that is drawn; the browser smooths it to the size of the area. */
const [COLUMNS, ROWS] = [96, 56]
const HATCH = [
  [205, 205, 205],
  [228, 228, 228],
] as const

interface ColorAreaProps {
  readonly model: ColorModel
  readonly at: Coordinates
  /** Moves from where it is by now, which `at` may follow later; gives where it came to. */
  readonly onMove: (move: (at: Coordinates) => Coordinates) => Coordinates
}

function drawArea(canvas: HTMLCanvasElement, model: ColorModel, rest: number): void {
  const context = canvas.getContext('2d')!
  const image = context.createImageData(COLUMNS, ROWS)
  const [across, up, other] = model.area
  const at = [0, 0, 0] as [number, number, number]
  at[other] = rest
  for (let y = 0, i = 0; y < ROWS; y += 1) {
    at[up] = (1 - y / (ROWS - 1)) * model.channels[up]!.max
    for (let x = 0; x < COLUMNS; x += 1, i += 4) {
      at[across] = (x / (COLUMNS - 1)) * model.channels[across]!.max
      const color = model.color(at, 1)
      const bytes = inGamut(color, 0.0005) ? toBytes(color) : HATCH[((x + y) >> 2) & 1]!
      image.data.set([...bytes, 255], i)
    }
  }
  context.putImageData(image, 0, 0)
}

const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value))

/** Two channels at once; what sRGB cannot show is hatched, and can be taken all the same. */
export function ColorArea({ model, at, onMove }: ColorAreaProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const thumb = useRef<HTMLSpanElement>(null)
  const [across, up, other] = model.area
  const rest = Math.round(at[other]!)
  useEffect(() => {
    if (canvas.current) drawArea(canvas.current, model, rest)
  }, [model, rest])

  const place = (to: Coordinates, channel: number) =>
    clamp((to[channel]! / model.channels[channel]!.max) * 100, 100)
  const placed = (to: Coordinates) => ({
    left: `${place(to, across)}%`,
    top: `${100 - place(to, up)}%`,
  })
  /** The thumb goes along at once; everything else is drawn anew more calmly. */
  const move = (x: (from: number) => number, y: (from: number) => number) => {
    const next = onMove((from) => {
      const to = [...from] as [number, number, number]
      to[across] = clamp(x(from[across]!), model.channels[across]!.max)
      to[up] = clamp(y(from[up]!), model.channels[up]!.max)
      return to
    })
    if (thumb.current) Object.assign(thumb.current.style, placed(next))
  }
  const point = (event: PointerEvent<HTMLDivElement>) => {
    if (!(event.buttons & 1)) return
    const bounds = event.currentTarget.getBoundingClientRect()
    const x = ((event.clientX - bounds.left) / bounds.width) * model.channels[across]!.max
    const y = (1 - (event.clientY - bounds.top) / bounds.height) * model.channels[up]!.max
    move(
      () => x,
      () => y,
    )
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 10 : 1
    const steps: Record<string, readonly [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    }
    const step = steps[event.key]
    if (!step) return
    event.preventDefault()
    move(
      (from) => from + step[0] * model.channels[across]!.step,
      (from) => from + step[1] * model.channels[up]!.step,
    )
  }
  const told = `${model.channels[across]!.label} ${model.channels[across]!.write(at[across]!)}, ${model.channels[up]!.label} ${model.channels[up]!.write(at[up]!)}`
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${model.channels[across]!.label} and ${model.channels[up]!.label.toLowerCase()}`}
      aria-valuemin={0}
      aria-valuemax={model.channels[up]!.max}
      aria-valuenow={Math.round(at[up]!)}
      aria-valuetext={told}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        point(event)
      }}
      onPointerMove={point}
      onKeyDown={onKeyDown}
      className="relative h-36 w-full cursor-crosshair touch-none overflow-hidden rounded-md border border-edge-strong/60"
    >
      <canvas ref={canvas} width={COLUMNS} height={ROWS} className="block size-full" />
      <span
        ref={thumb}
        aria-hidden
        className="pointer-events-none absolute size-3.5 -translate-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_#000]"
        style={placed(at)}
      />
    </div>
  )
}
