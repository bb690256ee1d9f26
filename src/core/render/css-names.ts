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
  /** The condition of windows that it holds in; in all of them where absent. */
  readonly media?: string
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
 * met. What holds in some windows alone comes behind the rest, each condition once.
 */
export function writeRules(rules: readonly CssRule[]): string {
  const plain = rules.filter(({ media }) => !media)
  const conditions = [...new Set(rules.flatMap(({ media }) => media ?? []))]
  const inWindows = conditions.map((condition) => {
    const own = writePlain(rules.filter(({ media }) => media === condition))
    return `@media ${condition} {\n${own.replace(/^(?=.)/gm, '  ')}}\n`
  })
  return writePlain(plain) + inWindows.join('')
}
