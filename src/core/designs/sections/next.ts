import * as w from '../write'
import type { ReadySection } from './ready-section'

export const next: readonly ReadySection[] = [
  {
    id: 'call',
    name: 'Call to act',
    group: 'To do next',
    centered: true,
    draft: () => [
      w.h2('Shall we?'),
      w.p('One thing to do, and a button to do it.'),
      w.button('Make an appointment', '#'),
    ],
  },
  {
    id: 'call-beside',
    name: 'Call beside its button',
    group: 'To do next',
    layout: 'bar',
    draft: () => [w.h2('Ready when you are'), w.button('Write to us', '#')],
  },
  {
    id: 'newsletter',
    name: 'Newsletter',
    group: 'To do next',
    layout: 'split',
    draft: () => [
      w.column([w.h2('Four letters a year'), w.p('What is new, and nothing else.')]),
      w.form([['Mail', 'you@example.org', 'email']], [w.button('Send them to me')], true),
    ],
  },
  {
    id: 'elsewhere',
    name: 'Elsewhere',
    group: 'To do next',
    centered: true,
    draft: () => [
      w.h3('See more of us'),
      w.socialLinks(['camera', 'Pictures', '#'], ['talk', 'Talk', '#'], ['mail', 'Letters', '#']),
    ],
  },
  {
    id: 'note',
    name: 'A note to end',
    group: 'To do next',
    draft: () => [
      w.divider(),
      w.fine(['Something small that should not go unsaid. ', ['More about it', '#']]),
    ],
  },
]
