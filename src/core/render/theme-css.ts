import { themesInOrder, type Frame } from '../site'
import { roleIds } from '../theme'
import { roleProperty, writeRules } from './css-names'
import { decisionCss } from './paint-css'

/** Each theme says which slot every role takes. */
export function themesCss(frame: Frame): string {
  return writeRules(
    themesInOrder(frame.themes).map((theme) => ({
      selector: `[data-theme="${theme.id}"]`,
      declarations: roleIds.map((role) => [roleProperty(role), decisionCss(theme.roles[role])]),
    })),
  )
}
