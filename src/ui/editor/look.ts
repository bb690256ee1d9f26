import { writeHex } from '@/core/color'
import { decisionColor } from '@/core/resolve'
import type { ColorDecision, Frame, Palette } from '@/core/site'

export function decisionHex(palette: Palette, decision: ColorDecision): string {
  return writeHex(decisionColor(palette, decision))
}

/** A theme's ground and text as hex, for drawing its name on it. */
export function themeLook(frame: Frame, themeId: string) {
  const theme = frame.themes.byId[themeId as keyof typeof frame.themes.byId]
  if (!theme) return { name: themeId, ground: 'transparent', text: 'inherit', chip: 'transparent' }
  const hex = (decision: ColorDecision) => decisionHex(frame.palette, decision)
  return {
    name: theme.name,
    ground: hex(theme.roles.ground),
    text: hex(theme.roles.heading),
    chip: hex(theme.roles.buttonFill),
  }
}
