import { shadeToken, type Shade } from '../color'
import { roleToken, type RoleId } from '../roles'

/** `--slot-brand`, or `--slot-brand--darker-10` for a shade of it. */
export function slotProperty(slot: string, shade?: Shade): string {
  return shade ? `--slot-${slot}--${shadeToken(shade)}` : `--slot-${slot}`
}

/** `--role-button-fill` */
export function roleProperty(role: RoleId): string {
  return `--role-${roleToken(role)}`
}

export interface CssRule {
  /** The width of the widest window that it holds in, in CSS pixels; in all of them where absent. */
  readonly upTo?: number
  readonly selector: string
  readonly declarations: ReadonlyArray<readonly [property: string, value: string]>
}

function writePlain(rules: readonly CssRule[]): string {
  const bySelector = new Map<string, Map<string, string>>()
  for (const { selector, declarations } of rules) {
    const known = bySelector.get(selector) ?? new Map<string, string>()
    for (const [property, value] of declarations) known.set(property, value)
    bySelector.set(selector, known)
  }
  return [...bySelector]
    .filter(([, declarations]) => declarations.size)
    .map(([selector, declarations]) => {
      const lines = [...declarations].map(([property, value]) => `  ${property}: ${value};`)
      return `${selector} {\n${lines.join('\n')}\n}\n`
    })
    .join('')
}

/**
 * Rules as a designer would write them; those for one selector are drawn together, in the order
 * met. What holds in narrow windows alone comes behind the rest, the narrower the later.
 */
export function writeRules(rules: readonly CssRule[]): string {
  const plain = rules.filter(({ upTo }) => upTo === undefined)
  const widths = [...new Set(rules.flatMap(({ upTo }) => upTo ?? []))].sort((a, b) => b - a)
  const inWindows = widths.map((width) => {
    const own = writePlain(rules.filter(({ upTo }) => upTo === width))
    return `@media (max-width: ${width}px) {\n${own.replace(/^(?=.)/gm, '  ')}}\n`
  })
  return writePlain(plain) + inWindows.join('')
}
