import { colorOf, sameColor } from '@/core/color'
import { cssProperty } from '@/core/elements'
import type { Trace } from '@/core/resolve'
import type { Selection } from '../editor'
import { selectedNode, unpointed, type StageAccess } from '../stage'

/** Custom CSS that has the last word over a decision, as the stage computes it. */
export interface Overrule {
  readonly computed: string
  readonly selector?: string
  readonly line?: number
}

const SIDES = ['top', 'right', 'bottom', 'left'] as const

/** The longhand that tells what is seen: of a border, a side that is there. */
function longhand(styles: CSSStyleDeclaration, property: string): string {
  if (property === 'background') return 'background-color'
  if (property !== 'border-color') return property
  const side = SIDES.find((each) => styles.getPropertyValue(`border-${each}-width`) !== '0px')
  return `border-${side ?? 'top'}-color`
}

function partOf(stage: StageAccess, selection: Selection, trace: Trace): HTMLElement | null {
  const node = selectedNode(stage.document, selection)
  const { part } = trace.facet
  return part && node ? node.querySelector<HTMLElement>(`.${part}`) : node
}

/** The last rule of the custom CSS that matches the element and sets the property. */
function ruleFor(
  stage: StageAccess,
  node: HTMLElement,
  property: string,
): CSSStyleRule | undefined {
  const rules = [...(stage.writer.customSheet()?.cssRules ?? [])] as CSSRule[]
  const sets = ({ style }: CSSStyleRule) =>
    [...style].some(
      (name) => name === property || name.startsWith(property) || property.startsWith(name),
    )
  return rules
    .filter((rule): rule is CSSStyleRule => 'selectorText' in rule)
    .filter((rule) => node.matches(rule.selectorText) && sets(rule))
    .at(-1)
}

/**
 * Compares what the core resolves with what the browser computes at rest.
 * They differ only where custom CSS, or a snippet's own style, overrules.
 */
export function findOverrule(
  stage: StageAccess,
  selection: Selection,
  trace: Trace,
  customCss: string,
): Overrule | undefined {
  const node = partOf(stage, selection, trace)
  const view = node?.ownerDocument.defaultView
  if (!node || !view || !trace.color || trace.state !== 'rest') return undefined
  const styles = view.getComputedStyle(node, trace.facet.pseudo ?? null)
  const property = longhand(styles, cssProperty(trace.facet))
  const computed = unpointed(stage.document, () => styles.getPropertyValue(property))
  const color = colorOf(computed)
  if (!color || sameColor(color, trace.color)) return undefined
  const rule = ruleFor(stage, node, property)
  if (!rule) return { computed }
  const at = customCss.indexOf(rule.selectorText)
  const line = at === -1 ? undefined : customCss.slice(0, at).split('\n').length
  return { computed, selector: rule.selectorText, line }
}
