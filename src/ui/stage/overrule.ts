import { colorOf, sameColor } from '@/core/color'
import { cssProperty, kindClass, type Feature } from '@/core/elements'
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

/** All style rules of a sheet, those inside of conditions as well. */
const styleRules = (rules: CSSRuleList): CSSStyleRule[] =>
  [...rules].flatMap((rule) => {
    if ('selectorText' in rule) return [rule as CSSStyleRule]
    return 'cssRules' in rule ? styleRules((rule as CSSGroupingRule).cssRules) : []
  })

/** What is left of a selector without its pseudo-elements may be none. */
function isMatched(node: HTMLElement, selector: string): boolean {
  try {
    return node.matches(selector)
  } catch {
    return false
  }
}

/** The last rule of the custom CSS that is about the element and sets the property. */
function ruleFor(
  stage: StageAccess,
  node: HTMLElement,
  property: string,
): CSSStyleRule | undefined {
  const sheet = stage.writer.customSheet()
  return (sheet ? styleRules(sheet.cssRules) : [])
    .filter(({ selectorText, style }) => {
      // A pseudo-element stands for a part that `matches` does not know.
      const plain = selectorText.replaceAll(/::[\w-]+/g, '') || '*'
      return [...style].includes(property) && isMatched(node, plain)
    })
    .at(-1)
}

/** Whether the custom CSS makes a property what it is: found by reading it with the sheet and without. */
function isFromCustomCss(stage: StageAccess, read: () => string): boolean {
  const sheet = stage.writer.customSheet()
  if (!sheet) return false
  const computed = unpointed(stage.document, read)
  sheet.disabled = true
  const without = unpointed(stage.document, read)
  sheet.disabled = false
  return computed !== without
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

/** Reads a property of a node, or of one of its pseudo-elements. */
const reading = (node: HTMLElement, property: string, pseudo?: string) => () =>
  node.ownerDocument.defaultView!.getComputedStyle(node, pseudo ?? null).getPropertyValue(property)

/** Whether custom CSS has the last word over what was decided for a part. */
export function isOverruled(stage: StageAccess, node: HTMLElement, trace: Trace): boolean {
  const other = otherThan(stage, node, trace)
  return (
    other !== undefined && isFromCustomCss(stage, reading(node, other.property, trace.facet.pseudo))
  )
}

/** What is asked about: a colour by its trace, any other property by the feature that it is. */
export type Asked = { readonly color: Trace } | { readonly feature: Feature; readonly state: State }

/** What custom CSS makes of a property that is no colour. */
function overruledFeature(stage: StageAccess, node: HTMLElement, { trait }: Feature) {
  const { property } = traits[trait]
  const read = reading(node, property)
  if (!isFromCustomCss(stage, read)) return undefined
  return { computed: unpointed(stage.document, read), property }
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
  const pseudo = 'color' in asked ? asked.color.facet.pseudo : undefined
  if (!isFromCustomCss(stage, reading(node, property, pseudo))) {
    // A snippet has styles of its own; anything else is then as its parts are decided.
    return thing?.classList.contains(kindClass('embed')) ? { computed } : undefined
  }
  const rule = ruleFor(stage, node, property)
  if (!rule) return { computed, selector: 'a rule of it' }
  const at = customCss.indexOf(rule.selectorText)
  const line = at === -1 ? undefined : customCss.slice(0, at).split('\n').length
  return { computed, selector: rule.selectorText, line }
}
