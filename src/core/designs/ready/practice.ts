import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Quiet: much room, one thought at a time. */
export const practice: Design = {
  id: 'still-water',
  logo: 'mark-still-water',
  slots: [
    ['linen', 'Linen', '#faf7f2'],
    ['sand', 'Sand', '#ece3d6'],
    ['reed', 'Reed', '#a9b8a6'],
    ['clay', 'Clay', '#a8604a'],
    ['moss', 'Moss', '#4d5f52'],
    ['bark', 'Bark', '#2c2a26'],
  ],
  settings: siteSettings({
    headings: ['Newsreader', 400],
    text: ['Karla', 400],
    textSize: 18,
    contentWidth: 940,
    sectionSpace: 132,
    sideSpace: 56,
    buttonCorner: 999,
    buttonLine: 1,
    buttonPad: { block: 14, inline: 28 },
    cardCorner: 24,
    cardLine: 0,
    pictureCorner: 24,
    fieldCorner: 14,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('linen'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-still-water'),
        w.nav([
          ['The practice', 'page:home'],
          ['Treatments', 'page:treatments'],
          ['Coming here', 'page:coming-here'],
        ]),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('moss'),
      centered: true,
      children: [w.p('By appointment. We answer within a day.'), w.fine(name)],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'The practice',
      description: 'A small practice for physiotherapy, with time.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('linen'),
          centered: true,
          children: [
            w.h1('An hour that is yours'),
            w.lead('Physiotherapy without a clock in the room. We begin by listening.'),
            w.button('Ask for an appointment', 'page:coming-here'),
          ],
        },
        {
          id: 'room',
          name: 'The room',
          theme: on('sand'),
          layout: 'split',
          children: [
            w.picture('chair', '4/3'),
            w.column([
              w.h2('A house at the end of the lane'),
              w.p('Two rooms, a garden, and nobody waiting outside the door.'),
            ]),
          ],
        },
        {
          id: 'words',
          name: 'Kind words',
          theme: on('linen'),
          centered: true,
          children: [
            w.quote('I had forgotten that a shoulder can simply be quiet.', 'Ida, sixty-one'),
          ],
        },
        {
          id: 'who',
          name: 'Who',
          theme: on('reed'),
          layout: 'split',
          children: [
            w.column([
              w.h2('Maren Aldis'),
              w.p('Twenty years with hands, necks and knees, eight of them here.'),
              w.quiet('What I treat', 'page:treatments'),
            ]),
            w.picture('portrait-one', '1/1'),
          ],
        },
      ],
    },
    {
      id: 'treatments',
      title: 'Treatments',
      description: 'What is treated, how long it takes and what it costs.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('linen'),
          children: [
            w.h1('What we can do'),
            w.lead('And what we leave to others, whom we will name to you.'),
          ],
        },
        {
          id: 'list',
          name: 'Treatments',
          theme: on('sand'),
          children: [
            w.timetable(
              ['First visit', 'Listening, looking, a plan', '60 minutes, 95.–'],
              ['Treatment', 'What the plan says', '45 minutes, 70.–'],
              ['In the garden', 'Exercises for two to four', '60 minutes, 25.– each'],
            ),
          ],
        },
        {
          id: 'way',
          name: 'The way',
          theme: on('linen'),
          children: [
            w.h2('How we go about it'),
            w.steps(
              ['We listen', 'What hurts, since when, and what you would like to do again.'],
              ['We try', 'Three or four times, then we look back.'],
              ['You go on', 'With a page of exercises that fits into your day.'],
            ),
          ],
        },
      ],
    },
    {
      id: 'coming-here',
      title: 'Coming here',
      description: 'How to ask for an appointment, and how to find the house.',
      sections: [
        {
          id: 'ask',
          name: 'Ask',
          theme: on('linen'),
          layout: 'split',
          children: [
            w.column([w.h1('Write to us'), w.p('A few words are enough. We call you back.')]),
            w.form(
              [
                ['Your name', 'Ida Lind', 'text'],
                ['Telephone', '000 000', 'text'],
                ['What it is about', 'A few words', 'long'],
              ],
              [w.button('Send')],
            ),
          ],
        },
        {
          id: 'house',
          name: 'The house',
          theme: on('moss'),
          layout: 'split',
          children: [
            w.mapStandIn('The house', 'Lane’s End, behind the chestnut'),
            w.column([
              w.h2('Park under the trees'),
              w.p('The bus stops at the church, four minutes on foot.'),
            ]),
          ],
        },
      ],
    },
  ],
}
