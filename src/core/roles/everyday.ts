import { roleName, roles, type RoleId } from './roles'

/** Other words that people use for a role, beside its name. Common practice, no source. */
const everyday: Readonly<Record<RoleId, readonly string[]>> = {
  ground: ['background', 'section', 'band'],
  surface: ['card', 'panel', 'box', 'background'],
  heading: ['title', 'headline', 'h1', 'h2', 'h3'],
  text: ['body', 'copy', 'paragraph', 'menu', 'navigation', 'nav', 'words'],
  mutedText: ['caption', 'secondary', 'small print', 'grey text', 'note'],
  link: ['anchor', 'url'],
  linkHover: ['hover', 'anchor', 'menu', 'navigation', 'nav', 'mouse over'],
  buttonFill: ['primary', 'call to action', 'cta', 'background'],
  buttonLabel: ['primary', 'call to action', 'cta', 'button text'],
  buttonLine: ['primary', 'outline', 'stroke'],
  buttonHoverFill: ['primary', 'hover', 'mouse over', 'background'],
  buttonHoverLabel: ['primary', 'hover', 'mouse over', 'button text'],
  quietFill: ['secondary', 'outline button', 'ghost', 'background'],
  quietLabel: ['secondary', 'outline button', 'ghost', 'button text'],
  quietLine: ['secondary', 'outline button', 'ghost', 'stroke'],
  quietHoverFill: ['secondary', 'hover', 'mouse over', 'background'],
  quietHoverLabel: ['secondary', 'hover', 'mouse over', 'button text'],
  line: ['rule', 'separator', 'hairline', 'stroke', 'outline'],
  accent: ['icon', 'highlight', 'mark', 'current page', 'menu', 'navigation', 'nav'],
  focus: ['outline', 'keyboard', 'tab'],
  success: ['green', 'ok', 'confirmation', 'sent'],
  warning: ['yellow', 'amber', 'attention'],
  danger: ['error', 'red', 'wrong', 'failed'],
  fieldGround: ['input', 'form', 'background'],
  fieldText: ['input', 'form', 'value'],
  fieldHint: ['placeholder', 'input', 'form', 'hint'],
  fieldLine: ['input', 'form', 'outline', 'stroke'],
}

/** Other words that people use for a role. */
export const everydayWords = (role: RoleId): readonly string[] => everyday[role]

/** Whether a role goes by some words: its name, its group, or an everyday word for it. */
export function goesBy(role: RoleId, words: string): boolean {
  const wanted = words.trim().toLowerCase()
  const known = [roleName(role), roles[role].group, ...everyday[role]]
  return known.some((each) => each.toLowerCase().includes(wanted))
}
