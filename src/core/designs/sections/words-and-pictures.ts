import * as w from '../write'
import type { ReadySection } from './ready-section'

export const wordsAndPictures: readonly ReadySection[] = [
  {
    id: 'text-beside-picture',
    name: 'Text beside a picture',
    group: 'Words and pictures',
    layout: 'split',
    draft: (picture) => [
      w.column([
        w.h2('How it began'),
        w.p('Tell it as you would across the counter: where you learned it, and why here.'),
        w.p(['There is more ', ['on a page of its own', '#'], '.']),
      ]),
      w.picture(picture(0), '4/3'),
    ],
  },
  {
    id: 'picture-beside-text',
    name: 'Picture beside text',
    group: 'Words and pictures',
    layout: 'split',
    draft: (picture) => [
      w.picture(picture(1), '4/3'),
      w.column([
        w.h2('What goes into it'),
        w.p('Name the things by their names. People like to know what they hold in their hands.'),
        w.quiet('Read on', '#'),
      ]),
    ],
  },
  {
    id: 'text-alone',
    name: 'Text alone',
    group: 'Words and pictures',
    draft: () => [
      w.h2('In our own words'),
      w.p(
        'A longer text wants a narrow column and short paragraphs. Begin with what matters most; whoever reads on will read on.',
      ),
      w.p(['Links stand ', ['where they help', '#'], ', not at the end of every line.']),
    ],
  },
  {
    id: 'two-texts',
    name: 'Two texts side by side',
    group: 'Words and pictures',
    layout: 'columns',
    draft: () => [
      w.column([w.h3('What we do'), w.p('Everything from the first drawing to the last screw.')]),
      w.column([
        w.h3('What we leave'),
        w.p('What others do better. We know them and send you there.'),
      ]),
    ],
  },
  {
    id: 'gallery',
    name: 'Gallery',
    group: 'Words and pictures',
    draft: (picture) => [
      w.h2('A few to look at'),
      w.gallery(
        3,
        [0, 1, 2, 3, 4, 5].map((n) => [picture(n), `Number ${n + 1}`] as const),
      ),
    ],
  },
  {
    id: 'two-pictures',
    name: 'Two pictures',
    group: 'Words and pictures',
    draft: (picture) => [
      w.grid([w.picture(picture(2), '1/1', 'Before'), w.picture(picture(3), '1/1', 'After')]),
    ],
  },
  {
    id: 'side-navigation',
    name: 'Text with side navigation',
    group: 'Words and pictures',
    layout: 'split',
    draft: () => [
      w.column([
        w.h2('A part of something longer'),
        w.p(
          'For manuals, courses and price lists that fill several pages: the way through stands beside the words.',
        ),
      ]),
      w.sideNavigation('In this part', [
        ['Where to begin', '#'],
        ['What it takes', '#'],
        ['When it goes wrong', '#'],
      ]),
    ],
  },
  {
    id: 'article-list',
    name: 'List of articles',
    group: 'Words and pictures',
    draft: () => [
      w.h2('Lately'),
      w.articleList(
        ['What we learned this winter', 'Three mistakes, and what came of them.', 'February', '#'],
        ['A visit to the mill', 'Where the material comes from, and who makes it.', 'January', '#'],
        ['Ten years', 'A short look back, with cake.', 'December', '#'],
      ),
    ],
  },
]
