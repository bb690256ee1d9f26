import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Loud: large letters, hard edges, all in motion. */
export const festival: Design = {
  id: 'loud-june',
  logo: 'mark-burst',
  slots: [
    ['cream', 'Cream', '#fff6e0'],
    ['sun', 'Sun', '#ffc53d'],
    ['pink', 'Pink', '#ff5fa2'],
    ['blue', 'Blue', '#3d3bff'],
    ['plum', 'Plum', '#4a1259'],
    ['black', 'Black', '#140a1a'],
  ],
  settings: siteSettings({
    headings: ['Unbounded', 800],
    text: ['Space Grotesk', 400],
    textSize: 17,
    contentWidth: 1280,
    sectionSpace: 96,
    sideSpace: 40,
    buttonCorner: 0,
    buttonLine: 3,
    buttonPad: { block: 16, inline: 28 },
    cardCorner: 0,
    cardLine: 3,
    pictureCorner: 0,
    fieldCorner: 0,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('black'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-burst'),
        w.nav([
          ['Who plays', 'page:home'],
          ['When', 'page:when'],
          ['Tickets', 'page:tickets'],
        ]),
        w.button('Tickets', 'page:tickets'),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('black'),
      children: [
        w.p([{ text: 'See you by the river', strong: true }]),
        w.socialLinks(
          ['music', 'Listen', '#'],
          ['camera', 'Pictures', '#'],
          ['mail', 'Write', '#'],
        ),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'Who plays',
      description: 'Three days of music by the river.',
      sections: [
        {
          id: 'news',
          name: 'News',
          theme: on('sun'),
          children: [
            w.announcement([
              { text: 'Saturday is sold out.', strong: true },
              ' Friday and Sunday are not. ',
              ['Tickets', 'page:tickets'],
            ]),
          ],
        },
        {
          id: 'opening',
          name: 'Opening',
          theme: on('pink'),
          children: [
            w.h1('Three days. One river. Too loud.'),
            w.lead('19 to 21 June, on the old boatyard. Rain or shine, mostly shine.'),
            w.row([
              w.button('Get a ticket', 'page:tickets'),
              w.quiet('Who plays when', 'page:when'),
            ]),
          ],
        },
        {
          id: 'bands',
          name: 'Bands',
          theme: on('black'),
          children: [
            w.h2('On the big stage'),
            w.grid([
              w.card([w.picture('stage', '4/3'), w.h3('The Kettle Choir'), w.fine('Friday')]),
              w.card([w.picture('record', '4/3'), w.h3('Odd Sundays'), w.fine('Saturday')]),
              w.card([w.picture('keys', '4/3'), w.h3('Runa & the Tides'), w.fine('Sunday')]),
            ]),
          ],
        },
        {
          id: 'numbers',
          name: 'Numbers',
          theme: on('sun'),
          children: [
            w.numbers(['31', 'bands'], ['3', 'stages, one afloat'], ['0', 'plastic cups']),
          ],
        },
        {
          id: 'picture',
          name: 'Last year',
          theme: on('blue'),
          layout: 'split',
          children: [
            w.picture('confetti', '4/3'),
            w.column([
              w.h2('Last year it snowed paper'),
              w.p('We swept for two days. We are doing it again.'),
            ]),
          ],
        },
      ],
    },
    {
      id: 'when',
      title: 'When',
      description: 'Who plays when, on which stage.',
      sections: [
        { id: 'opening', name: 'Opening', theme: on('blue'), children: [w.h1('Who plays when')] },
        {
          id: 'friday',
          name: 'Friday',
          theme: on('cream'),
          children: [
            w.h2('Friday'),
            w.timetable(
              ['18:00', 'Doors, and a brass band', 'yard'],
              ['19:30', 'Paper Lions', 'boat'],
              ['21:00', 'The Kettle Choir', 'big stage'],
            ),
          ],
        },
        {
          id: 'saturday',
          name: 'Saturday',
          theme: on('pink'),
          children: [
            w.h2('Saturday'),
            w.timetable(
              ['12:00', 'Songs for small ears', 'yard'],
              ['17:00', 'Lanternfish', 'boat'],
              ['21:30', 'Odd Sundays', 'big stage'],
            ),
          ],
        },
      ],
    },
    {
      id: 'tickets',
      title: 'Tickets',
      description: 'What tickets cost and where to get them.',
      sections: [
        {
          id: 'prices',
          name: 'Prices',
          theme: on('sun'),
          children: [
            w.h1('Tickets'),
            w.prices(
              ['Day', 'Until 1 May', 'After'],
              ['Friday', '32.–', '38.–'],
              ['Saturday', 'sold out', 'sold out'],
              ['Sunday', '28.–', '34.–'],
            ),
            w.button('Buy one', '#'),
          ],
        },
        {
          id: 'questions',
          name: 'Questions',
          theme: on('plum'),
          children: [
            w.h2('You ask, we shout back'),
            w.questions(
              ['Can I bring a tent?', 'Behind the willows, 8.– a night.'],
              ['And my dog?', 'Your dog has better ears than you. Leave it at home.'],
            ),
          ],
        },
      ],
    },
  ],
}
