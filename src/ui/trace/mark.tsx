import type { Decider } from '@/core/resolve'
import type { SettingId } from '@/core/traits'

/** Where a property is decided: on the very thing, by a style, by theme or site, or by nobody. */
export type Where = 'here' | 'style' | 'shared' | 'nobody'

export function whereOf(
  decider: Pick<Decider, 'at'> | undefined,
  setting: SettingId | undefined,
): Where {
  switch (decider?.at) {
    case 'element':
    case 'section':
      return 'here'
    case 'style':
    case 'base':
      return 'style'
    case 'theme':
    case 'setting':
      return 'shared'
    default:
      return setting ? 'shared' : 'nobody'
  }
}

const TOLD: Readonly<Record<Where, string>> = {
  here: 'decided here',
  style: 'decided by its style',
  shared: 'decided by theme or site',
  nobody: 'as usual, nobody decided it',
}

/** A square that is full, half full, empty or dashed: told by its shape, never by a hue. */
export function Mark({ where, silent }: { readonly where: Where; readonly silent?: boolean }) {
  const line = where === 'nobody' ? 'border-dashed border-edge-strong' : 'border-current'
  return (
    <span
      role={silent ? undefined : 'img'}
      aria-hidden={silent || undefined}
      aria-label={silent ? undefined : TOLD[where]}
      title={silent ? undefined : TOLD[where]}
      className={`relative inline-block size-3 shrink-0 overflow-hidden rounded-[3px] border-[1.5px] ${line}`}
    >
      {where === 'here' && <span className="absolute inset-0 bg-current" />}
      {where === 'style' && <span className="absolute inset-y-0 left-0 w-1/2 bg-current" />}
    </span>
  )
}
