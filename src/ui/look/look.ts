import { writeHex } from '@/core/color'
import { kindClass } from '@/core/elements'
import { fanOf } from '@/core/palette'
import { paintCss, pictureAddress } from '@/core/render'
import { decisionColor } from '@/core/resolve'
import {
  own,
  paintIn,
  type ColorDecision,
  type Frame,
  type Paint,
  type Palette,
  type SlotId,
  type StyleId,
  type Theme,
} from '@/core/site'

export function decisionHex(palette: Palette, decision: ColorDecision): string {
  return writeHex(decisionColor(palette, decision))
}

/** The fan of a slot without steps that look like another: a near-white has fewer tints. The slot itself always stays. */
export function distinctFan(palette: Palette, slot: SlotId): ColorDecision[] {
  const seen = new Set([decisionHex(palette, { slot })])
  return fanOf(palette, slot).filter((decision) => {
    if (!('shade' in decision && decision.shade)) return true
    const hex = decisionHex(palette, decision)
    if (seen.has(hex)) return false
    seen.add(hex)
    return true
  })
}

/** A paint as a CSS background that stands by itself, away from the site's stylesheet. */
export function paintBackground(siteId: string, palette: Palette, paint: Paint): string {
  return paintCss(
    paint,
    (id) => ({ url: pictureAddress(siteId)(id), position: 'center' }),
    (decision) => decisionHex(palette, decision),
  )
}

/** The fill of main buttons in a theme as CSS: what their style decides for all themes, else the theme itself. */
function mainButtonFill(siteId: string, { palette, styles }: Frame, { roles }: Theme): string {
  const style = own(styles, kindClass('mainButton') as StyleId)
  const paint = paintIn(style?.looks, { key: 'fill' }, 'rest') ?? roles.buttonFill
  return paintBackground(siteId, palette, paint)
}

/** A theme's ground, text and main button as CSS, for drawing its name on it. */
export function themeLook(siteId: string, frame: Frame, themeId: string) {
  const theme = own(frame.themes.byId, themeId)
  if (!theme) return { name: themeId, ground: 'transparent', text: 'inherit', chip: 'transparent' }
  const hex = (decision: ColorDecision) => decisionHex(frame.palette, decision)
  return {
    name: theme.name,
    ground: hex(theme.roles.ground),
    text: hex(theme.roles.heading),
    chip: mainButtonFill(siteId, frame, theme),
  }
}
