import type { AddOnKind } from './add-on'

export const chat: AddOnKind = {
  label: 'Help-desk chat',
  told: 'A button in a corner of every page, and the panel that it opens.',
  colors: {
    'launcher.background': { label: 'Button', paints: 'fill', initial: '#3f5bd9' },
    'launcher.label': {
      label: 'Words on the button',
      paints: 'text',
      initial: '#ffffff',
      on: 'launcher.background',
    },
    'panel.background': { label: 'Panel', paints: 'fill', initial: '#ffffff' },
    'panel.text': {
      label: 'Words in the panel',
      paints: 'text',
      initial: '#23262d',
      on: 'panel.background',
    },
    'panel.accent': {
      label: 'Links in the panel',
      paints: 'text',
      initial: '#3f5bd9',
      on: 'panel.background',
    },
  },
  texts: {
    greeting: { label: 'Greeting', initial: 'How can we help?' },
    corner: {
      label: 'Corner',
      initial: 'right',
      options: [
        ['right', 'bottom right'],
        ['left', 'bottom left'],
      ],
    },
  },
  css: `
.add-on-chat { position: fixed; inset: auto 20px 20px auto; z-index: 5; font: 15px/1.45 system-ui, sans-serif; display: grid; justify-items: end; }
.add-on-chat:has(.left) { inset: auto auto 20px 20px; justify-items: start; }
.add-on-chat summary { width: fit-content; margin-inline: auto 0; list-style: none; cursor: pointer; padding: 12px 18px; border-radius: 24px; background: var(--launcher-background); color: var(--launcher-label); font-weight: 600; }
.add-on-chat .its-panel { width: min(300px, 80vw); margin-block-end: 12px; padding: 18px; border-radius: 14px; background: var(--panel-background); color: var(--panel-text); box-shadow: 0 6px 28px rgb(0 0 0 / 0.22); }
.add-on-chat details { display: flex; flex-direction: column-reverse; }
.add-on-chat .left summary { margin-inline: 0 auto; }
.add-on-chat .its-panel p { margin: 0 0 8px; }
.add-on-chat .its-panel span { color: var(--panel-accent); text-decoration: underline; }`,
  spots: {
    corner: (write) =>
      `<details class="${write('corner')}"><summary>Chat</summary>` +
      `<div class="its-panel"><p>${write('greeting')}</p><p><span>Leave a message</span></p></div></details>`,
  },
  pages: {},
}
