/** A patch of one colour. It is never the only sign of what it stands for. */
export function Swatch({
  color,
  size = 16,
  className = '',
}: {
  readonly color: string
  readonly size?: number
  readonly className?: string
}) {
  return (
    <span
      aria-hidden
      className={`see-through inline-block shrink-0 overflow-hidden rounded-[3px] border border-black/20 ${className}`}
      style={{ width: size, height: size }}
    >
      <span className="block size-full" style={{ background: color }} />
    </span>
  )
}
