'use client'

import { Minus, Plus } from 'lucide-react'
import { useState } from 'react'
import { useStore } from 'zustand'
import {
  colorOf,
  isOutOfGamut,
  sameHue,
  white,
  writeColor,
  writeHex,
  type Color,
} from '@/core/color'
import { IconButton, Segments, Slider, Swatch, TextField } from '../kit'
import { ColorArea } from './color-area'
import { Codes } from './color-codes'
import { colorModels, type ColorModelId, type ColorModel, type Coordinates } from './color-models'
import { DropperButtons } from './droppers'
import { readColorText } from './read-color'
import { Readings, type ReadsOn } from './readings'
import { noteRecent, recentColors } from './recent'
import { useMoves } from './use-moves'

interface ColorEditorProps {
  /** The colour as CSS text; empty for none. */
  readonly value: string
  /** Called while a colour is dragged; what is dragged last is committed too. */
  readonly onDrag: (value: string) => void
  /** Takes a colour for good. */
  readonly onCommit: (value: string) => void
  /** What it stands on, or what stands on it, for the contrast. */
  readonly readsOn?: readonly ReadsOn[]
}

/** Points of OKLCH lightness that one press of darker or lighter moves. */
const STEP = 4

const MODELS = Object.entries(colorModels).map(
  ([id, { label }]) => [id as ColorModelId, label] as const,
)

/** In hex; outside sRGB, where hex ends, in OKLCH. */
const written = (color: Color) =>
  isOutOfGamut(color) ? writeColor(color, 'oklch') : writeHex(color)

function trackOf(model: ColorModel, at: Coordinates, channel: number): string {
  const stops = Array.from({ length: 13 }, (_, i) => {
    const next = [...at] as [number, number, number]
    next[channel] = (i / 12) * model.channels[channel]!.max
    return writeHex(model.color(next, 1))
  })
  return `linear-gradient(to right, ${stops.join(', ')})`
}

/** The one way to set a colour by hand: area, sliders, any notation, droppers, codes. */
export function ColorEditor(props: ColorEditorProps) {
  const { value, onDrag, onCommit, readsOn = [] } = props
  const [modelId, setModelId] = useState<ColorModelId>('oklch')
  const moves = useMoves()
  const recent = useStore(recentColors, (state) => state.colors)
  const model: ColorModel = colorModels[modelId]
  const color = colorOf(value) ?? white
  const at = moves.placeOf(model, color)

  const take = (next: Color, commit = false) => {
    const text = written(next)
    if (!commit) return onDrag(text)
    moves.over()
    onCommit(text)
    noteRecent(writeHex(next))
  }
  const move = (to: (from: Coordinates) => Coordinates, alpha?: number) => {
    const [from, opacity] = moves.now() ?? [at, color.alpha]
    const next = to(from)
    const moved = model.color(next, alpha ?? opacity)
    moves.note(next, colorOf(written(moved))!)
    take(moved)
    return next
  }
  const takeText = (typed: string) => {
    const read = readColorText(typed)
    if ('wrong' in read) return read.wrong
    moves.over()
    onCommit(read.value)
    noteRecent(writeHex(colorOf(read.value)!))
    return undefined
  }

  return (
    <div className="grid content-start gap-2.5">
      <div className="grid content-start gap-2.5">
        <div className="flex items-center gap-1">
          <Segments
            label="How to move through colours"
            value={modelId}
            options={MODELS}
            onChange={(next) => {
              setModelId(next)
              moves.forget()
            }}
          />
          <span className="flex-1" />
          <IconButton label="Darker, same hue" onClick={() => take(sameHue(color, -STEP), true)}>
            <Minus size={15} />
          </IconButton>
          <IconButton label="Lighter, same hue" onClick={() => take(sameHue(color, STEP), true)}>
            <Plus size={15} />
          </IconButton>
          <DropperButtons onPick={(hex) => take(colorOf(hex)!, true)} />
        </div>
        <ColorArea model={model} at={at} onMove={move} />
        <div>
          {model.channels.map((channel, i) => (
            <Slider
              key={channel.label}
              label={channel.label}
              value={at[i]!}
              max={channel.max}
              step={channel.step}
              told={`${channel.write(at[i]!)}${channel.unit}`}
              track={trackOf(model, at, i)}
              onChange={(next) =>
                move(
                  (from) =>
                    from.map((each, j) => (j === i ? next : each)) as unknown as Coordinates,
                )
              }
            />
          ))}
          <Slider
            label="Alpha"
            value={Math.round(color.alpha * 100)}
            max={100}
            told={`${Math.round(color.alpha * 100)}%`}
            track={`linear-gradient(to right, transparent, ${writeHex({ ...color, alpha: 1 })})`}
            onChange={(alpha) => move((from) => from, alpha / 100)}
          />
        </div>
      </div>
      <div className="grid content-start gap-2.5">
        <TextField label="Colour, in any notation" value={value} mono onCommit={takeText} />
        {isOutOfGamut(color) && (
          <p role="status" className="flex items-center gap-2 text-xs">
            <Swatch color={writeHex(color)} /> Outside sRGB; shown and written as {writeHex(color)}.
          </p>
        )}
        {value !== '' && <Readings color={color} readsOn={readsOn} />}
        {value !== '' && <Codes color={color} />}
        {recent.length > 0 && (
          <div role="group" aria-label="Recent colours" className="flex flex-wrap gap-1">
            <h4 className="w-full text-xs text-soft">Recent colours</h4>
            {recent.map((hex) => (
              <button
                key={hex}
                type="button"
                title={hex}
                aria-label={`Recent: ${hex}`}
                onClick={() => takeText(hex)}
                className="see-through size-6 overflow-hidden rounded border border-black/20"
              >
                <span className="block size-full" style={{ background: hex }} />
              </button>
            ))}
          </div>
        )}
      </div>
    </div>
  )
}
