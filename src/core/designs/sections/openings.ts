import * as w from '../write'
import type { ReadySection } from './ready-section'

export const openings: readonly ReadySection[] = [
  {
    id: 'opening-beside',
    name: 'Opening beside a picture',
    group: 'Openings',
    layout: 'split',
    draft: (picture) => [
      w.column([
        w.h1('What you do, in one good line'),
        w.lead('Who it is for, and why they come back. Two sentences are plenty.'),
        w.row([w.button('Make a start', '#'), w.quiet('See how', '#')]),
      ]),
      w.picture(picture(0), '4/3'),
    ],
  },
  {
    id: 'opening-centred',
    name: 'Opening in the middle',
    group: 'Openings',
    centered: true,
    draft: () => [
      w.h1(['One thought, ', { text: 'well said', words: 'markerA' }]),
      w.lead('Let it stand alone, with room around it. The rest can wait until somebody scrolls.'),
      w.button('Come in', '#'),
    ],
  },
  {
    id: 'opening-picture-first',
    name: 'Picture first',
    group: 'Openings',
    layout: 'split',
    draft: (picture) => [
      w.picture(picture(1), '1/1'),
      w.column([
        w.fine('Since last spring'),
        w.h1('Made here, by the two of us'),
        w.p('A picture says the most when it stands first. Then the words may be few.'),
        w.button('Look around', '#'),
      ]),
    ],
  },
  {
    id: 'opening-news',
    name: 'Opening with news',
    group: 'Openings',
    draft: () => [
      w.mark('success', 'Open again from Monday'),
      w.h1('The new season is on the shelves'),
      w.lead('Say what is new in a line, and where to find it.'),
      w.row([w.button('See what is new', '#'), w.quiet('Ask us', '#')]),
    ],
  },
  {
    id: 'opening-search',
    name: 'Opening with a search',
    group: 'Openings',
    centered: true,
    draft: () => [
      w.h1('What are you looking for?'),
      w.searchField('Search', 'A name, a part, a colour …', 'Find'),
      w.fine(['Or look through ', ['everything we have', '#']]),
    ],
  },
  {
    id: 'page-title',
    name: 'Title of a page',
    group: 'Openings',
    draft: () => [
      w.h1('About this page'),
      w.lead('A line under the title that says what one finds here.'),
      w.divider(),
    ],
  },
  {
    id: 'announcement-bar',
    name: 'Announcement bar',
    group: 'Openings',
    draft: () => [w.announcement(['Closed on the first of May. ', ['When we are open', '#']])],
  },
]
