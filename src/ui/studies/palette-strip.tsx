import { writeHex, type Color } from '@/core/color'

/** Colours side by side, in their order. */
export function PaletteStrip({
  colors,
  className = '',
}: {
  readonly colors: readonly Color[]
  readonly className?: string
}) {
  return (
    <span aria-hidden className={`see-through flex ${className}`}>
      {colors.map((color, i) => (
        <span key={i} className="flex-1" style={{ background: writeHex(color) }} />
      ))}
    </span>
  )
}
