import * as w from '../write'
import type { ReadySection } from './ready-section'

const person = (asset: string, name: string, words: string) =>
  w.card([w.picture(asset, '1/1'), w.h3(name), w.fine(words)])

export const people: readonly ReadySection[] = [
  {
    id: 'people',
    name: 'People',
    group: 'People',
    draft: (picture) => [
      w.h2('Who you will meet'),
      w.grid([
        person(picture(0), 'Maren', 'answers the phone, and knows everything'),
        person(picture(1), 'Tove', 'at the bench since the first day'),
        person(picture(2), 'Jory', 'learning, and asking the right questions'),
      ]),
    ],
  },
  {
    id: 'one-person',
    name: 'One person',
    group: 'People',
    layout: 'split',
    draft: (picture) => [
      w.picture(picture(0), '3/4'),
      w.column([
        w.h2('I am the one who does it'),
        w.p('Whoever works alone says “I”. It is shorter, and people like it.'),
        w.socialLinks(['mail', 'Write', '#'], ['phone', 'Call', '#'], ['camera', 'Pictures', '#']),
      ]),
    ],
  },
  {
    id: 'join-us',
    name: 'Work with us',
    group: 'People',
    draft: () => [
      w.h2('We could do with one more'),
      w.p('Three days a week, from autumn. Say in a few lines who you are.'),
      w.row([w.button('Write to us', '#'), w.quiet('What it is like', '#')]),
    ],
  },
]
