import {
  button,
  card,
  column,
  divider,
  embed,
  fine,
  form,
  grid,
  h1,
  h2,
  h3,
  icons,
  lead,
  mark,
  p,
  page,
  picture,
  prices,
  quiet,
  quote,
  row,
} from '../build'
import { checkoutSnippet } from './mess'

const workshops = page('workshops', 'Workshops', 'Dates, prices and what to bring.', [
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
          colors: { fill: { hover: { value: '#2e6fb7' } } },
        }),
      ]),
    ],
  },
])

const shop = page('shop', 'Shop', 'Notebooks, marbled sheets and tools.', [
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
            p('18.00, was 21.00', { colors: { text: { rest: { value: 'rgb(28 90 84)' } } } }),
            row([
              button('Add to basket', 'page:checkout', {
                colors: {
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

const journal = page('journal', 'Journal', 'Why wet paper curls, and other notes from the bench.', [
  {
    id: 'article-head',
    name: 'Article head',
    theme: 'on-paper',
    children: [
      fine('Notes from the bench, 18 November'),
      h1('Why wet paper curls'),
      lead('Paper has a grain, like wood. Paste it against the grain and it will tell you so.'),
    ],
  },
  {
    id: 'article',
    name: 'Article',
    theme: 'on-paper',
    layout: 'split',
    children: [
      column([
        p(
          'Hold a sheet by one edge and let it hang. Turn it a quarter and do it again. One way it droops, the other way it stands: the fibres lie along the stiffer way, because that is how they settled on the wire.',
        ),
        p([
          'When paste wets a sheet, the fibres swell in width and hardly at all in length. So the sheet grows across the grain, and curls away from the wet side. Nothing is wrong; it is only ',
          ['doing what wood does', 'page:about'],
          '.',
        ]),
        h3('What to do about it'),
        p(
          'Run the grain along the spine, always. Damp the other side a little before pasting. Then weight it and leave it alone until tomorrow.',
        ),
      ]),
      column([
        picture('pebble-paper', '4/3', 'A sheet from Tuesday’s bath, grain upright.'),
        quote('Paper remembers the wire it was made on.', 'Said at the bench, often', {
          colors: { line: { rest: { value: 'hsl(174 53% 23%)' } } },
        }),
      ]),
    ],
  },
  {
    id: 'more-notes',
    name: 'More notes',
    theme: 'on-mist',
    children: [
      h2('More notes'),
      grid([
        card([h3('Wheat starch, step by step'), fine('4 minutes'), p([['Read it', '#']])]),
        card([h3('A comb from a broken fork'), fine('3 minutes'), p([['Read it', '#']])]),
        card([h3('Thread, wax and the right knot'), fine('6 minutes'), p([['Read it', '#']])]),
      ]),
    ],
  },
  {
    id: 'journal-letter',
    name: 'Newsletter',
    theme: 'on-brand',
    layout: 'split',
    children: [
      column([h2('A letter, four times a year'), p('Dates, new papers and one thing to try.')]),
      form([['Your e-mail', 'name@example.org', 'email']], [button('Sign up')], true),
    ],
  },
])

const about = page('about', 'About', 'Who we are and how we work.', [
  {
    id: 'about-opening',
    name: 'Opening',
    theme: 'on-ink',
    layout: 'split',
    children: [
      column([
        h1('A small shop with a long table'),
        lead(
          'We opened in a chandler’s store with a press that took four people to carry up the steps.',
        ),
      ]),
      picture('shopfront', '5/4'),
    ],
  },
  {
    id: 'how',
    name: 'How we work',
    theme: 'on-paper',
    children: [
      h2('How we work'),
      grid([
        card([h3('Sewn, not glued'), p('A sewn book opens flat and can be mended. So we sew.')]),
        card([
          h3('Paper we know'),
          p('We visit both mills every spring and come home with blue hands.'),
        ]),
        card([
          h3('Nothing wasted'),
          p('Offcuts become labels, labels become wrapping, wrapping becomes pulp.'),
        ]),
      ]),
      divider({ colors: { line: { rest: { value: '#efe6d2' } } } }),
      quote(
        'They mended my grandmother’s cookery book, jam stains and all.',
        'A customer from the islands',
      ),
    ],
  },
  {
    id: 'visit',
    name: 'Visit',
    theme: 'on-brand',
    centered: true,
    children: [
      h2('Come up the steps'),
      p('14 Quay Steps, Skarrow Haven. There is a bench to sit on and usually a kettle on.'),
      row([button('How to find us', 'page:contact')]),
    ],
  },
])

const contact = page('contact', 'Contact', 'Find us, write to us.', [
  {
    id: 'contact-opening',
    name: 'Opening',
    theme: 'on-paper',
    layout: 'split',
    children: [
      column([
        h1('Write, ring or just walk in'),
        icons(
          ['pin', '14 Quay Steps, Skarrow Haven'],
          ['clock', 'Tuesday to Saturday, ten until six'],
          ['anchor', 'Two minutes from the ferry, up the steps on the left'],
        ),
        mark('success', 'Open today until six'),
      ]),
      card([
        h3('Send a note'),
        form(
          [
            ['Your name', 'What shall we call you?', 'text'],
            ['Your e-mail', 'name@example.org', 'email'],
            ['Your note', 'A workshop, a repair, a question about paper', 'long'],
          ],
          [button('Send it')],
        ),
      ]),
    ],
  },
  {
    id: 'contact-vouchers',
    name: 'Vouchers',
    theme: 'on-spark',
    layout: 'split',
    children: [
      column([h2('Vouchers'), p('Printed by hand, good for two years.')]),
      row([button('Order a voucher', '#')]),
    ],
  },
])

const checkout = page('checkout', 'Checkout', 'Your basket.', [
  {
    id: 'basket',
    name: 'Basket',
    theme: 'on-paper',
    layout: 'split',
    children: [
      column([
        h1('Nearly yours'),
        embed('Checkout', checkoutSnippet),
        fine('The checkout is run by an add-on.'),
      ]),
      column([
        h3('Where shall it go?'),
        form(
          [
            ['Name', 'As it should stand on the parcel', 'text'],
            ['Address', 'Street, town, postcode', 'long'],
          ],
          [
            button('Pay 27.20', undefined, {
              colors: {
                fill: { rest: { value: '#1c5a54' } },
                label: { rest: { value: '#FFFFFF' } },
              },
            }),
          ],
        ),
      ]),
    ],
  },
])

export const otherPages = [workshops, shop, journal, about, contact, checkout]
