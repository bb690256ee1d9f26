import type { AddOnKind, Write } from './add-on'

const sheet = (title: string, inner: string) => `<main><h1>${title}</h1>${inner}</main>`

const pay = (write: Write) =>
  sheet(
    'Your basket',
    `<dl><dt>Harbour, ruled</dt><dd>24.00</dd><dt>Postage</dt><dd>3.50</dd><dt>Total</dt><dd class="its-total">27.50 ${write('currency')}</dd></dl>` +
      `<p><span class="its-button">${write('button')}</span></p><p><span class="its-link">Back to the shop</span></p>`,
  )

const thanks = (write: Write) =>
  sheet(
    'Thank you',
    `<p class="its-done">${write('thanks')}</p><p><span class="its-link">Back to the shop</span></p>`,
  )

export const checkout: AddOnKind = {
  label: 'Checkout',
  told: 'A page to pay on and a page that says thank you, both beside the site.',
  colors: {
    'page.background': { label: 'Page', paints: 'fill', initial: '#ffffff' },
    'page.text': { label: 'Words', paints: 'text', initial: '#23262d', on: 'page.background' },
    'button.background': { label: 'Button', paints: 'fill', initial: '#3f5bd9' },
    'button.label': {
      label: 'Words on the button',
      paints: 'text',
      initial: '#ffffff',
      on: 'button.background',
    },
    'total.color': { label: 'Total', paints: 'text', initial: '#23262d', on: 'page.background' },
    'link.color': { label: 'Links', paints: 'text', initial: '#3f5bd9', on: 'page.background' },
    'done.background': { label: 'Ground of the thanks', paints: 'fill', initial: '#e7f4ea' },
    'done.text': {
      label: 'Words of the thanks',
      paints: 'text',
      initial: '#1d5b2c',
      on: 'done.background',
    },
  },
  texts: {
    currency: { label: 'Currency', initial: 'EUR' },
    button: { label: 'Button', initial: 'Pay now' },
    thanks: { label: 'Thanks', initial: 'Your order is with us. A letter is on its way.' },
  },
  css: `
body.add-on-checkout { margin: 0; min-height: 100vh; background: var(--page-background); color: var(--page-text); font: 17px/1.5 system-ui, sans-serif; }
.add-on-checkout main { max-width: 460px; margin: 0 auto; padding: 56px 24px; }
.add-on-checkout h1 { margin: 0 0 24px; font-size: 30px; line-height: 1.2; }
.add-on-checkout dl { display: grid; grid-template-columns: 1fr auto; gap: 10px 24px; margin: 0 0 24px; }
.add-on-checkout dd { margin: 0; text-align: right; }
.add-on-checkout .its-total { color: var(--total-color); font-weight: 700; }
.add-on-checkout .its-button { display: inline-block; padding: 12px 24px; border-radius: 8px; background: var(--button-background); color: var(--button-label); font-weight: 600; }
.add-on-checkout .its-link { color: var(--link-color); text-decoration: underline; }
.add-on-checkout .its-done { padding: 18px 20px; border-radius: 8px; background: var(--done-background); color: var(--done-text); }`,
  spots: {},
  pages: {
    checkout: { title: 'Your basket', html: pay },
    'thank-you': { title: 'Thank you', html: thanks },
  },
}
