import {
  button,
  card,
  column,
  fine,
  grid,
  h1,
  h2,
  h3,
  icons,
  lead,
  p,
  page,
  picture,
  prices,
  quiet,
  row,
} from '@/core/designs/write'

export const workshops = page('workshops', 'Workshops', 'Dates, prices and what to bring.', [
  {
    id: 'workshops-opening',
    name: 'Opening',
    theme: 'on-brand',
    children: [
      h1('Make a book this weekend'),
      lead('Six seats, one long table. No skill needed, only patience and short sleeves.'),
    ],
  },
  {
    id: 'dates',
    name: 'Dates and prices',
    theme: 'on-paper',
    children: [
      h2('Dates and prices'),
      prices(
        ['Workshop', 'When', 'Places', 'Price'],
        ['Coptic sewing', 'Sat 5 Dec, 10 to 16', '6 of 6', '95.00'],
        ['Marbling for two', 'Sun 13 Dec, 13 to 17', '2 of 6', '140.00'],
        ['Mend a paperback', 'Thu 17 Dec, 18 to 21', 'full', '45.00'],
        ['Long-stitch journal', 'Sat 9 Jan, 10 to 16', '5 of 6', '95.00'],
      ),
      row([
        button('Reserve a seat', 'page:contact', { style: 'booking' }),
        quiet('Give a voucher', 'page:contact'),
      ]),
    ],
  },
  {
    id: 'bring',
    name: 'What to bring',
    theme: 'on-mist',
    layout: 'split',
    children: [
      column([
        h2('What to bring'),
        icons(
          ['sun', 'Your reading glasses: the holes are small'],
          ['book', 'For mending: the patient, with all its pages'],
          ['people', 'Somebody to talk to, or nobody at all'],
        ),
      ]),
      card(
        [
          h3('Groups and teams'),
          p('We close the shop for parties of five or six. Bring the cake.'),
          fine([['Write to us', 'page:contact'], ' at least three weeks ahead.']),
        ],
        { style: 'ticket' },
      ),
    ],
  },
  {
    id: 'workshops-join',
    name: 'Waiting list',
    theme: 'on-spark',
    centered: true,
    children: [
      h2('Nothing free that suits?'),
      row([
        button('Join the waiting list', 'page:contact', {
          looks: { fill: { hover: { value: '#2e6fb7' } } },
        }),
      ]),
    ],
  },
])

export const shop = page('shop', 'Shop', 'Notebooks, marbled sheets and tools.', [
  {
    id: 'shop-opening',
    name: 'Opening',
    theme: 'on-mist',
    layout: 'split',
    children: [
      column([
        h1('Paper that wants to be used'),
        lead('Every sheet is marbled here; no two are alike, so what you see is what you get.'),
        fine(['Free postage from 60.00. ', ['Sizes and papers', 'page:journal']]),
      ]),
      picture('pebble-paper', '5/4'),
    ],
  },
  {
    id: 'notebooks',
    name: 'Notebooks',
    theme: 'on-paper',
    children: [
      h2('Notebooks'),
      grid([
        card([
          picture('notebook-harbour', '4/3'),
          h3('Harbour, ruled'),
          fine('A5, 160 pages'),
          p('24.00'),
          row([button('Add to basket', 'page:checkout')]),
        ]),
        card([
          picture('notebook-pebble', '4/3'),
          h3('Pebble, plain'),
          fine('A5, 160 pages'),
          p('24.00'),
          row([button('Add to basket', 'page:checkout')]),
        ]),
        card(
          [
            picture('notebook-kelp', '4/3'),
            h3('Kelp, dotted'),
            fine('A6, 128 pages'),
            p('18.00, was 21.00', { looks: { text: { rest: { value: 'rgb(28 90 84)' } } } }),
            row([
              button('Add to basket', 'page:checkout', {
                looks: {
                  fill: { rest: { value: '#205C58' }, hover: { value: '#2E6FB7' } },
                  label: { rest: { value: 'white' }, hover: { value: '#fff' } },
                },
              }),
            ]),
          ],
          { style: 'sale' },
        ),
      ]),
    ],
  },
  {
    id: 'sheets',
    name: 'Sheets and tools',
    theme: 'on-ink',
    layout: 'split',
    children: [
      column([
        h2('Sheets and tools'),
        p('Single sheets, 50 by 70, rolled in a tube that you can use again.'),
        row([button('Ask for a swatch card', 'page:contact')]),
      ]),
      prices(
        ['Thing', 'Price'],
        ['Marbled sheet, cotton', '14.00'],
        ['Bone folder', '9.50'],
        ['Waxed linen thread, 25 m', '6.00'],
        ['Wheat starch paste, 200 g', '7.00'],
      ),
    ],
  },
  {
    id: 'postage',
    name: 'Postage',
    theme: 'on-mist',
    children: [
      icons(
        ['parcel', 'Posted within two days, in a box made to be used again'],
        ['leaf', 'Wrapped in offcuts, never in plastic'],
        ['tick', 'Send it back within thirty days if it is not what you hoped'],
      ),
    ],
  },
])
