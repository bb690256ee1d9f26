import { writeHex, type Color } from '../color'
import { generateThemes } from '../generate'
import { harmonyPalette } from '../palette'
import {
  frameSchema,
  frameVersion,
  siteDocs,
  paletteSchema,
  type Palette,
  type SiteDocs,
} from '../site'
import { body, button, fine, h1, lead, nav, page, wordmark } from './write'
import { palette, themeSet } from './write-frame'
import { siteSettings } from './site-settings'

/** Slots from the lightest to the darkest; what each is called says what it is for, not which colour it is. */
const SLOTS = [
  ['ground', 'Ground', '#faf8f4'],
  ['soft', 'Soft ground', '#e4dfd6'],
  ['quiet', 'Quiet', '#a9a198'],
  ['accent', 'Accent', '#3f6b7d'],
  ['deep', 'Deep', '#37393d'],
  ['ink', 'Ink', '#191a1c'],
] as const

/** The palette of an empty site: greys with one quiet accent, or all around a colour that is given. */
function emptyPalette(color: Color | undefined): Palette {
  const made = color && harmonyPalette(color, 'single', SLOTS.length)
  const slots = SLOTS.map(
    ([id, name, value], i) => [id, name, made ? writeHex(made[i]!) : value] as const,
  )
  return paletteSchema.parse(palette(slots))
}

/**
 * A site with nothing on it but a header, an opening and a footer, whole and
 * readable: its themes are generated from its palette. `color` is what the
 * palette is made around; greys with one quiet accent where there is none.
 */
export function emptySite(name: string, color?: Color): SiteDocs {
  const own = emptyPalette(color)
  const settings = siteSettings({
    headings: ['Bricolage Grotesque', 650],
    text: ['Figtree', 400],
    textSize: 17,
    contentWidth: 1080,
    sectionSpace: 88,
    sideSpace: 48,
    buttonCorner: 6,
    buttonLine: 1,
    buttonPad: { block: 13, inline: 24 },
    cardCorner: 8,
    cardLine: 1,
    pictureCorner: 8,
    fieldCorner: 6,
  })
  const themes = generateThemes({ palette: own, settings })
  const [light, dark] = [themes[0]!.id, themes.at(-1)!.id]
  const frame = frameSchema.parse({
    schema: frameVersion,
    name,
    palette: own,
    edition: 'light',
    themes: themeSet(themes),
    styles: {},
    settings,
    body: body('frame', [
      {
        id: 'header',
        name: 'Header',
        kind: 'header',
        theme: light,
        layout: 'bar',
        children: [wordmark(name), nav([['Home', 'page:home']])],
      },
      {
        id: 'footer',
        name: 'Footer',
        kind: 'footer',
        theme: dark,
        children: [fine(name)],
      },
    ]),
    customCss: '',
    addOns: [],
    studies: [],
  })
  const home = page('home', 'Home', '', [
    {
      id: 'opening',
      name: 'Opening',
      theme: light,
      children: [
        h1(name),
        lead('Say here in one sentence what you do, for whom, and where.'),
        button('Get in touch', '#'),
      ],
    },
  ])
  return siteDocs(frame, [home])
}
