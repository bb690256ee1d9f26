'use client'

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { fromBytes, writeHex } from '@/core/color'
import { askPicture } from './ask-picture'
import { PictureSource } from './picture-source'
import { arrowSteps, Swatch, Notice } from '../kit'

/** Longest side of the picture as it is looked at, in pixels. */
const LONGEST = 1600
/** Pixels across the magnifier, an odd number, and how large each is drawn. */
const [SEEN, ZOOM] = [11, 11]

interface Spot {
  readonly x: number
  readonly y: number
}

function draw(canvas: HTMLCanvasElement, bitmap: ImageBitmap): void {
  canvas.width = bitmap.width
  canvas.height = bitmap.height
  canvas.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0)
}

function hexAt(canvas: HTMLCanvasElement, { x, y }: Spot): string {
  const [r, g, b] = canvas.getContext('2d')!.getImageData(x, y, 1, 1).data
  return writeHex(fromBytes([r!, g!, b!]))
}

type Size = Pick<ImageBitmap, 'width' | 'height'>

const clamped = (x: number, y: number, { width, height }: Size): Spot => ({
  x: Math.min(width - 1, Math.max(0, Math.floor(x))),
  y: Math.min(height - 1, Math.max(0, Math.floor(y))),
})

/** The pixel under the pointer. */
function spotUnder(event: PointerEvent<HTMLElement>, size: Size): Spot {
  const bounds = event.currentTarget.getBoundingClientRect()
  return clamped(
    ((event.clientX - bounds.left) / bounds.width) * size.width,
    ((event.clientY - bounds.top) / bounds.height) * size.height,
    size,
  )
}

/** The pixel that an arrow key leads to; with shift ten further. */
function spotBeside({ x, y }: Spot, size: Size, event: KeyboardEvent): Spot | undefined {
  const steps = arrowSteps[event.key]
  if (!steps) return undefined
  const by = event.shiftKey ? 10 : 1
  const [down, right] = steps
  return clamped(x + right * by, y + down * by, size)
}

/** The pixels around a spot, drawn large. */
function Lens({ picture, spot }: { readonly picture: ImageBitmap; readonly spot: Spot }) {
  const lens = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = lens.current?.getContext('2d')
    if (!context) return
    const half = (SEEN - 1) / 2
    const whole = SEEN * ZOOM
    context.imageSmoothingEnabled = false
    context.fillStyle = '#d4d4d4'
    context.fillRect(0, 0, whole, whole)
    context.drawImage(picture, spot.x - half, spot.y - half, SEEN, SEEN, 0, 0, whole, whole)
    context.strokeStyle = '#fff'
    context.lineWidth = 3
    context.strokeRect(half * ZOOM, half * ZOOM, ZOOM, ZOOM)
    context.strokeStyle = '#000'
    context.lineWidth = 1
    context.strokeRect(half * ZOOM - 1, half * ZOOM - 1, ZOOM + 2, ZOOM + 2)
  }, [picture, spot])
  return (
    <canvas
      ref={lens}
      width={SEEN * ZOOM}
      height={SEEN * ZOOM}
      className="rounded-full border-2 border-strong"
    />
  )
}

/** A picture of one's own or of the site, looked at through a magnifier, a pixel at a time. */
export function PictureDropper({ onPick }: { readonly onPick: (hex: string) => void }) {
  const [picture, setPicture] = useState<ImageBitmap>()
  const [hex, setHex] = useState<string>()
  const canvas = useRef<HTMLCanvasElement>(null)
  const [spot, setSpot] = useState<Spot>({ x: 0, y: 0 })
  const [wrong, setWrong] = useState<string>()

  useEffect(() => {
    if (canvas.current && picture) draw(canvas.current, picture)
  }, [picture])
  useEffect(() => {
    if (canvas.current && picture) setHex(hexAt(canvas.current, spot))
  }, [picture, spot])

  const take = async (file: Blob) => {
    const read = await askPicture(file, { want: 'bitmap', longest: LONGEST })
    if (typeof read === 'string') return setWrong(read)
    setWrong(undefined)
    setSpot({ x: read.bitmap.width >> 1, y: read.bitmap.height >> 1 })
    setPicture(read.bitmap)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const next = picture && spotBeside(spot, picture, event)
    if (!next) return
    event.preventDefault()
    setSpot(next)
  }
  return (
    <div className="grid gap-3">
      <PictureSource onTake={(file) => void take(file)} />
      {wrong && <Notice>{wrong}</Notice>}
      {picture && (
        <>
          <button
            type="button"
            aria-label={`The picture; arrow keys move by a pixel, Enter takes ${hex ?? 'the colour'}`}
            onPointerMove={(event) => setSpot(spotUnder(event, picture))}
            onKeyDown={onKeyDown}
            // Read where the spot is now: what is shown beside it may be a picture behind.
            onClick={() => canvas.current && onPick(hexAt(canvas.current, spot))}
            className="relative block cursor-crosshair overflow-hidden rounded-md border border-edge-strong/60"
          >
            <canvas ref={canvas} className="block w-full" />
            <span
              aria-hidden
              className="pointer-events-none absolute size-3 -translate-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_#000]"
              style={{
                left: `${((spot.x + 0.5) / picture.width) * 100}%`,
                top: `${((spot.y + 0.5) / picture.height) * 100}%`,
              }}
            />
          </button>
          <div className="flex items-center gap-3">
            <Lens picture={picture} spot={spot} />
            <Swatch color={hex ?? 'transparent'} size={56} />
            <span className="code" role="status">
              {hex}
            </span>
          </div>
        </>
      )}
    </div>
  )
}
