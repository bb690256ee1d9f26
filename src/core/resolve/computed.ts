import type { TraitValue, TraitValues } from '../site'
import {
  fluidSize,
  sides,
  sizeAt,
  written,
  type Settings,
  type TraitId,
  faceSetting,
} from '../traits'

/** What else a computed value hangs on: the width of the window and the size of the words, in CSS pixels. */
export interface Computing {
  readonly settings: Settings
  readonly width: number
  readonly size: number
  /** Whether the space of the section shrinks in narrow windows, as it does but for headers, footers and strips of announcements. */
  readonly scales: boolean
}

/** Values by CSS longhand, as a browser computes them; `≈` stands before what hangs on a typeface. */
export type Computed = Readonly<Record<string, string>>

type Computer<T extends TraitId> = (value: TraitValues[T], around: Computing) => Computed

const px = (value: number) => `${written(value, 3)}px`

const each = <T>(
  value: T | Readonly<Record<(typeof sides)[number], T>>,
  name: (side: string) => string,
  write: (value: T) => string,
): Computed =>
  Object.fromEntries(
    sides.map((side) => [
      name(side),
      write(
        typeof value === 'object' && value !== null && 'top' in value ? value[side] : (value as T),
      ),
    ]),
  )

/** Widths of borders are snapped to whole pixels, none to nothing (CSS Backgrounds and Borders 4, 2.3). */
const snapped = (value: number) => px(value > 0 && value < 1 ? 1 : Math.floor(value))

/** Below it, sections are narrower by a share; the renderer's media query says the same. */
export const narrowBelow = 760
export const narrowSpace = 0.68

const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left']

const computers: { readonly [T in TraitId]: Computer<T> } = {
  corner: (value) =>
    Object.fromEntries(CORNERS.map((corner) => [`border-${corner}-radius`, px(value)])),
  lineWidth: (value) => each(value, (side) => `border-${side}-width`, snapped),
  lineStyle: (value) => each(value, (side) => `border-${side}-style`, String),
  padding: ({ block, inline }) => ({
    'padding-top': px(block),
    'padding-right': px(inline),
    'padding-bottom': px(block),
    'padding-left': px(inline),
  }),
  space: (value, { width, scales }) => ({
    'padding-bottom': px(value * (scales && width <= narrowBelow ? narrowSpace : 1)),
  }),
  width: (value) => ({ 'max-width': px(value) }),
  shadow: ({ shadows }) => ({
    'box-shadow':
      shadows
        .map(({ x, y, blur, spread, inner }) =>
          [...[x, y, blur, spread].map(px), ...(inner ? ['inset'] : [])].join(' '),
        )
        .join(', ') || 'none',
  }),
  opacity: (value) => ({ opacity: written(value) }),
  face: (value, { settings }) => ({ 'font-family': settings[faceSetting[value]] }),
  size: (value, { settings, width }) => ({
    'font-size': px(sizeAt(fluidSize(settings, value), width)),
  }),
  weight: (value) => ({ 'font-weight': written(value) }),
  leading: (value, { size }) => ({ 'line-height': px(value * size) }),
  spacing: (value, { size }) => ({ 'letter-spacing': value === 0 ? 'normal' : px(value * size) }),
  case: (value) => ({ 'text-transform': value }),
  hyphens: (value) => ({ hyphens: value }),
  measure: (value) => ({ 'max-width': value === 'none' ? 'none' : `≈${written(value)}ch` }),
  underline: ({ line, thickness, offset }, { size }): Computed =>
    line === 'none'
      ? { 'text-decoration-line': 'none' }
      : {
          'text-decoration-line': 'underline',
          'text-decoration-style': line,
          'text-decoration-thickness': thickness === undefined ? 'auto' : px(thickness),
          'text-underline-offset': offset === undefined ? 'auto' : px(offset * size),
        },
  duration: (value) => ({ 'transition-duration': `${written(value / 1000)}s` }),
  easing: (value) => ({ 'transition-timing-function': value }),
}

/** What a browser computes for a trait that holds a value. The colours of shadows and underlines are not told here. */
export const computedTrait = (trait: TraitId, value: TraitValue, around: Computing): Computed =>
  (computers[trait] as Computer<TraitId>)(value as never, around)

/** What a browser computes where nobody decided a trait; undefined for what is then inherited. */
export const computedUnset: Partial<Readonly<Record<TraitId, Computed>>> = {
  corner: { 'border-top-left-radius': '0px' },
  shadow: { 'box-shadow': 'none' },
  opacity: { opacity: '1' },
  duration: { 'transition-duration': '0s' },
}
