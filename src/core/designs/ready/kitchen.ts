import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Dark: an evening place, warm light on few things. */
export const kitchen: Design = {
  id: 'late-kitchen',
  logo: 'mark-flame',
  slots: [
    ['bone', 'Bone', '#f3e9da'],
    ['candle', 'Candle', '#e0a458'],
    ['wine', 'Wine', '#8c2f39'],
    ['smoke', 'Smoke', '#5c5149'],
    ['coal', 'Coal', '#2a2320'],
    ['night', 'Night', '#171210'],
  ],
  settings: siteSettings({
    headings: ['Fraunces', 420],
    text: ['Karla', 400],
    textSize: 18,
    contentWidth: 1040,
    sectionSpace: 112,
    sideSpace: 48,
    buttonCorner: 2,
    buttonLine: 1,
    buttonPad: { block: 13, inline: 26 },
    cardCorner: 2,
    cardLine: 1,
    pictureCorner: 2,
    fieldCorner: 2,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('night'),
      layout: 'bar',
      children: [
        w.nav([
          ['Evenings', 'page:home'],
          ['The card', 'page:card'],
        ]),
        w.wordmark(name, 'mark-flame'),
        w.nav([['A table', 'page:table']]),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('night'),
      layout: 'columns',
      children: [
        w.column([
          w.p([{ text: 'Wednesday to Sunday', strong: true }]),
          w.fine('from six, kitchen until ten'),
        ]),
        w.column([w.p([{ text: 'Mill Lane 9', strong: true }]), w.fine('ring twice')]),
        w.column([w.p([{ text: '000 000', strong: true }]), w.fine('after four')]),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'Evenings',
      description: 'A small restaurant with one card an evening.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('night'),
          layout: 'split',
          children: [
            w.column([
              w.h1('The stove is lit at six'),
              w.lead('One card an evening, written at noon. Twenty-two seats.'),
              w.button('Keep us a table', 'page:table'),
            ]),
            w.picture('lamp', '3/4'),
          ],
        },
        {
          id: 'tonight',
          name: 'Tonight',
          theme: on('coal'),
          layout: 'split',
          children: [
            w.picture('plates', '1/1'),
            w.column([
              w.h2('Tonight'),
              w.timetable(
                ['First', 'Leeks in ash, egg, burnt butter', '11'],
                ['Then', 'Trout from the weir, bitter leaves', '24'],
                ['Last', 'Pear, rye, cold cream', '9'],
              ),
              w.quiet('The whole card', 'page:card'),
            ]),
          ],
        },
        {
          id: 'words',
          name: 'Words',
          theme: on('wine'),
          centered: true,
          children: [
            w.quote(
              'We came for a bite and were sent home by the last tram.',
              'a guest, on a napkin',
            ),
          ],
        },
        {
          id: 'gallery',
          name: 'Pictures',
          theme: on('night'),
          children: [
            w.gallery(3, [
              ['bread', 'Baked at four'],
              ['bottles', 'Poured at six'],
              ['citrus', 'Squeezed at all times'],
            ]),
          ],
        },
      ],
    },
    {
      id: 'card',
      title: 'The card',
      description: 'What there is to eat and to drink.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('night'),
          centered: true,
          children: [w.h1('The card'), w.lead('It changes. Ask what is not on it.')],
        },
        {
          id: 'food',
          name: 'To eat',
          theme: on('coal'),
          children: [
            w.h2('To eat'),
            w.prices(
              ['Dish', 'Price'],
              ['Bread, lard, salt', '5'],
              ['Leeks in ash, egg', '11'],
              ['Barley with autumn mushrooms', '18'],
              ['Trout from the weir', '24'],
              ['Pear, rye, cold cream', '9'],
            ),
          ],
        },
        {
          id: 'drink',
          name: 'To drink',
          theme: on('night'),
          children: [
            w.h2('To drink'),
            w.prices(
              ['Drink', 'Price'],
              ['Cider from the hill', '6'],
              ['A glass of red', '8'],
              ['Something without', '5'],
            ),
          ],
        },
      ],
    },
    {
      id: 'table',
      title: 'A table',
      description: 'How to keep a table, and how to find us.',
      sections: [
        {
          id: 'ask',
          name: 'Ask',
          theme: on('coal'),
          layout: 'split',
          children: [
            w.column([
              w.h1('A table'),
              w.p('For more than six, call. For two, there is always a corner.'),
              w.picture('night', '4/3'),
            ]),
            w.form(
              [
                ['Your name', 'Ida Lind', 'text'],
                ['When', 'Friday at seven', 'text'],
                ['How many', 'two', 'text'],
              ],
              [w.button('Ask for it')],
            ),
          ],
        },
      ],
    },
  ],
}
