import type { ExchangeOf } from '@/core/exchange'

interface SortWords {
  /** What is done, as a heading. */
  readonly heading: string
  /** How, in a sentence or two. */
  readonly told: string
  /** What is listed on the left. */
  readonly list: string
  /** What stands there where the site has none. */
  readonly none: string
}

/** What each sort of exchange is called. */
export const sortWords: Readonly<Record<ExchangeOf, SortWords>> = {
  words: {
    heading: 'Replace words on the whole site',
    told: 'Type what is written now and what is to stand there. Headings, running text, buttons, forms, captions, titles and the words of snippets are looked through; markup, addresses and code are not.',
    list: '',
    none: '',
  },
  font: {
    heading: 'Replace a typeface on the whole site',
    told: 'Choose one on the left. It is exchanged in the settings of the site, in custom CSS and in snippets. Then all pages are looked at for words that no longer fit.',
    list: 'Typefaces in use',
    none: 'No typeface is like that.',
  },
  picture: {
    heading: 'Show another picture in place of one',
    told: 'Choose one on the left. It is exchanged wherever it is shown: on pages, as a ground, as the icon of the site, in custom CSS. The picture itself stays with the site.',
    list: 'Pictures in use',
    none: 'No picture that is shown is like that.',
  },
  link: {
    heading: 'Have links lead somewhere else',
    told: 'Choose where they lead now on the left: a page, an address, or nowhere yet.',
    list: 'Where links lead',
    none: 'No link leads to anything like that.',
  },
  address: {
    heading: 'Replace an address on the whole site',
    told: 'Mail, telephone or web: wherever it is written, in links and in words. Choose one on the left, or type one. What lies below a web address goes along.',
    list: 'Addresses in links and words',
    none: 'No address is like that.',
  },
}
