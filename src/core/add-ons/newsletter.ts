import type { AddOnKind } from './add-on'

export const newsletter: AddOnKind = {
  label: 'Newsletter form',
  told: 'A strip at the foot of every page that asks for an address.',
  colors: {
    'form.background': { label: 'Strip', paints: 'fill', initial: '#eef1f6' },
    'form.text': { label: 'Words', paints: 'text', initial: '#23262d', on: 'form.background' },
    'field.background': { label: 'Field', paints: 'fill', initial: '#ffffff' },
    'field.line': {
      label: 'Line around the field',
      paints: 'line',
      initial: '#7b8494',
      on: 'form.background',
    },
    'button.background': { label: 'Button', paints: 'fill', initial: '#3f5bd9' },
    'button.label': {
      label: 'Words on the button',
      paints: 'text',
      initial: '#ffffff',
      on: 'button.background',
    },
  },
  texts: {
    invitation: { label: 'Invitation', initial: 'One letter a month. No more than that.' },
    button: { label: 'Button', initial: 'Sign up' },
  },
  css: `
.add-on-newsletter { padding: 28px 24px; background: var(--form-background); color: var(--form-text); font: 16px/1.5 system-ui, sans-serif; }
.add-on-newsletter .its-row { display: flex; flex-wrap: wrap; justify-content: center; align-items: center; gap: 12px; }
.add-on-newsletter .its-field { min-width: 220px; padding: 10px 14px; border: 1px solid var(--field-line); border-radius: 6px; background: var(--field-background); color: var(--form-text); }
.add-on-newsletter .its-button { padding: 10px 18px; border-radius: 6px; background: var(--button-background); color: var(--button-label); font-weight: 600; }`,
  spots: {
    below: (write) =>
      `<div class="its-row"><span>${write('invitation')}</span><span class="its-field">you@example.org</span>` +
      `<span class="its-button">${write('button')}</span></div>`,
  },
  pages: {},
}
