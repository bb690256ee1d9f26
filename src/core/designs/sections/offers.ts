import * as w from '../write'
import type { ReadySection } from './ready-section'

const good = (asset: string, name: string, price: string) =>
  w.card([w.picture(asset, '4/3'), w.h3(name), w.fine(price), w.quiet('Put it by', '#')])

export const offers: readonly ReadySection[] = [
  {
    id: 'cards',
    name: 'Three cards',
    group: 'Offers',
    draft: () => [
      w.h2('Three ways to begin'),
      w.grid([
        w.card([w.h3('A first look'), w.p('Half an hour, free of charge.'), w.quiet('Ask', '#')]),
        w.card([
          w.h3('A whole day'),
          w.p('All that can be done from nine to five.'),
          w.quiet('Ask', '#'),
        ]),
        w.card([
          w.h3('All the year'),
          w.p('We come by every month and look after it.'),
          w.quiet('Ask', '#'),
        ]),
      ]),
    ],
  },
  {
    id: 'goods',
    name: 'Goods',
    group: 'Offers',
    draft: (picture) => [
      w.h2('On the shelf'),
      w.grid([
        good(picture(0), 'The small one', '18.–'),
        good(picture(1), 'The usual one', '32.–'),
        good(picture(2), 'The one to keep', '54.–'),
      ]),
    ],
  },
  {
    id: 'prices',
    name: 'Price list',
    group: 'Offers',
    draft: () => [
      w.h2('What it costs'),
      w.prices(
        ['What', 'How long', 'Price'],
        ['Looking at it', '20 minutes', '0.–'],
        ['The small service', '1 hour', '45.–'],
        ['The large service', 'a day', '140.–'],
      ),
      w.fine('All prices with tax. What goes beyond is told before it is done.'),
    ],
  },
  {
    id: 'plans',
    name: 'Two plans',
    group: 'Offers',
    draft: () => [
      w.h2('Choose how often'),
      w.grid([
        w.card([
          w.h3('Now and then'),
          w.p([{ text: '25.– each time', strong: true }]),
          w.icons(['tick', 'Come when you like'], ['tick', 'Pay each time']),
          w.quiet('Take this', '#'),
        ]),
        w.card([
          w.h3('Every week'),
          w.p([{ text: '80.– a month', strong: true }]),
          w.icons(
            ['tick', 'A place kept for you'],
            ['tick', 'Four times'],
            ['tick', 'Leave any month'],
          ),
          w.button('Take this', '#'),
        ]),
      ]),
    ],
  },
  {
    id: 'what-is-in-it',
    name: 'What is in it',
    group: 'Offers',
    layout: 'split',
    draft: () => [
      w.column([
        w.h2('All in it'),
        w.p('A short list reads better than a long sentence.'),
        w.button('Ask for it', '#'),
      ]),
      w.icons(
        ['clock', 'Ready in two days'],
        ['shield', 'A year’s guarantee'],
        ['parcel', 'Brought to your door'],
        ['leaf', 'Nothing thrown away'],
      ),
    ],
  },
  {
    id: 'steps',
    name: 'Steps',
    group: 'Offers',
    draft: () => [
      w.h2('How it goes'),
      w.steps(
        ['You write', 'A few lines and perhaps a picture.'],
        ['We look at it', 'And say what it takes and what it costs.'],
        ['It is done', 'You come by, or we bring it.'],
      ),
    ],
  },
]
