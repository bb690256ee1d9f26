import { colorOf, sameColor } from '@/core/color'
import { cssProperty, type Feature } from '@/core/elements'
import type { Trace } from '@/core/resolve'
import { traits, type State } from '@/core/traits'
import type { Selection } from '../editor'
import { selectedNode } from './hit-test'
import type { StageAccess } from './stage-access'
import { unpointed } from './stage-document'

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

/** What the browser computes at rest for a part, where that is not the colour the core resolves. */
function otherThan(stage: StageAccess, node: HTMLElement, { facet, color, state }: Trace) {
  const styles = node.ownerDocument.defaultView?.getComputedStyle(node, facet.pseudo ?? null)
  if (!styles || !color || state !== 'rest') return undefined
  const property = longhand(styles, cssProperty(facet))
  const computed = unpointed(stage.document, () => styles.getPropertyValue(property))
  const seen = colorOf(computed)
  return seen && !sameColor(seen, color) ? { computed, property } : undefined
}

/** The parts of a thing on the stage that a facet paints; none where it has no such part just now. */
export function partsOf(node: HTMLElement, { part }: { readonly part?: string }): HTMLElement[] {
  return part ? [...node.querySelectorAll<HTMLElement>(`.${part}`)] : [node]
}

/** Whether custom CSS has the last word over what was decided for a part. */
export function isOverruled(stage: StageAccess, node: HTMLElement, trace: Trace): boolean {
  const other = otherThan(stage, node, trace)
  return other !== undefined && ruleFor(stage, node, other.property) !== undefined
}

/** What is asked about: a colour by its trace, any other property by the feature that it is. */
export type Asked = { readonly color: Trace } | { readonly feature: Feature; readonly state: State }

/** What custom CSS makes of a property that is no colour: found by reading it with the sheet and without. */
function overruledFeature(stage: StageAccess, node: HTMLElement, { trait }: Feature) {
  const { property } = traits[trait]
  const sheet = stage.writer.customSheet()
  if (!sheet || !ruleFor(stage, node, property)) return undefined
  const read = () =>
    node.ownerDocument.defaultView!.getComputedStyle(node).getPropertyValue(property)
  const computed = unpointed(stage.document, read)
  sheet.disabled = true
  const without = unpointed(stage.document, read)
  sheet.disabled = false
  return computed === without ? undefined : { computed, property }
}

/**
 * Whether custom CSS, or a snippet's own style, has the last word over what was decided for
 * something at rest; and which line of it.
 */
export function findOverrule(
  stage: StageAccess,
  selection: Selection,
  asked: Asked,
  customCss: string,
): Overrule | undefined {
  const thing = selectedNode(stage.document, selection)
  const part = 'color' in asked ? asked.color.facet : asked.feature
  const [node] = thing ? partsOf(thing, part) : []
  if (!node) return undefined
  const other =
    'color' in asked
      ? otherThan(stage, node, asked.color)
      : asked.state === 'rest'
        ? overruledFeature(stage, node, asked.feature)
        : undefined
  if (!other) return undefined
  const { computed, property } = other
  const rule = ruleFor(stage, node, property)
  if (!rule) return { computed }
  const at = customCss.indexOf(rule.selectorText)
  const line = at === -1 ? undefined : customCss.slice(0, at).split('\n').length
  return { computed, selector: rule.selectorText, line }
}
