import type { AddOnKind } from './add-on'

export const announcementBar: AddOnKind = {
  label: 'Announcement bar',
  told: 'One line above the header of every page.',
  colors: {
    'bar.background': { label: 'Bar', paints: 'fill', initial: '#23262d' },
    'bar.text': { label: 'Words', paints: 'text', initial: '#ffffff', on: 'bar.background' },
    'bar.link': { label: 'Link', paints: 'text', initial: '#aebcff', on: 'bar.background' },
  },
  texts: {
    words: { label: 'Words', initial: 'Free postage until Sunday.' },
    link: { label: 'Link', initial: 'See what is new' },
  },
  css: `
.add-on-announcement-bar { grid-area: 1 / 1; padding: 9px 24px; background: var(--bar-background); color: var(--bar-text); font: 15px/1.4 system-ui, sans-serif; text-align: center; }
.add-on-announcement-bar span { color: var(--bar-link); text-decoration: underline; }
.add-on-announcement-bar ~ .header.over { grid-area: 2 / 1; }
.add-on-announcement-bar ~ .header.over + main > .section:first-child { grid-area: 2 / 1 / span 2 / 1; }`,
  spots: { above: (write) => `${write('words')} <span>${write('link')}</span>` },
  pages: {},
}
