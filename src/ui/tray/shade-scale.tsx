'use client'

import type { ShadeScale } from '@/core/site'
import { Slider } from '../kit'

interface ShadeScaleFieldsProps {
  readonly scale: ShadeScale
  readonly onChange: (scale: ShadeScale) => void
}

/** How many tints and shades, and how far apart. */
export function ShadeScaleFields({ scale, onChange }: ShadeScaleFieldsProps) {
  return (
    <div>
      <Slider
        label="Lighter"
        value={scale.lighter}
        max={6}
        told={String(scale.lighter)}
        onChange={(lighter) => onChange({ ...scale, lighter })}
      />
      <Slider
        label="Darker"
        value={scale.darker}
        max={6}
        told={String(scale.darker)}
        onChange={(darker) => onChange({ ...scale, darker })}
      />
      <Slider
        label="Step"
        value={scale.step}
        min={1}
        max={25}
        told={String(scale.step)}
        onChange={(step) => onChange({ ...scale, step })}
      />
    </div>
  )
}
