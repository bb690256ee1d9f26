import { over, toOklab, white } from '../color'
import { decisionColor } from '../resolve'
import { themesInOrder, type Frame, type Theme, type ThemeId } from '../site'
import { groundKind } from '../theme'

const groundOf = ({ palette }: Frame, { roles }: Theme) =>
  over(decisionColor(palette, roles.ground), white)

/** What two grounds are apart in hue and chroma, as OKLab has them; lightness is what a flip changes. */
function apart(frame: Frame, one: Theme, other: Theme): number {
  const [p, q] = [one, other].map((theme) => toOklab(groundOf(frame, theme))) as [
    ReturnType<typeof toOklab>,
    ReturnType<typeof toOklab>,
  ]
  return Math.hypot(p.a - q.a, p.b - q.b)
}

/**
 * The theme that a section is flipped to: from pale to the dark one whose ground
 * is nearest in hue, from dark or vivid to such a pale one. Undefined where the
 * site has none of the other kind.
 */
export function flippedTheme(frame: Frame, id: ThemeId): Theme | undefined {
  const theme = frame.themes.byId[id]
  if (!theme) return undefined
  const wanted = groundKind(groundOf(frame, theme)) === 'pale' ? 'dark' : 'pale'
  return themesInOrder(frame.themes)
    .filter((other) => other.id !== id && groundKind(groundOf(frame, other)) === wanted)
    .sort((a, b) => apart(frame, theme, a) - apart(frame, theme, b))[0]
}
