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
  quote,
  row,
} from '@/core/designs/write'
import { checkoutSnippet } from './mess'

export const journal = page(
  'journal',
  'Journal',
  'Why wet paper curls, and other notes from the bench.',
  [
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
            looks: { line: { rest: { value: 'hsl(174 53% 23%)' } } },
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
  ],
)

export const about = page('about', 'About', 'Who we are and how we work.', [
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
      divider({ looks: { line: { rest: { value: '#efe6d2' } } } }),
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

export const contact = page('contact', 'Contact', 'Find us, write to us.', [
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

export const checkout = page('checkout', 'Checkout', 'Your basket.', [
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
              looks: {
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
