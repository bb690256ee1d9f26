import * as w from '../write'
import type { Design } from './design'
import { siteSettings } from '../site-settings'

/** Sober: serif, tables, blue-black, nothing that asks for attention. */
export const counsel: Design = {
  id: 'good-order',
  logo: 'mark-ledger',
  slots: [
    ['paper', 'Paper', '#fcfbf8'],
    ['ash', 'Ash', '#e6e8ea'],
    ['brass', 'Brass', '#b5893c'],
    ['slate', 'Slate', '#5d6d7e'],
    ['harbour', 'Harbour', '#24405c'],
    ['ink', 'Ink', '#0f1a26'],
  ],
  settings: siteSettings({
    headings: ['Bitter', 600],
    text: ['Karla', 400],
    textSize: 17,
    contentWidth: 1060,
    sectionSpace: 84,
    sideSpace: 48,
    buttonCorner: 4,
    buttonLine: 1,
    buttonPad: { block: 12, inline: 22 },
    cardCorner: 6,
    cardLine: 1,
    pictureCorner: 6,
    fieldCorner: 4,
  }),
  header: (on, name) => [
    {
      id: 'header',
      name: 'Header',
      kind: 'header',
      theme: on('paper'),
      layout: 'bar',
      children: [
        w.wordmark(name, 'mark-ledger'),
        w.nav([
          ['What we do', 'page:home'],
          ['Fees', 'page:fees'],
          ['Letters', 'page:letters'],
          ['Contact', 'page:contact'],
        ]),
      ],
    },
    {
      id: 'footer',
      name: 'Footer',
      kind: 'footer',
      theme: on('ink'),
      layout: 'columns',
      children: [
        w.column([w.p([{ text: name, strong: true }]), w.fine('Quay 3, above the chandler')]),
        w.column([w.fine('Monday to Thursday 9 to 16'), w.fine('000 000')]),
        w.nav(
          [
            ['Fees', 'page:fees'],
            ['Contact', 'page:contact'],
          ],
          true,
        ),
      ],
    },
  ],
  pages: (on) => [
    {
      id: 'home',
      title: 'What we do',
      description: 'Books, taxes and advice for small businesses.',
      sections: [
        {
          id: 'opening',
          name: 'Opening',
          theme: on('harbour'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Your books, in good order'),
              w.lead('For shops, workshops and people who would rather do something else.'),
              w.row([
                w.button('Talk to us', 'page:contact'),
                w.quiet('What it costs', 'page:fees'),
              ]),
            ]),
            w.picture('ledger', '4/3'),
          ],
        },
        {
          id: 'services',
          name: 'Services',
          theme: on('paper'),
          children: [
            w.h2('What you can leave to us'),
            w.icons(
              ['book', 'The books, every month, without reminders'],
              ['calendar', 'All dates with the tax office'],
              ['people', 'Wages, for one or for twenty'],
              ['shield', 'Being there when there are questions'],
            ),
          ],
        },
        {
          id: 'numbers',
          name: 'Numbers',
          theme: on('ash'),
          children: [
            w.numbers(['140', 'businesses'], ['22', 'years on this quay'], ['0', 'missed dates']),
          ],
        },
        {
          id: 'words',
          name: 'Words',
          theme: on('paper'),
          layout: 'split',
          children: [
            w.quote(
              'The only letter from the tax office that I enjoyed reading was the last.',
              'a boat builder',
            ),
            w.picture('two', '4/3'),
          ],
        },
      ],
    },
    {
      id: 'fees',
      title: 'Fees',
      description: 'What our work costs.',
      sections: [
        {
          id: 'list',
          name: 'Fees',
          theme: on('paper'),
          children: [
            w.h1('What it costs'),
            w.prices(
              ['Work', 'Each', 'Fee'],
              ['Books, up to 50 entries', 'month', '90.–'],
              ['Books, up to 200 entries', 'month', '180.–'],
              ['Closing the year', 'year', 'from 640.–'],
              ['A question by telephone', '', 'nothing'],
            ),
            w.fine('Plus tax. We tell you before it becomes more.'),
          ],
        },
        {
          id: 'call',
          name: 'Call',
          theme: on('brass'),
          layout: 'bar',
          children: [w.h2('Not sure how much it is?'), w.button('Ask us', 'page:contact')],
        },
      ],
    },
    {
      id: 'letters',
      title: 'Letters',
      description: 'Short letters about money and dates.',
      sections: [
        {
          id: 'list',
          name: 'Letters',
          theme: on('paper'),
          children: [
            w.h1('Letters'),
            w.articleList(
              ['A box for receipts', 'Why a shoe box is better than none.', 'March', '#'],
              ['What changes in January', 'Three things, two of them good.', 'December', '#'],
              ['Your first wages', 'Before you hire somebody.', 'October', '#'],
            ),
          ],
        },
      ],
    },
    {
      id: 'contact',
      title: 'Contact',
      description: 'How to reach us.',
      sections: [
        {
          id: 'contact',
          name: 'Contact',
          theme: on('ash'),
          layout: 'split',
          children: [
            w.column([
              w.h1('Talk to us'),
              w.form(
                [
                  ['Your name', 'Ida Lind', 'text'],
                  ['Mail', 'ida@example.org', 'email'],
                  ['What it is about', 'A few words', 'long'],
                ],
                [w.button('Send')],
              ),
            ]),
            w.mapStandIn('The office', 'Quay 3, above the chandler'),
          ],
        },
      ],
    },
  ],
}
