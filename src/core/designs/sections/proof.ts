import * as w from '../write'
import type { ReadySection } from './ready-section'

export const proof: readonly ReadySection[] = [
  {
    id: 'quote',
    name: 'A quote',
    group: 'Proof',
    centered: true,
    draft: () => [
      w.quote('They said Thursday, and it was Thursday.', 'Ida, from round the corner'),
    ],
  },
  {
    id: 'quotes',
    name: 'Three quotes',
    group: 'Proof',
    draft: () => [
      w.h2('What people say'),
      w.grid([
        w.quote('It works again, and looks as if it never had not.', 'Odo'),
        w.quote('I only came to ask. I left with a plan.', 'Runa'),
        w.quote('The kindest bill I ever paid.', 'Perrin'),
      ]),
    ],
  },
  {
    id: 'numbers',
    name: 'Numbers',
    group: 'Proof',
    draft: () => [
      w.numbers(
        ['14', 'years in this street'],
        ['2,300', 'things mended'],
        ['3', 'of us, and a dog'],
      ),
    ],
  },
  {
    id: 'logo-strip',
    name: 'Strip of names',
    group: 'Proof',
    draft: () => [
      w.fine('We work for'),
      w.logoStrip('Harbour Guild', 'Oakley & Daughters', 'The Third Bakery', 'Lantern House'),
    ],
  },
  {
    id: 'promise',
    name: 'A promise',
    group: 'Proof',
    layout: 'split',
    draft: () => [
      w.h2('If it does not hold, it comes back'),
      w.column([
        w.p('Within a year we do it again, and ask nothing.'),
        w.icons(['shield', 'In writing, on every bill']),
      ]),
    ],
  },
]
