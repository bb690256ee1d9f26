import { failingRoles, type Failing } from '../resolve'
import { themesInOrder, type Frame } from '../site'
import { afterDark } from './dark-edition'

/** What in the themes of a site is hard to read (below what WCAG 2.2 AA asks of it), by edition. */
export function failingInSite(frame: Frame): {
  readonly light: readonly Failing[]
  readonly dark: readonly Failing[]
} {
  const failing = ({ palette, themes }: Frame) => failingRoles(palette, themesInOrder(themes))
  return {
    light: failing(frame),
    dark: frame.edition === 'light' ? [] : failing(afterDark(frame)),
  }
}
