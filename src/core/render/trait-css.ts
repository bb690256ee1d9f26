import type { ColorDecision, TraitValue, TraitValues } from '../site'
import { ownSize, sides, sizeCss, stepSize, written, type Settings, type TraitId } from '../traits'
import { decisionCss } from './paint-css'

type Declaration = readonly [property: string, value: string]
type Writer<T extends TraitId> = (value: TraitValues[T]) => readonly Declaration[]

export const px = (value: number) => `${written(value)}px`

const onSides = <T>(
  value: T | Readonly<Record<(typeof sides)[number], T>>,
  write: (each: T) => string,
): string =>
  typeof value === 'object' && value !== null && 'top' in value
    ? sides.map((side) => write(value[side])).join(' ')
    : write(value as T)

const shadowCss = ({
  inner,
  x,
  y,
  blur,
  spread,
  color,
}: TraitValues['shadow']['shadows'][number]) =>
  [...(inner ? ['inset'] : []), px(x), px(y), px(blur), px(spread), decisionCss(color)].join(' ')

/** The custom property of a step of the scale; the running text has one by another name. */
const stepProperty = (step: number) =>
  step === 0 ? '--font-size' : `--size-${String(step).replace('-', 'minus-')}`

const stepReference = (step: number) => `var(${stepProperty(step)})`

const underlineCss = ({
  line,
  thickness,
  offset,
  color,
}: TraitValues['underline']): Declaration[] =>
  line === 'none'
    ? [['text-decoration', 'none']]
    : [
        [
          'text-decoration',
          [
            'underline',
            line,
            ...(thickness === undefined ? [] : [px(thickness)]),
            ...(color ? [decisionCss(color as ColorDecision)] : []),
          ].join(' '),
        ],
        ['text-underline-offset', offset === undefined ? 'auto' : `${written(offset)}em`],
      ]

/** How each trait is written in CSS. */
const writers: { readonly [T in TraitId]: Writer<T> } = {
  corner: (value) => [['border-radius', px(value)]],
  lineWidth: (value) => [['border-width', onSides(value, px)]],
  lineStyle: (value) => [['border-style', onSides(value, String)]],
  // What reaches to the edge of a thing, such as a picture on top of a card, has to know how far it is.
  padding: ({ block, inline }) => [
    ['--pad-y', px(block)],
    ['--pad-x', px(inline)],
    ['padding', 'var(--pad-y) var(--pad-x)'],
  ],
  space: (value) => [['padding-block', `calc(${px(value)} * var(--space-scale))`]],
  width: (value) => [['max-width', px(value)]],
  shadow: ({ shadows }) => [['box-shadow', shadows.map(shadowCss).join(', ') || 'none']],
  opacity: (value) => [['opacity', written(value)]],
  face: (value) => [['font-family', `var(--font-${value})`]],
  size: (value) => [
    ['font-size', 'step' in value ? stepReference(value.step) : sizeCss(ownSize(value))],
  ],
  weight: (value) => [['font-weight', written(value)]],
  leading: (value) => [['line-height', written(value)]],
  spacing: (value) => [['letter-spacing', `${written(value)}em`]],
  case: (value) => [['text-transform', value]],
  hyphens: (value) => [['hyphens', value]],
  measure: (value) => [['max-width', value === 'none' ? 'none' : `${written(value)}ch`]],
  underline: underlineCss,
  duration: (value) => [['transition-duration', `${written(value)}ms`]],
  easing: (value) => [['transition-timing-function', value]],
}

/** What was decided for a trait, as CSS. */
export const traitCss = (trait: TraitId, value: TraitValue): readonly Declaration[] =>
  (writers[trait] as Writer<TraitId>)(value as never)

/** The steps of the scale as custom properties. */
export function stepsCss(settings: Settings, steps: readonly number[]): Declaration[] {
  return steps
    .filter((step) => step !== 0)
    .map((step) => [stepProperty(step), sizeCss(stepSize(settings, step))])
}
