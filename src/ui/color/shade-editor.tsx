'use client'

import { tidyShade, writeHex, type Shade } from '@/core/color'
import { slotShades } from '@/core/resolve'
import type { BoundDecision, Palette } from '@/core/site'
import { Slider } from '../kit'

/** The offsets of a shade, with what each reaches; lightness and saturation may take away and add. */
const OFFSETS = [
  ['lightness', 'Lightness', 60],
  ['saturation', 'Saturation', 100],
  ['hue', 'Hue', 180],
  ['alpha', 'Alpha', 100],
] as const

interface ShadeEditorProps {
  readonly palette: Palette
  readonly value: BoundDecision
  readonly onChoose: (decision: BoundDecision) => void
}

const signed = (offset: number) => (offset > 0 ? `+${offset}` : String(offset).replace('-', '−'))

/** Shifts a slot in lightness, saturation, hue and alpha; the shade stays tied to the slot. */
export function ShadeEditor({ palette, value, onChoose }: ShadeEditorProps) {
  const shades = slotShades(palette, value.slot)
  const shadeWith = (key: keyof Shade, offset: number) =>
    tidyShade({ ...value.shade, [key]: offset })
  return (
    <div>
      {OFFSETS.map(([key, label, reach]) => {
        const offset = value.shade?.[key] ?? 0
        // Alpha can only be taken away from a slot that is opaque, which nearly all are.
        const [min, max] = key === 'alpha' ? [-100, 0] : [-reach, reach]
        const stops = Array.from({ length: 9 }, (_, i) =>
          writeHex(shades(shadeWith(key, Math.round(min + ((max - min) * i) / 8)))),
        )
        return (
          <Slider
            key={key}
            label={label}
            value={offset}
            min={min}
            max={max}
            told={signed(offset)}
            track={`linear-gradient(to right, ${stops.join(', ')})`}
            onChange={(next) => {
              const shade = shadeWith(key, next)
              onChoose(shade ? { slot: value.slot, shade } : { slot: value.slot })
            }}
          />
        )
      })}
    </div>
  )
}
