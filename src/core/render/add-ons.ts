import { addOnKindOf, settingProperty, type AddOnSpot } from '../add-ons'
import { escapeHtml, tag } from '../elements'
import {
  addOnColors,
  addOnText,
  isBound,
  type AddOn,
  type ColorDecision,
  type Frame,
} from '../site'
import { writeRules } from './css-names'
import { decisionCss } from './paint-css'

/** An add-on of a kind that is drawn. */
type Drawn = AddOn & { readonly kind: Exclude<AddOn['kind'], 'other'> }

const drawnOf = ({ addOns }: Pick<Frame, 'addOns'>): Drawn[] =>
  addOns.filter((addOn): addOn is Drawn => addOn.kind !== 'other')

const classOf = ({ kind }: Drawn) => `add-on-${kind}`

const writerOf = (addOn: AddOn) => (key: string) => escapeHtml(addOnText(addOn, key))

/** What add-ons are painted with, then how each kind looks. */
export function addOnsCss(frame: Pick<Frame, 'addOns'>): string {
  const drawn = drawnOf(frame)
  const rules = drawn.map((addOn) => ({
    selector: `.${classOf(addOn)}`,
    declarations: addOnColors(addOn).map(([key, decision]): [string, string] => [
      settingProperty(key),
      decisionCss(decision),
    ]),
  }))
  return [writeRules(rules), ...drawn.map(({ kind }) => addOnKindOf(kind).css.trim())]
    .filter(Boolean)
    .join('\n')
}

/** What add-ons refer to of the palette. */
export const addOnDecisions = (frame: Pick<Frame, 'addOns'>): ColorDecision[] =>
  drawnOf(frame).flatMap((addOn) =>
    addOnColors(addOn).flatMap(([, decision]) => (isBound(decision) ? [decision] : [])),
  )

interface AddOnPart {
  readonly id: string
  readonly html: string
}

/** The parts of add-ons that every page shows, by where they are drawn. */
export function addOnParts(
  frame: Pick<Frame, 'addOns'>,
): Readonly<Record<AddOnSpot, readonly AddOnPart[]>> {
  const drawn = drawnOf(frame)
  const at = (spot: AddOnSpot): AddOnPart[] =>
    drawn.flatMap((addOn) => {
      const inner = addOnKindOf(addOn.kind).spots[spot]?.(writerOf(addOn))
      if (inner === undefined) return []
      const root = { class: classOf(addOn), 'data-add-on': addOn.id }
      return [{ id: `add-on ${addOn.id}`, html: tag('aside', root, inner) }]
    })
  return { above: at('above'), below: at('below'), corner: at('corner') }
}

/** A page that an add-on brings along. */
export interface WrittenAddOnPage {
  readonly addOn: string
  readonly name: string
  readonly title: string
  /** Its `body`, with what it is painted by as a class. */
  readonly html: string
}

/** The pages that add-ons bring along, beside those of the site. */
export const addOnPages = (frame: Pick<Frame, 'addOns'>): WrittenAddOnPage[] =>
  drawnOf(frame).flatMap((addOn) =>
    Object.entries(addOnKindOf(addOn.kind).pages).map(([name, { title, html }]) => ({
      addOn: addOn.id,
      name,
      title,
      html: tag('body', { class: classOf(addOn) }, html(writerOf(addOn))),
    })),
  )
