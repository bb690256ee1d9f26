import { frameSchema, frameVersion, type Frame } from '@/core/site'
import {
  body,
  button,
  card,
  column,
  fine,
  form,
  grid,
  h1,
  h2,
  h3,
  icons,
  lead,
  nav,
  p,
  page,
  picture,
  prices,
  quiet,
  row,
  wordmark,
} from '@/core/designs/write'
import { palette, theme, themeSet } from '@/core/designs/write-frame'
import { siteSettings } from '@/core/designs/site-settings'

const slots = [
  ['chalk', 'Chalk', '#FBF7EF'],
  ['foam', 'Foam', '#E1EDF2'],
  ['buoy', 'Buoy', '#F2A541'],
  ['deep', 'Deep water', '#12355B'],
  ['tar', 'Tar', '#1B1F24'],
] as const

const light = {
  heading: 'deep',
  text: 'tar+8',
  mutedText: 'tar+28',
  link: 'deep+10',
  linkHover: 'deep',
  buttonFill: 'buoy',
  buttonLabel: 'tar',
  buttonLine: 'buoy',
  buttonHoverFill: 'buoy-6',
  buttonHoverLabel: 'tar',
  quietLabel: 'deep',
  quietLine: 'deep',
  quietHoverFill: 'deep',
  quietHoverLabel: 'chalk',
  accent: 'buoy-18',
  focus: 'deep',
  success: 'deep+6',
  warning: 'buoy-32',
  danger: 'buoy-36',
  fieldGround: 'chalk+1',
  fieldText: 'tar',
  fieldHint: 'tar+30',
  fieldLine: 'tar+34',
} as const

const themes = [
  theme('on-chalk', 'On Chalk', {
    ...light,
    ground: 'chalk',
    surface: 'foam',
    quietFill: 'chalk~',
    line: 'foam-8',
  }),
  theme('on-foam', 'On Foam', {
    ...light,
    ground: 'foam',
    surface: 'chalk',
    quietFill: 'foam~',
    line: 'foam-10',
  }),
  theme('on-deep-water', 'On Deep water', {
    ...light,
    ground: 'deep',
    surface: 'deep+6',
    heading: 'chalk',
    text: 'foam',
    mutedText: 'foam-12',
    link: 'buoy',
    linkHover: 'buoy+8',
    quietFill: 'deep~',
    quietLabel: 'chalk',
    quietLine: 'foam-10',
    quietHoverFill: 'chalk',
    quietHoverLabel: 'deep',
    line: 'deep+16',
    accent: 'buoy',
    focus: 'buoy',
    success: 'foam',
    warning: 'buoy+6',
    danger: 'buoy+12',
    fieldLine: 'foam',
  }),
]

export const ferryFrame: Frame = frameSchema.parse({
  schema: frameVersion,
  name: 'Ferrybank Boat Hire',
  palette: palette(slots),
  edition: 'light',
  themes: themeSet(themes),
  styles: {},
  settings: siteSettings({
    headings: ['Bricolage Grotesque', 700],
    text: ['Figtree', 400],
    textSize: 17,
    contentWidth: 1080,
    sectionSpace: 80,
    sideSpace: 48,
    buttonCorner: 999,
    buttonLine: 2,
    buttonPad: { block: 13, inline: 26 },
    cardCorner: 14,
    cardLine: 0,
    pictureCorner: 14,
    fieldCorner: 10,
  }),
  body: body('frame', [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: 'on-chalk',
      layout: 'bar',
      children: [
        wordmark('Ferrybank Boat Hire', 'logo'),
        nav([
          ['Boats', 'page:home'],
          ['Prices', 'page:prices'],
        ]),
        quiet('Ring the jetty', 'tel:+000000'),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: 'on-deep-water',
      layout: 'columns',
      children: [
        column([
          h3('Ferrybank Boat Hire'),
          fine('At the old ferry steps. April to October, nine until dusk.'),
        ]),
        nav(
          [
            ['Boats', 'page:home'],
            ['Prices', 'page:prices'],
          ],
          true,
        ),
      ],
    },
  ]),
  customCss: '.boat-of-the-day { border: 2px dashed #f2a541; color: #12355b; }\n',
  addOns: [],
  studies: [],
})

export const ferryPages = [
  page('home', 'Boats', 'Rowing boats by the hour.', [
    {
      id: 'opening',
      name: 'Opening',
      theme: 'on-deep-water',
      layout: 'split',
      children: [
        column([
          h1('Push off before breakfast'),
          lead('Eleven wooden boats, two oars each, and the whole lake to yourself until ten.'),
          row([button('Book a boat', 'page:prices'), quiet('See prices', 'page:prices')]),
        ]),
        picture('boats', '5/4'),
      ],
    },
    {
      id: 'boats',
      name: 'The boats',
      theme: 'on-chalk',
      children: [
        h2('Pick your boat'),
        grid([
          card([h3('Wagtail'), fine('One rower'), p('Light and quick. Turns on a coin.')]),
          card([h3('Heron'), fine('Two rowers, one guest'), p('Steady, with room for a picnic.')]),
          card([
            h3('Old Ferry'),
            fine('Four rowers'),
            p('For families, and for arguments about steering.'),
          ]),
        ]),
      ],
    },
    {
      id: 'safe',
      name: 'Safe and dry',
      theme: 'on-foam',
      layout: 'split',
      children: [
        column([
          h2('Safe and dry'),
          p('Life jackets in every size, and a look at the sky with you before you go.'),
        ]),
        icons(
          ['anchor', 'A jacket for everyone aboard'],
          ['wave', 'We call you in when the wind turns'],
          ['sun', 'Hats to borrow, please bring them back'],
        ),
      ],
    },
  ]),
  page('prices', 'Prices', 'What an hour on the water costs.', [
    {
      id: 'prices-opening',
      name: 'Prices',
      theme: 'on-chalk',
      children: [
        h1('By the hour, by the day'),
        prices(
          ['Boat', 'Hour', 'Day'],
          ['Wagtail', '12.00', '48.00'],
          ['Heron', '16.00', '64.00'],
          ['Old Ferry', '22.00', '88.00'],
        ),
      ],
    },
    {
      id: 'book',
      name: 'Book',
      theme: 'on-foam',
      layout: 'split',
      children: [
        column([h2('Keep one for me'), p('We hold it for half an hour. Longer if it rains.')]),
        form(
          [
            ['Your name', 'For the list on the door', 'text'],
            ['Your e-mail', 'name@example.org', 'email'],
          ],
          [button('Ask for a boat')],
        ),
      ],
    },
  ]),
]
