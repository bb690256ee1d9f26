import type { ComponentProps } from 'react'
import type { Band } from '../bands'

interface BandButtonProps extends ComponentProps<'button'> {
  readonly band: Band
  readonly chosen: boolean
  /** What stands under the name; nothing on a low band. */
  readonly told?: string
}

/** A section in its real colours, with its name on it. */
export function BandButton({ band, chosen, told, className, ...others }: BandButtonProps) {
  return (
    <button
      {...others}
      type="button"
      aria-pressed={chosen}
      className={`relative flex w-full items-center justify-between gap-2 px-2.5 text-left focus-visible:z-20 aria-pressed:z-10 aria-pressed:shadow-[inset_0_0_0_2px_#000,inset_0_0_0_4px_#fff] ${className ?? ''}`}
      style={{ background: band.background, color: band.text }}
    >
      {/* On a gradient or a picture the name keeps the ground that it is made for. */}
      <span
        className={`min-w-0 ${band.fill ? '-mx-1 rounded px-1' : ''}`}
        style={band.fill ? { background: band.ground } : undefined}
      >
        <span className="block truncate font-semibold">{band.name}</span>
        {told && <span className="block truncate text-[11px]">{told}</span>}
      </span>
      <span
        aria-hidden
        className="h-2.5 w-6 shrink-0 rounded-[2px]"
        style={{ background: band.chip }}
      />
    </button>
  )
}
