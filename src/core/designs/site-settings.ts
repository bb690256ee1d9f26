import type { Settings } from '../traits'
import { settingsOfPair } from './font-pairs'

type Face = readonly [family: string, weight: number]

/** What a design says of type and shape; all else is as it usually is. */
interface OfDesign extends Partial<Settings> {
  readonly headings: Face
  readonly text: Face
}

/** The settings of a site from what a design says of them. */
export function siteSettings({ headings, text, ...given }: OfDesign): Settings {
  const [heading, body] = [headings, text].map(([family, weight]) => ({ family, weight }))
  return {
    ...settingsOfPair({ heading: heading!, body: body! }),
    interactiveWeight: 650,
    textSize: 17,
    scale: 1.3,
    narrowScale: 1.165,
    textLeading: 1.6,
    measure: 62,
    contentWidth: 1080,
    sectionSpace: 88,
    sideSpace: 48,
    density: 1,
    buttonForm: 'solid',
    buttonCorner: 4,
    buttonLine: 1,
    buttonPad: { block: 13, inline: 24 },
    buttonCase: 'none',
    buttonSpacing: 0,
    buttonIcon: 'none',
    cardCorner: 4,
    cardLine: 1,
    cardPad: { block: 22.4, inline: 22.4 },
    pictureCorner: 4,
    fieldCorner: 4,
    fieldLine: 1,
    ...given,
  }
}
