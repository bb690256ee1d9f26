import * as z from 'zod'
import { buttonForms, buttonIcons, linesOf, underlineOf, type ButtonForm } from './button-form'
import { familyName, letterCases, pill, type FaceId, type PlainValues } from './values'

const number = (least: number, most: number) => z.number().min(least).max(most)
const weight = z.number().min(100).max(900)
const padding = z.strictObject({ block: number(0, 80), inline: number(0, 80) })

/**
 * What is decided once for a whole site, whatever the theme. Lengths in CSS pixels; scales as the
 * ratio from one step to the next, on wide screens and on phones; `density` multiplies all space.
 */
export const settingsSchema = z.strictObject({
  titleFace: familyName,
  titleWeight: weight,
  headingFace: familyName,
  headingWeight: weight,
  bodyFace: familyName,
  bodyWeight: weight,
  interactiveFace: familyName,
  interactiveWeight: weight,
  textSize: number(12, 24),
  scale: number(1, 2),
  narrowScale: number(1, 2),
  textLeading: number(1, 2.4),
  measure: number(20, 120),
  contentWidth: number(600, 1800),
  sectionSpace: number(0, 240),
  sideSpace: number(0, 120),
  density: number(0.5, 1.5),
  buttonForm: z.enum(buttonForms),
  buttonCorner: number(0, pill),
  buttonLine: number(0, 8),
  buttonPad: padding,
  buttonCase: z.enum(letterCases),
  buttonSpacing: number(-0.1, 0.5),
  buttonIcon: z.enum(buttonIcons),
  cardCorner: number(0, 80),
  cardLine: number(0, 8),
  cardPad: padding,
  pictureCorner: number(0, 80),
  fieldCorner: number(0, 80),
  fieldLine: number(0, 8),
})

export type Settings = z.infer<typeof settingsSchema>
export type SettingId = keyof Settings

export const settingIds = Object.keys(settingsSchema.shape) as SettingId[]

export const settingGroups = ['Type', 'Buttons', 'Cards', 'Pictures', 'Fields', 'Page'] as const
export type SettingGroup = (typeof settingGroups)[number]

export interface SettingInfo {
  readonly label: string
  readonly group: SettingGroup
  readonly unit?: 'px' | 'em' | 'ch'
}

export const settings: Readonly<Record<SettingId, SettingInfo>> = {
  titleFace: { label: 'Typeface of titles', group: 'Type' },
  titleWeight: { label: 'Weight of titles', group: 'Type' },
  headingFace: { label: 'Typeface of headings', group: 'Type' },
  headingWeight: { label: 'Weight of headings', group: 'Type' },
  bodyFace: { label: 'Typeface of running text', group: 'Type' },
  bodyWeight: { label: 'Weight of running text', group: 'Type' },
  interactiveFace: { label: 'Typeface of buttons and links to pages', group: 'Type' },
  interactiveWeight: { label: 'Weight of buttons', group: 'Type' },
  textSize: { label: 'Size of running text', group: 'Type', unit: 'px' },
  scale: { label: 'Size scale', group: 'Type' },
  narrowScale: { label: 'Size scale on phones', group: 'Type' },
  textLeading: { label: 'Line height of running text', group: 'Type' },
  measure: { label: 'Measure of running text', group: 'Type', unit: 'ch' },
  contentWidth: { label: 'Content width', group: 'Page', unit: 'px' },
  sectionSpace: { label: 'Section space', group: 'Page', unit: 'px' },
  sideSpace: { label: 'Space at the sides', group: 'Page', unit: 'px' },
  density: { label: 'Density', group: 'Page' },
  buttonForm: { label: 'Form of buttons', group: 'Buttons' },
  buttonCorner: { label: 'Corner of buttons', group: 'Buttons', unit: 'px' },
  buttonLine: { label: 'Line of buttons', group: 'Buttons', unit: 'px' },
  buttonPad: { label: 'Padding of buttons', group: 'Buttons', unit: 'px' },
  buttonCase: { label: 'Case of buttons', group: 'Buttons' },
  buttonSpacing: { label: 'Letter spacing of buttons', group: 'Buttons', unit: 'em' },
  buttonIcon: { label: 'Icon of buttons', group: 'Buttons' },
  cardCorner: { label: 'Corner of cards', group: 'Cards', unit: 'px' },
  cardLine: { label: 'Line of cards', group: 'Cards', unit: 'px' },
  cardPad: { label: 'Padding of cards', group: 'Cards', unit: 'px' },
  pictureCorner: { label: 'Corner of pictures', group: 'Pictures', unit: 'px' },
  fieldCorner: { label: 'Corner of fields', group: 'Fields', unit: 'px' },
  fieldLine: { label: 'Line of fields', group: 'Fields', unit: 'px' },
}

/** The setting that says which typeface a face is. */
export const faceSetting = {
  title: 'titleFace',
  heading: 'headingFace',
  body: 'bodyFace',
  interactive: 'interactiveFace',
} as const satisfies Readonly<Record<FaceId, SettingId>>

/** Settings that density multiplies. */
const dense = new Set<SettingId>(['sectionSpace', 'buttonPad', 'cardPad'])

const times = (value: number, factor: number) => Math.round(value * factor * 100) / 100

const padded = ({ block, inline }: PlainValues['padding'], factor: number) => ({
  block: times(block, factor),
  inline: times(inline, factor),
})

/** What the form of buttons leaves of what is set for them: some have no line, some no room at their sides. */
function inForm<K extends SettingId>(form: ButtonForm, id: K, value: Settings[K]): Settings[K] {
  if (id === 'buttonLine' && !linesOf(form)) return 0 as Settings[K]
  if (id === 'buttonPad' && form === 'underline') {
    const { block } = value as PlainValues['padding']
    return { block: times(block, 0.5), inline: 0 } as Settings[K]
  }
  return value
}

/** What a setting comes to on the page: space by the site's density, buttons by their form, all else as it is set. */
export function effectiveSetting<K extends SettingId>(all: Settings, id: K): Settings[K] {
  const value = inForm(all.buttonForm, id, all[id])
  if (!dense.has(id) || all.density === 1) return value
  const scaled =
    typeof value === 'number'
      ? times(value, all.density)
      : padded(value as PlainValues['padding'], all.density)
  return scaled as Settings[K]
}

/** Whether a setting holds just what the traits that follow it do; the form of buttons leaves some of them without effect. */
export const isTaken = (all: Settings, id: SettingId): boolean =>
  id !== 'buttonForm' && inForm(all.buttonForm, id, all[id]) === all[id]

/** What a trait that follows a setting holds: the setting itself, but that a form of buttons is told by its underline. */
export function traitOfSetting(all: Settings, id: SettingId): PlainValues[keyof PlainValues] {
  const value = effectiveSetting(all, id)
  return id === 'buttonForm' ? underlineOf(value as ButtonForm) : (value as never)
}
