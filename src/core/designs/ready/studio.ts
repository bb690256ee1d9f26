import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Nearly without colour: type, lines, and white. */
export const studio: Design = {
  id: 'plain-sheet',
  logo: 'mark-sheet',
  slots: [
    ['white', 'White', '#ffffff'],
    ['fog', 'Fog', '#f0f0ee'],
    ['pencil', 'Pencil', '#b9b9b4'],
    ['mark', 'Mark', '#c8371b'],
    ['lead', 'Lead', '#5a5a58'],
    ['black', 'Black', '#111111'],
  ],
  settings: siteSettings({
    headings: ['Space Grotesk', 500],
    text: ['Space Grotesk', 400],
    textSize: 16,
    contentWidth: 1320,
    sectionSpace: 104,
    sideSpace: 32,
    buttonCorner: 0,
    buttonLine: 1,
    buttonPad: { block: 10, inline: 18 },
    cardCorner: 0,
    cardLine: 0,
    pictureCorner: 0,
    fieldCorner: 0,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('white'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-sheet'),
        w.nav([
          ['Work', 'page:home'],
          ['Office', 'page:office'],
          ['Notes', 'page:notes'],
        ]),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('fog'),
      layout: 'bar',
      children: [
        w.fine('Quay 12, second floor'),
        w.fine(['Write to ', ['office@example.org', 'mailto:office@example.org']]),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'Work',
      description: 'Houses, sheds and a chapel.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('white'),
          children: [w.h1('We build little, and slowly.')],
        },
        {
          id: 'first',
          name: 'First work',
          theme: on('white'),
          children: [w.picture('street', '16/9', 'Five houses for five families, Quay Street')],
        },
        {
          id: 'two',
          name: 'Two works',
          theme: on('white'),
          children: [
            w.grid([
              w.picture('window', '4/3', 'Chapel of rest, one window'),
              w.picture('mountains', '4/3', 'A hut for the ski club'),
            ]),
          ],
        },
        {
          id: 'list',
          name: 'List of works',
          theme: on('fog'),
          children: [
            w.articleList(
              ['Five houses', 'Brick, ash, lime. Built by those who live there.', 'last year', '#'],
              ['Chapel of rest', 'One room, one window, one bench.', 'the year before', '#'],
              ['Boat shed', 'Larch on granite.', 'four years ago', '#'],
            ),
          ],
        },
        {
          id: 'call',
          name: 'Call',
          theme: on('mark'),
          layout: 'bar',
          children: [w.h2('You have a plot?'), w.button('Talk to us', 'page:office')],
        },
      ],
    },
    {
      id: 'office',
      title: 'Office',
      description: 'Who we are and how to reach us.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('white'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Four desks'),
              w.p(
                'We draw by hand first. What cannot be drawn in a morning is not understood yet.',
              ),
            ]),
            w.timetable(
              ['Perrin Vale', 'buildings', ''],
              ['Tove Lund', 'buildings', ''],
              ['Jory Ames', 'models', ''],
              ['Ida Roth', 'the numbers', ''],
            ),
          ],
        },
        {
          id: 'names',
          name: 'For whom',
          theme: on('black'),
          children: [
            w.fine('We have built for'),
            w.logoStrip('Harbour Guild', 'Ski Club', 'Parish of St Anne', 'Quay Families'),
          ],
        },
      ],
    },
    {
      id: 'notes',
      title: 'Notes',
      description: 'Short texts about building.',
      sections: [
        {
          id: 'text',
          name: 'Text',
          theme: on('white'),
          layout: 'split',
          children: [
            w.column([
              w.h1('On thresholds'),
              w.p('A door is not a hole. It is where one slows down.'),
              w.p('We make them low, of wood, and wide enough for two.'),
            ]),
            w.sideNavigation('Notes', [
              ['On thresholds', 'page:notes'],
              ['On lime', '#'],
              ['On doing nothing', '#'],
            ]),
          ],
        },
      ],
    },
  ],
}
