import { icons } from './icons'
import { tag } from './markup'

/** A line icon in the colour of its text; a tick for a name that is not there. */
export const iconHtml = (name: string): string =>
  `<svg class="icon" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.7" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">${tag('path', { d: Object.hasOwn(icons, name) ? icons[name] : icons.tick })}</svg>`
