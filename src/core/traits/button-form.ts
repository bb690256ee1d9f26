import type { PlainValues } from './values'

/**
 * How the buttons of a site are told to be buttons: by a fill, by an outline, by a pale fill, or by
 * a line under their words. Which colours they have in it is the themes' to say.
 */
export const buttonForms = ['solid', 'outline', 'soft', 'underline'] as const
export type ButtonForm = (typeof buttonForms)[number]

/** What stands behind the words of a button. */
export const buttonIcons = ['none', 'arrow', 'chevron', 'slant', 'plus'] as const
export type ButtonIcon = (typeof buttonIcons)[number]

/** Whether buttons of a form have a line around them. */
export const linesOf = (form: ButtonForm): boolean => form === 'solid' || form === 'outline'

/** The line under the words of buttons of a form. */
export const underlineOf = (form: ButtonForm): PlainValues['underline'] =>
  form === 'underline' ? { line: 'solid', thickness: 2, offset: 0.3 } : { line: 'none' }
