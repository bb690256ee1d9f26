import { contrast, over, white, writeHex, writeRatio, type Color } from '@/core/color'

/** Something that the colour meets: what it stands on, or what stands on it. */
export interface ReadsOn {
  readonly label: string
  readonly other: Color
  /** Whether the colour is the ground and the other one stands on it. */
  readonly isGround?: boolean
  readonly needs?: number
}

/** How well a colour reads on what it meets, worst first. */
export function Readings({
  color,
  readsOn,
}: {
  readonly color: Color
  readonly readsOn: readonly ReadsOn[]
}) {
  if (readsOn.length === 0) return null
  const rows = readsOn
    .map((each) => {
      const [text, ground] = each.isGround ? [each.other, color] : [color, each.other]
      return {
        ...each,
        text,
        ground: over(ground, white),
        ratio: contrast(text, over(ground, white)),
      }
    })
    .sort((a, b) => a.ratio / (a.needs ?? 1) - b.ratio / (b.needs ?? 1))
    .slice(0, 4)
  return (
    <ul aria-label="Contrast" className="grid gap-1">
      {rows.map(({ label, text, ground, ratio, needs = 4.5 }) => (
        <li key={label} className="flex items-center gap-2 text-xs">
          <span
            aria-hidden
            className="grid h-6 w-8 shrink-0 place-items-center rounded border border-black/15 font-bold"
            style={{ background: writeHex(ground), color: writeHex(text) }}
          >
            Aa
          </span>
          <span className="line-clamp-2 min-w-0 flex-1 text-soft">{label}</span>
          <span
            className={`code shrink-0 ${ratio < needs ? 'rounded-sm bg-strong px-1 font-bold text-on-strong' : ''}`}
          >
            {ratio < needs ? '×' : '✓'} {writeRatio(ratio)}
          </span>
        </li>
      ))}
    </ul>
  )
}
