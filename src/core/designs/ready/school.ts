import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Playful: round, bright, for children and those who bring them. */
export const school: Design = {
  id: 'small-notes',
  logo: 'mark-note',
  slots: [
    ['cloud', 'Cloud', '#f7fbff'],
    ['lilac', 'Lilac', '#dcd0f5'],
    ['lemon', 'Lemon', '#ffd84d'],
    ['coral', 'Coral', '#f0675c'],
    ['sea', 'Sea', '#1c6e8c'],
    ['navy', 'Navy', '#162447'],
  ],
  settings: siteSettings({
    headings: ['Bricolage Grotesque', 800],
    text: ['Figtree', 450],
    textSize: 18,
    contentWidth: 1080,
    sectionSpace: 92,
    sideSpace: 44,
    buttonCorner: 999,
    buttonLine: 0,
    buttonPad: { block: 15, inline: 28 },
    cardCorner: 32,
    cardLine: 0,
    pictureCorner: 32,
    fieldCorner: 18,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('cloud'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-note'),
        w.nav([
          ['Hello', 'page:home'],
          ['Courses', 'page:courses'],
          ['Teachers', 'page:teachers'],
        ]),
        w.button('Try a lesson', 'page:courses'),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('navy'),
      centered: true,
      children: [
        w.p([{ text: 'Up the blue stairs, Mill Yard 4', strong: true }]),
        w.socialLinks(['phone', 'Call', 'tel:000'], ['mail', 'Write', 'mailto:hello@example.org']),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'Hello',
      description: 'A music school for children from three to thirteen.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('lilac'),
          layout: 'split',
          children: [
            w.column([
              w.h1(['First ', { text: 'loud', words: 'markerA' }, ', then well']),
              w.lead('From three years on: drums, keys, strings and a great deal of singing.'),
              w.button('Try a lesson', 'page:courses'),
            ]),
            w.picture('bird', '1/1'),
          ],
        },
        {
          id: 'what',
          name: 'What there is',
          theme: on('cloud'),
          children: [
            w.h2('What may it be?'),
            w.grid([
              w.card([w.picture('keys', '4/3'), w.h3('Keys'), w.p('From six, alone or in twos.')]),
              w.card([
                w.picture('record', '4/3'),
                w.h3('Listening'),
                w.p('From three, with somebody’s lap.'),
              ]),
              w.card([
                w.picture('cat', '4/3'),
                w.h3('Singing'),
                w.p('All ages, Thursdays, very loud.'),
              ]),
            ]),
          ],
        },
        {
          id: 'words',
          name: 'Kind words',
          theme: on('lemon'),
          centered: true,
          children: [w.quote('I can play the one with the cat now.', 'Mila, five')],
        },
        {
          id: 'call',
          name: 'Try it',
          theme: on('coral'),
          centered: true,
          children: [
            w.h2('The first time is free'),
            w.p('Bring socks. Instruments are here.'),
            w.button('Choose a day', 'page:courses'),
          ],
        },
      ],
    },
    {
      id: 'courses',
      title: 'Courses',
      description: 'Days, ages and prices of all courses.',
      sections: [
        {
          id: 'days',
          name: 'Days',
          theme: on('cloud'),
          children: [
            w.h1('When we play'),
            w.timetable(
              ['Monday 15:00', 'Keys for two, from six', '3 places'],
              ['Tuesday 10:00', 'Laps and rattles, from one', '5 places'],
              ['Thursday 16:00', 'Singing, all ages', 'always one more'],
            ),
            w.mark('warning', 'Drums are full until autumn'),
          ],
        },
        {
          id: 'ask',
          name: 'Ask',
          theme: on('lilac'),
          layout: 'split',
          children: [
            w.column([w.h2('Come and try'), w.p('We write back with a day.')]),
            w.form(
              [
                ['Name of the child', 'Mila', 'text'],
                ['Age', '5', 'text'],
                ['Mail', 'you@example.org', 'email'],
              ],
              [w.button('Send')],
            ),
          ],
        },
        {
          id: 'questions',
          name: 'Questions',
          theme: on('cloud'),
          children: [
            w.questions(
              ['Do we need an instrument?', 'Not for the first half year. We lend.'],
              ['What if my child only listens?', 'That is half of music.'],
            ),
          ],
        },
      ],
    },
    {
      id: 'teachers',
      title: 'Teachers',
      description: 'Who teaches here.',
      sections: [
        {
          id: 'people',
          name: 'People',
          theme: on('lemon'),
          children: [
            w.h1('Who plays with you'),
            w.h2('Three of us'),
            w.grid([
              w.card([
                w.picture('portrait-one', '1/1'),
                w.h3('Maren'),
                w.fine('keys, and whistling'),
              ]),
              w.card([w.picture('portrait-two', '1/1'), w.h3('Odo'), w.fine('drums, quietly')]),
              w.card([
                w.picture('portrait-three', '1/1'),
                w.h3('Tove'),
                w.fine('strings and stories'),
              ]),
            ]),
          ],
        },
      ],
    },
  ],
}
