import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Dense and practical: prices first, everything within reach. */
export const workshop: Design = {
  id: 'wheelhouse',
  logo: 'mark-wheel',
  slots: [
    ['chalk', 'Chalk', '#f6f7f2'],
    ['mist', 'Mist', '#d9e2de'],
    ['signal', 'Signal', '#f2b705'],
    ['frame', 'Frame green', '#1f6f5c'],
    ['steel', 'Steel', '#56646b'],
    ['tyre', 'Tyre', '#15191b'],
  ],
  settings: siteSettings({
    headings: ['Space Grotesk', 700],
    text: ['Figtree', 400],
    textSize: 16,
    contentWidth: 1180,
    sectionSpace: 64,
    sideSpace: 40,
    buttonCorner: 3,
    buttonLine: 2,
    buttonPad: { block: 11, inline: 20 },
    cardCorner: 3,
    cardLine: 2,
    pictureCorner: 3,
    fieldCorner: 3,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('tyre'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-wheel'),
        w.nav([
          ['Home', 'page:home'],
          ['Prices', 'page:prices'],
          ['Bicycles', 'page:bicycles'],
          ['Find us', 'page:find-us'],
        ]),
        w.button('Bring it in', 'page:find-us'),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('tyre'),
      layout: 'columns',
      children: [
        w.column([w.p([{ text: name, strong: true }]), w.fine('Mended while you wait, mostly.')]),
        w.column([w.fine('Tuesday to Friday 8 to 18'), w.fine('Saturday 9 to 13')]),
        w.socialLinks(['phone', 'Call', 'tel:000'], ['mail', 'Write', 'mailto:hello@example.org']),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'Home',
      description: 'A bicycle workshop: repairs while you wait, used bicycles, honest prices.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('signal'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Flat at eight, rolling by nine'),
              w.lead(
                'We mend bicycles of every kind, most of them while you have a coffee next door.',
              ),
              w.row([
                w.button('What it costs', 'page:prices'),
                w.quiet('Where we are', 'page:find-us'),
              ]),
            ]),
            w.picture('bicycle', '4/3'),
          ],
        },
        {
          id: 'prices',
          name: 'Prices in short',
          theme: on('chalk'),
          layout: 'split',
          children: [
            w.column([
              w.h2('No guessing'),
              w.p(['Said before it is done. The ', ['whole list', 'page:prices'], ' is one page.']),
            ]),
            w.prices(
              ['What', 'Price'],
              ['Puncture, while you wait', '14.–'],
              ['Gears set', '22.–'],
              ['New brake pads, both', '28.–'],
              ['The large service', '85.–'],
            ),
          ],
        },
        {
          id: 'why',
          name: 'Why here',
          theme: on('mist'),
          children: [
            w.icons(
              ['clock', 'Small things while you wait'],
              ['spanner', 'Old parts mended before new ones are sold'],
              ['shield', 'Half a year’s guarantee on all work'],
              ['parcel', 'Fetched and brought back for 12.–'],
            ),
          ],
        },
        {
          id: 'bicycles',
          name: 'Used bicycles',
          theme: on('chalk'),
          children: [
            w.h2('Ready to ride'),
            w.grid([
              w.card([
                w.picture('bicycle', '4/3'),
                w.h3('Town, three gears'),
                w.fine('240.–'),
                w.quiet('Look at it', 'page:bicycles'),
              ]),
              w.card([
                w.picture('wheel', '4/3'),
                w.h3('Touring, 28 inch'),
                w.fine('390.–'),
                w.quiet('Look at it', 'page:bicycles'),
              ]),
              w.card([
                w.picture('parcel', '4/3'),
                w.h3('For loads'),
                w.fine('680.–'),
                w.quiet('Look at it', 'page:bicycles'),
              ]),
            ]),
          ],
        },
        {
          id: 'call',
          name: 'Bring it in',
          theme: on('frame'),
          layout: 'bar',
          children: [w.h2('It squeaks? Bring it in.'), w.button('How to find us', 'page:find-us')],
        },
      ],
    },
    {
      id: 'prices',
      title: 'Prices',
      description: 'What repairs and services cost.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('signal'),
          children: [
            w.h1('What it costs'),
            w.lead('With tax, with the old part given back if you like.'),
          ],
        },
        {
          id: 'list',
          name: 'The list',
          theme: on('chalk'),
          children: [
            w.prices(
              ['What', 'How long', 'Price'],
              ['Puncture', '15 minutes', '14.–'],
              ['New tube and tyre', '30 minutes', '26.– and the tyre'],
              ['Gears set', '30 minutes', '22.–'],
              ['Chain and cassette', '1 hour', '38.– and the parts'],
              ['Wheel trued', '1 hour', '32.–'],
              ['The large service', 'a day', '85.–'],
            ),
            w.mark('warning', 'In May it takes two days'),
          ],
        },
        {
          id: 'questions',
          name: 'Questions',
          theme: on('mist'),
          children: [
            w.h2('Often asked'),
            w.questions(
              ['Must I make an appointment?', 'For the large service, yes. For the rest, come in.'],
              [
                'Do you mend electric ones?',
                'All that is bicycle about them. For the motor we send you to a colleague.',
              ],
            ),
          ],
        },
      ],
    },
    {
      id: 'bicycles',
      title: 'Bicycles',
      description: 'Used bicycles, made ready to ride.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('frame'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Second spring'),
              w.lead('Taken apart, cleaned, put together. All with a guarantee.'),
            ]),
            w.picture('wheel', '4/3'),
          ],
        },
        {
          id: 'how',
          name: 'How it goes',
          theme: on('chalk'),
          children: [
            w.steps(
              ['Try it', 'Half an hour round the block, leave us your keys.'],
              ['We set it', 'Saddle, bars and brakes, for you.'],
              ['Ride it', 'After a month we look it over, free of charge.'],
            ),
          ],
        },
      ],
    },
    {
      id: 'find-us',
      title: 'Find us',
      description: 'Where the workshop is and when it is open.',
      sections: [
        {
          id: 'where',
          name: 'Where',
          theme: on('chalk'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Round the back, under the arch'),
              w.timetable(
                ['Tuesday to Friday', '8 to 18', ''],
                ['Saturday', '9 to 13', ''],
                ['Sunday, Monday', 'closed', ''],
              ),
              w.quiet('Call us', 'tel:000'),
            ]),
            w.mapStandIn('The workshop', 'Arch 3, Viaduct Lane'),
          ],
        },
        {
          id: 'people',
          name: 'People',
          theme: on('mist'),
          children: [
            w.h2('Who you will meet'),
            w.grid([
              w.card([
                w.picture('portrait-two', '1/1'),
                w.h3('Odo'),
                w.fine('knows every screw by its name'),
              ]),
              w.card([
                w.picture('portrait-three', '1/1'),
                w.h3('Runa'),
                w.fine('wheels, and all that turns'),
              ]),
            ]),
          ],
        },
      ],
    },
  ],
}
