import {
  button,
  card,
  column,
  divider,
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
  quiet,
  quote,
  row,
} from '@/core/designs/write'

export const home = page(
  'home',
  'Home',
  'Sewn notebooks, marbled papers and weekend workshops by the harbour.',
  [
    {
      id: 'opening',
      name: 'Opening',
      theme: 'on-paper',
      layout: 'split',
      children: [
        column([
          h1('Books bound by hand, beside the harbour'),
          lead(
            'Sewn notebooks, marbled papers and weekend workshops for people who like to make things that last.',
          ),
          row([button('Book a workshop', 'page:workshops'), quiet('See the papers', 'page:shop')]),
        ]),
        picture('harbour-paper', '5/4'),
      ],
    },
    {
      id: 'this-month',
      name: 'This month',
      theme: 'on-mist',
      children: [
        h2('This month at the bench'),
        grid([
          card([
            h3('Coptic sewing'),
            p('Two notebooks with an open spine, sewn on the fold.'),
            mark('success', '6 places, Saturday 5 December'),
            p([['Reserve', 'page:workshops']]),
          ]),
          card([
            h3('Marbling for two'),
            p('A bath, six inks and a comb each; take ten sheets home.'),
            mark('warning', '2 places, Sunday 13 December'),
            p([['Reserve', 'page:workshops']], {
              looks: { link: { rest: { value: '#205c58' } } },
            }),
          ]),
          card([
            h3('Mend a paperback'),
            p('Bring one that fell apart. It goes home whole.'),
            mark('danger', 'Full, Thursday 17 December'),
            p([['Join the waiting list', 'page:contact']]),
          ]),
        ]),
      ],
    },
    {
      id: 'bench',
      name: 'The bench',
      theme: 'on-brand',
      layout: 'split',
      children: [
        picture('shopfront', '4/3', 'Quay Steps on a December afternoon.'),
        column([
          h2('One bench, three windows, no hurry'),
          p(
            'We sew on linen thread, paste with wheat starch and press overnight. You can watch, and on Thursdays you can join in.',
          ),
          icons(
            ['needle', 'Every spine is sewn, none is glued'],
            ['leaf', 'Cotton and hemp papers from two mills nearby'],
            ['clock', 'Repairs ready in ten days, most of them sooner'],
          ),
          row([quiet('How we work', 'page:about')]),
        ]),
      ],
    },
    {
      id: 'from-the-shop',
      name: 'From the shop',
      theme: 'on-paper',
      children: [
        row([h2('From the shop')]),
        grid([
          card(
            [
              picture('notebook-harbour', '4/3'),
              h3('Harbour, ruled'),
              fine('A5, 160 pages, sewn'),
              p('24.00'),
            ],
            { looks: { line: { rest: { value: '#1C5A54' } } } },
          ),
          card([
            picture('notebook-pebble', '4/3'),
            h3('Pebble, plain'),
            fine('A5, 160 pages, sewn'),
            p('24.00'),
          ]),
          card(
            [
              picture('notebook-kelp', '4/3'),
              h3('Kelp, dotted'),
              fine('A6, 128 pages, sewn'),
              p('18.00, was 21.00'),
            ],
            { style: 'sale' },
          ),
        ]),
        row([button('All notebooks', 'page:shop', { style: 'booking' })]),
      ],
    },
    {
      id: 'words',
      name: 'Kind words',
      theme: 'on-mist',
      layout: 'split',
      children: [
        quote(
          'I came for an afternoon and left with a sewn book, inky hands and a second booking.',
          'A guest of the October weekend',
        ),
        column([
          h3('From the journal'),
          p([
            'Why wet paper curls, and what to do about it. ',
            ['Read the article', 'page:journal'],
          ]),
          divider(),
          fine([
            'New articles come out when the paste is drying. ',
            ['All articles', 'page:journal'],
          ]),
        ]),
      ],
    },
    {
      id: 'join',
      name: 'Join a workshop',
      theme: 'on-spark',
      centered: true,
      children: [
        h2('Seats are few, the kettle is on'),
        p('Six people at most, tools and materials included.'),
        row([button('See all dates', 'page:workshops'), quiet('Give a voucher', 'page:contact')]),
      ],
    },
    {
      id: 'newsletter',
      name: 'Newsletter',
      theme: 'on-ink',
      layout: 'split',
      looks: {
        fill: {
          rest: {
            gradient: 'linear',
            angle: 90,
            stops: [
              { at: 0, color: { slot: 'ink' } },
              { at: 100, color: { slot: 'brand', shade: { lightness: -14 } } },
            ],
          },
        },
      },
      children: [
        column([
          h2('A letter, four times a year'),
          p('Dates, new papers and one thing to try at the kitchen table.'),
        ]),
        form([['Your e-mail', 'name@example.org', 'email']], [button('Sign up')], true),
      ],
    },
  ],
)
