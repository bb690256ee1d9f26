import { writeHex, type Color } from '../color'
import { generateThemes } from '../generate'
import { harmonyPalette } from '../palette'
import {
  frameSchema,
  frameVersion,
  siteDocs,
  usualShadeScale,
  type Palette,
  type SiteDocs,
} from '../site'
import { body, button, fine, h1, lead, nav, page } from './write'

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
  const slots = SLOTS.map(([id, name, value], i) => ({
    id,
    name,
    value: made ? writeHex({ ...made[i]!, alpha: 1 }) : value,
    was: [],
  }))
  return {
    order: slots.map(({ id }) => id),
    shades: usualShadeScale,
    original: slots.map(({ id, name, value }) => ({ id, name, value })),
    slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
  } as unknown as Palette
}

/**
 * A site with nothing on it but a header, an opening and a footer, whole and
 * readable: its themes are generated from its palette. `color` is what the
 * palette is made around; greys with one quiet accent where there is none.
 */
export function emptySite(name: string, color?: Color): SiteDocs {
  const palette = emptyPalette(color)
  const themes = generateThemes(palette)
  const [light, dark] = [themes[0]!.id, themes.at(-1)!.id]
  const frame = frameSchema.parse({
    schema: frameVersion,
    name,
    palette,
    edition: 'light',
    themes: {
      order: themes.map(({ id }) => id),
      byId: Object.fromEntries(themes.map((theme) => [theme.id, theme])),
      original: themes,
    },
    styles: {},
    type: {
      heading: { family: 'Bricolage Grotesque', weight: 650 },
      body: { family: 'Figtree', weight: 400 },
      size: 17,
    },
    layout: {
      contentWidth: 1080,
      sectionSpace: 88,
      sideSpace: 48,
      buttonRadius: 6,
      buttonLine: 1,
      buttonPad: [13, 24],
      cardRadius: 8,
      cardLine: 1,
      pictureRadius: 8,
      fieldRadius: 6,
    },
    body: body('frame', [
      {
        id: 'header',
        name: 'Header',
        kind: 'header',
        theme: light,
        layout: 'bar',
        children: [
          { kind: 'wordmark', content: { name: name.slice(0, 120), href: 'page:home' } },
          nav([['Home', 'page:home']]),
        ],
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
        h1(name.slice(0, 200)),
        lead('Say here in one sentence what you do, for whom, and where.'),
        button('Get in touch', '#'),
      ],
    },
  ])
  return siteDocs(frame, [home])
}
