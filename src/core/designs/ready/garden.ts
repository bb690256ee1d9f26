import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

const good = (asset: string, name: string, price: string) =>
  w.card([w.picture(asset, '1/1'), w.h3(name), w.fine(price), w.button('Into the box', '#')])

/** A shop full of things, friendly and close together. */
export const garden: Design = {
  id: 'green-crate',
  logo: 'mark-sprout',
  slots: [
    ['flour', 'Flour', '#fbfbea'],
    ['pea', 'Pea', '#d6e8a8'],
    ['carrot', 'Carrot', '#ef7d31'],
    ['beet', 'Beet', '#94255b'],
    ['kale', 'Kale', '#2f6b3a'],
    ['soil', 'Soil', '#2b1f17'],
  ],
  settings: siteSettings({
    headings: ['Bricolage Grotesque', 750],
    text: ['Figtree', 400],
    textSize: 17,
    contentWidth: 1160,
    sectionSpace: 72,
    sideSpace: 40,
    buttonCorner: 12,
    buttonLine: 0,
    buttonPad: { block: 12, inline: 20 },
    cardCorner: 18,
    cardLine: 0,
    pictureCorner: 14,
    fieldCorner: 12,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('pea'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-sprout'),
        w.searchField('Search the shop', 'Carrots, eggs …', 'Find'),
        w.nav([
          ['Shop', 'page:home'],
          ['The box', 'page:box'],
          ['The field', 'page:field'],
        ]),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('kale'),
      layout: 'split',
      children: [
        w.column([
          w.p([{ text: 'What is ripe, on Mondays', strong: true }]),
          w.fine('One letter a week, short.'),
        ]),
        w.form([['Mail', 'you@example.org', 'email']], [w.button('Send it')], true),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'Shop',
      description: 'Vegetables, fruit and eggs from our own field.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('flour'),
          layout: 'split',
          children: [
            w.column([
              w.mark('success', 'New: early peas'),
              w.h1('Picked at six, at yours by noon'),
              w.lead('Choose what you like, or let the field choose.'),
              w.row([w.button('Fill a box', '#'), w.quiet('The weekly box', 'page:box')]),
            ]),
            w.picture('harvest', '4/3'),
          ],
        },
        {
          id: 'goods',
          name: 'Goods',
          theme: on('flour'),
          children: [
            w.h2('Ripe today'),
            w.grid([
              good('leaf', 'Chard, a bunch', '2.80'),
              good('citrus', 'Pumpkin halves', '3.40'),
              good('harvest', 'Mixed roots, 1 kg', '3.10'),
              good('flowers', 'A bunch of flowers', '6.50'),
              good('bread', 'Bread from next door', '4.90'),
              good('field', 'Potatoes, 2 kg', '4.20'),
            ]),
          ],
        },
        {
          id: 'box',
          name: 'The box',
          theme: on('carrot'),
          layout: 'bar',
          children: [w.h2('Or let the field choose'), w.button('The weekly box', 'page:box')],
        },
        {
          id: 'words',
          name: 'Kind words',
          theme: on('pea'),
          children: [
            w.grid([
              w.quote('My children eat kohlrabi. I do not know what you do.', 'Runa'),
              w.quote('It tastes of something.', 'Odo'),
            ]),
          ],
        },
      ],
    },
    {
      id: 'box',
      title: 'The box',
      description: 'A weekly box: how it works and what it costs.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('beet'),
          children: [
            w.h1('A box every week'),
            w.lead('What is in it, nature decides. What is not in it, you do.'),
          ],
        },
        {
          id: 'sizes',
          name: 'Sizes',
          theme: on('flour'),
          children: [
            w.h2('Two sizes'),
            w.grid([
              w.card([
                w.h3('For two'),
                w.p([{ text: '16.– a week', strong: true }]),
                w.icons(['leaf', 'six kinds'], ['tick', 'stop any week']),
                w.quiet('This one', '#'),
              ]),
              w.card([
                w.h3('For four'),
                w.p([{ text: '26.– a week', strong: true }]),
                w.icons(
                  ['leaf', 'nine kinds'],
                  ['tick', 'eggs with it'],
                  ['tick', 'stop any week'],
                ),
                w.button('This one', '#'),
              ]),
            ]),
          ],
        },
        {
          id: 'how',
          name: 'How it goes',
          theme: on('pea'),
          children: [
            w.steps(
              ['Say what you never eat', 'We remember it.'],
              ['Find it by the door', 'Thursdays before noon.'],
              ['Put the crate back', 'We fetch it next week.'],
            ),
          ],
        },
      ],
    },
    {
      id: 'field',
      title: 'The field',
      description: 'Where it all grows.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('kale'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Four hectares on the river'),
              w.p('Come and look on the first Saturday of the month. Boots on, please.'),
            ]),
            w.picture('field', '4/3'),
          ],
        },
        {
          id: 'numbers',
          name: 'Numbers',
          theme: on('flour'),
          children: [w.numbers(['62', 'kinds in a year'], ['7', 'of us'], ['0', 'times sprayed'])],
        },
      ],
    },
  ],
}
