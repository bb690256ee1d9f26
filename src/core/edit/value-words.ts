import { isFeature, type Property } from '../elements'
import { writeShade } from '../color'
import {
  isBound,
  isColor,
  type LookValue,
  type Paint,
  type SiteDocs,
  type TraitValues,
} from '../site'
import { faceSetting, pill, sides, stateWords, written, type State, type TraitId } from '../traits'
import { writeDecision } from './decision-text'

type Words<T extends TraitId> = (value: TraitValues[T], docs: SiteDocs) => string

const px = (value: number) => `${written(value, 2)} px`

function onSides<T>(
  value: T | Readonly<Record<(typeof sides)[number], T>>,
  write: (each: T) => string,
): string {
  if (typeof value !== 'object' || value === null || !('top' in value)) return write(value as T)
  return sides.map((side) => write(value[side])).join(' ')
}

const FACES = {
  title: 'as titles',
  heading: 'as headings',
  body: 'as running text',
  interactive: 'as buttons',
} as const

/** `step +2` of the scale; the running text is its zero. */
const stepWords = (step: number) =>
  step === 0 ? 'as running text' : `step ${step > 0 ? '+' : '−'}${Math.abs(step)}`

const words: { readonly [T in TraitId]: Words<T> } = {
  corner: (value) => (value === 0 ? 'square' : value >= pill ? 'pill' : px(value)),
  lineWidth: (value) =>
    typeof value === 'number'
      ? value === 0
        ? 'none'
        : px(value)
      : `${onSides(value, (each) => written(each, 2))} px`,
  lineStyle: (value) => onSides(value, String),
  padding: ({ block, inline }) => `${written(block, 2)} · ${written(inline, 2)} px`,
  space: px,
  width: px,
  shadow: ({ shadows }) =>
    shadows.length === 0
      ? 'none'
      : shadows.length === 1
        ? 'one shadow'
        : `${shadows.length} shadows`,
  opacity: (value) => `${written(value * 100, 1)} %`,
  face: (value, { frame }) => `${frame.settings[faceSetting[value]]}, ${FACES[value]}`,
  size: (value) => {
    if ('step' in value) return stepWords(value.step)
    return value.narrow === undefined ? px(value.px) : `${written(value.narrow, 2)}–${px(value.px)}`
  },
  weight: (value) => written(value, 0),
  leading: (value) => written(value, 2),
  spacing: (value) => `${written(value, 3)} em`,
  hyphens: (value) => (value === 'auto' ? 'broken with a hyphen' : 'kept whole'),
  case: (value) => (value === 'none' ? 'as written' : value),
  measure: (value) => (value === 'none' ? 'none' : `${written(value, 0)} ch`),
  underline: ({ line, thickness, offset }) =>
    line === 'none'
      ? 'none'
      : [
          line,
          ...(thickness === undefined ? [] : [px(thickness)]),
          ...(offset === undefined ? [] : [`${written(offset, 2)} em below`]),
        ].join(', '),
  duration: (value) => (value === 0 ? 'at once' : `${written(value, 0)} ms`),
  easing: (value) => value,
}

/** What a paint is, in a few words. */
export function paintWords(paint: Paint, docs: SiteDocs): string {
  if (isColor(paint)) return writeDecision(docs.frame.palette, paint)
  if ('picture' in paint) return paint.tint ? 'a picture, tinted' : 'a picture'
  const { palette } = docs.frame
  const [first, last] = [paint.stops[0]!.color, paint.stops.at(-1)!.color]
  // What is a shade of the same slot need not say its name again.
  const isSame = isBound(first) && isBound(last) && last.shade && first.slot === last.slot
  const end = isSame ? writeShade(last.shade!) : writeDecision(palette, last)
  return `${writeDecision(palette, first)} → ${end}`
}

/** What was decided for a property, in a few words: `12 px`, `Brand −10`, `step +2`. */
export function valueWords(property: Property, value: LookValue, docs: SiteDocs): string {
  if (!isFeature(property)) return paintWords(value as Paint, docs)
  return (words[property.trait] as Words<TraitId>)(value as never, docs)
}

/** A property in a state, in words: `fill, pointer over`. */
export const propertyWords = ({ label }: Property, state: State): string =>
  [label.toLowerCase(), stateWords[state]].filter(Boolean).join(', ')
