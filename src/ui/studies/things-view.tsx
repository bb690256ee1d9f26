'use client'

import { castColors } from '@/core/palette'
import { useShownColors } from './shown-colors'
import { ThingDrawing, things } from './things/things'

/** The palette that is tried, or the present one, on drawn things. */
export function ThingsView() {
  const cast = castColors(useShownColors())
  return (
    <div className="h-full overflow-y-auto bg-well p-5">
      <ul className="mx-auto grid max-w-[860px] grid-cols-2 gap-4 lg:grid-cols-3">
        {things.map((thing) => (
          <li key={thing.id} className="overflow-hidden rounded-md bg-raised shadow-sm">
            <ThingDrawing thing={thing} cast={cast} />
            <p className="px-3 py-1.5 text-xs text-soft">{thing.label}</p>
          </li>
        ))}
      </ul>
    </div>
  )
}
