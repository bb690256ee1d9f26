import {
  effectiveSetting,
  leastStep,
  mostStep,
  settingIds,
  underlineOf,
  type SettingId,
  type ButtonIcon,
  type Settings,
} from '../traits'
import { stackOf } from './fonts'
import { px, stepsCss } from './trait-css'

type Declaration = readonly [property: string, value: string]

/** How a setting is written: as custom properties, and how what follows it refers to them. */
interface Writer<K extends SettingId> {
  readonly declares: (value: Settings[K]) => readonly Declaration[]
  /** Absent for those that only others are worked out from. */
  readonly refers?: string
}

const one = <V>(property: string, write: (value: V) => string) => ({
  declares: (value: V): Declaration[] => [[property, write(value)]],
  refers: `var(${property})`,
})

const pad = (name: string) => ({
  declares: ({ block, inline }: Settings['cardPad']): Declaration[] => [
    [`--${name}-pad-y`, px(block)],
    [`--${name}-pad-x`, px(inline)],
  ],
  refers: `var(--${name}-pad-y) var(--${name}-pad-x)`,
})

/** Outlines of the icons, in parts of a square, so that they take the colour of the words beside them. */
const iconShapes: Readonly<
  Record<Exclude<ButtonIcon, 'none'>, ReadonlyArray<readonly [number, number]>>
> = {
  arrow: [
    [0, 42],
    [70, 42],
    [44, 14],
    [55, 3],
    [100, 50],
    [55, 97],
    [44, 86],
    [70, 58],
    [0, 58],
  ],
  chevron: [
    [28, 14],
    [40, 2],
    [86, 50],
    [40, 98],
    [28, 86],
    [62, 50],
  ],
  slant: [
    [16, 8],
    [92, 8],
    [92, 84],
    [76, 84],
    [76, 36],
    [18, 94],
    [6, 82],
    [64, 24],
    [16, 24],
  ],
  plus: [
    [42, 8],
    [58, 8],
    [58, 42],
    [92, 42],
    [92, 58],
    [58, 58],
    [58, 92],
    [42, 92],
    [42, 58],
    [8, 58],
    [8, 42],
    [42, 42],
  ],
}

export const iconShape = (icon: ButtonIcon): string =>
  icon === 'none'
    ? 'none'
    : `polygon(${iconShapes[icon].map(([x, y]) => `${x}% ${y}%`).join(', ')})`

const inner = { declares: (): Declaration[] => [] }

/** How each setting is written. */
const writers: { readonly [K in SettingId]: Writer<K> } = {
  titleFace: one('--font-title', stackOf),
  titleWeight: one('--weight-title', String),
  headingFace: one('--font-heading', stackOf),
  headingWeight: one('--weight-heading', String),
  bodyFace: one('--font-body', stackOf),
  bodyWeight: one('--weight-body', String),
  interactiveFace: one('--font-interactive', stackOf),
  interactiveWeight: one('--weight-interactive', String),
  textSize: one('--font-size', px),
  scale: inner,
  narrowScale: inner,
  textLeading: one('--leading-body', String),
  measure: one('--measure', (value) => `${value}ch`),
  contentWidth: one('--width-content', px),
  sectionSpace: {
    ...one('--space-section', px),
    refers: 'calc(var(--space-section) * var(--space-scale))',
  },
  sideSpace: one('--space-side', (value) => `clamp(20px, 4vw, ${px(value)})`),
  density: one('--density', String),
  buttonForm: {
    declares: (form) => {
      const { line, thickness, offset } = underlineOf(form)
      const drawn = line === 'none' ? line : `underline ${line} ${px(thickness ?? 1)}`
      return [
        ['--button-underline', drawn],
        ['--button-underline-offset', offset === undefined ? 'auto' : `${offset}em`],
      ]
    },
    refers: 'var(--button-underline)',
  },
  buttonCorner: one('--button-radius', px),
  buttonLine: one('--button-line', px),
  buttonPad: pad('button'),
  buttonCase: one('--button-case', String),
  buttonSpacing: one('--button-spacing', (value) => `${value}em`),
  buttonIcon: {
    declares: (icon) => [
      ['--button-icon', iconShape(icon)],
      ['--button-icon-size', icon === 'none' ? '0px' : '0.7em'],
      ['--button-icon-gap', icon === 'none' ? '0px' : '0.55em'],
    ],
  },
  cardCorner: one('--card-radius', px),
  cardLine: one('--card-line', px),
  cardPad: pad('card'),
  pictureCorner: one('--picture-radius', px),
  fieldCorner: one('--field-radius', px),
  fieldLine: one('--field-line', px),
}

/** How what follows a setting refers to it. */
export const settingReference = (id: SettingId): string => writers[id].refers ?? ''

/** The custom properties of one setting. */
export const declaredBy = (settings: Settings, id: SettingId): readonly Declaration[] =>
  (writers[id] as Writer<SettingId>).declares(effectiveSetting(settings, id) as never)

/** All settings of a site as custom properties. */
export function settingProperties(settings: Settings): Declaration[] {
  const steps = Array.from({ length: mostStep - leastStep + 1 }, (_, i) => leastStep + i)
  return [...settingIds.flatMap((id) => declaredBy(settings, id)), ...stepsCss(settings, steps)]
}
