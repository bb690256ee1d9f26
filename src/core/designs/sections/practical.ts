import * as w from '../write'
import type { ReadySection } from './ready-section'

export const practical: readonly ReadySection[] = [
  {
    id: 'timetable',
    name: 'Opening hours',
    group: 'Practical',
    layout: 'split',
    draft: () => [
      w.column([w.h2('When we are here'), w.p('Ring the bell if the door is shut.')]),
      w.timetable(
        ['Tuesday to Friday', '9 to 18', ''],
        ['Saturday', '10 to 14', ''],
        ['Sunday, Monday', 'closed', 'we rest'],
      ),
    ],
  },
  {
    id: 'dates',
    name: 'Dates',
    group: 'Practical',
    draft: () => [
      w.h2('Coming up'),
      w.timetable(
        ['Sat 6 March', 'For beginners', '4 places'],
        ['Sat 20 March', 'For beginners', 'full'],
        ['Sun 4 April', 'A whole day', '7 places'],
      ),
      w.button('Take a place', '#'),
    ],
  },
  {
    id: 'questions',
    name: 'Questions',
    group: 'Practical',
    draft: () => [
      w.h2('Often asked'),
      w.questions(
        ['How soon can it be done?', 'Most things within a week. If it is urgent, say so.'],
        ['Do I need an appointment?', 'No. Mornings are the quietest.'],
        ['How can I pay?', 'By card, in cash, or on a bill within thirty days.'],
      ),
    ],
  },
  {
    id: 'contact',
    name: 'Contact with a map',
    group: 'Practical',
    layout: 'split',
    draft: () => [
      w.column([
        w.h2('Come by, or write'),
        w.form(
          [
            ['Your name', 'Ida Lind', 'text'],
            ['Mail', 'ida@example.org', 'email'],
            ['What it is about', 'A few words', 'long'],
          ],
          [w.button('Send')],
        ),
      ]),
      w.mapStandIn('Here we are', '7 Chandler’s Row, by the old crane'),
    ],
  },
  {
    id: 'find-us',
    name: 'How to find us',
    group: 'Practical',
    layout: 'columns',
    draft: () => [
      w.column([w.h3('By bus'), w.p('Line 4 to the crane, then two minutes on foot.')]),
      w.column([w.h3('By car'), w.p('Behind the house, enter from Mill Lane.')]),
      w.column([w.h3('By bicycle'), w.p('Stands by the door, a pump in the yard.')]),
    ],
  },
]
