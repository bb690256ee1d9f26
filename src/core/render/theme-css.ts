import { roleIds } from '../roles'
import { themesInOrder, type Frame, type Theme, type ThemeRoles } from '../site'
import { roleProperty, writeRules } from './css-names'
import { decisionCss } from './paint-css'

const ruleFor = (before: string, { id }: Theme, roles: ThemeRoles) => ({
  selector: `${before}[data-theme="${id}"]`,
  declarations: roleIds.map((role) => [roleProperty(role), decisionCss(roles[role])] as const),
})

/** The themes after dark, under whatever decides that it is. */
function darkCss({ edition, themes }: Frame): string {
  if (edition === 'light') return ''
  const before = edition === 'switch' ? ':root[data-edition="dark"] ' : ''
  const rules = writeRules(
    themesInOrder(themes).flatMap((theme) =>
      theme.dark ? [ruleFor(before, theme, theme.dark)] : [],
    ),
  )
  if (edition === 'switch' || !rules) return rules
  return `@media (prefers-color-scheme: dark) {\n${rules.replace(/^(?=.)/gm, '  ')}}\n`
}

/** Each theme says which slot every role takes; after dark too, where there is a dark edition. */
export function themesCss(frame: Frame): string {
  const light = themesInOrder(frame.themes).map((theme) => ruleFor('', theme, theme.roles))
  return writeRules(light) + darkCss(frame)
}
