import * as z from 'zod'
import { asBox, features, moving, solid } from './feature'
import { borderFacets, defineKind, type ElementKind, type Facet } from './kind'
import { escapeHtml, safeHref, tag } from './markup'
import { focusFacet } from './runs'

const content = z.strictObject({
  label: z.string().max(120),
  href: z.string().max(500).optional(),
})
type ButtonContent = z.infer<typeof content>

/** The base of both buttons; a second kind differs in the roles it takes, not in how it is built. */
function button(
  kind: string,
  label: string,
  sample: string,
  css: string,
  roles: readonly Facet[],
): ElementKind<ButtonContent> {
  return defineKind({
    kind,
    label,
    content,
    facets: [...roles, focusFacet],
    features: features({
      ...asBox({
        corner: { setting: 'buttonCorner' },
        lineWidth: { setting: 'buttonLine' },
        lineStyle: solid,
        padding: { setting: 'buttonPad' },
      }),
      face: { usual: 'interactive' },
      size: { usual: { px: 16 } },
      weight: { setting: 'interactiveWeight' },
      leading: { usual: 1.2 },
      spacing: { setting: 'buttonSpacing' },
      case: { setting: 'buttonCase' },
      underline: { setting: 'buttonForm' },
      ...moving,
    }).map((feature) =>
      feature.trait === 'opacity' ? { ...feature, inState: { disabled: { usual: 0.5 } } } : feature,
    ),
    fields: [{ at: 'href', as: 'link', label: 'Leads to', mayGo: true }],
    fresh: { label: 'A button' },
    css,
    html: ({ label: text, href }, { root, link, words }) => {
      const shared = { ...root, ...words('label') }
      return href === undefined
        ? tag('button', { ...shared, type: 'submit' }, escapeHtml(text))
        : tag('a', { ...shared, href: safeHref(link(href)) }, escapeHtml(text))
    },
    samples: () => [{ content: { label: sample }, row: 'buttons' }],
    title: ({ label: text }) => text,
  })
}

export const mainButton = button(
  'mainButton',
  'Main button',
  'Get in touch',
  `
.main-button, .quiet-button {
  display: inline-block; margin: 0; cursor: pointer; width: fit-content;
  text-underline-offset: var(--button-underline-offset);
}
.main-button::after, .quiet-button::after {
  content: ''; display: inline-block; block-size: var(--button-icon-size);
  inline-size: var(--button-icon-size); margin-inline-start: var(--button-icon-gap);
  background: currentColor; clip-path: var(--button-icon);
}
@media (forced-colors: active) {
  .main-button::after, .quiet-button::after { background: ButtonText; forced-color-adjust: none; }
}`,
  [
    { key: 'fill', label: 'Fill', paints: 'fill', role: 'buttonFill', hover: 'buttonHoverFill' },
    {
      key: 'label',
      label: 'Label',
      paints: 'text',
      role: 'buttonLabel',
      hover: 'buttonHoverLabel',
      on: 'fill',
    },
    ...borderFacets('buttonLine'),
  ],
)

export const quietButton = button('quietButton', 'Quiet button', 'Find out more', '', [
  { key: 'fill', label: 'Fill', paints: 'fill', role: 'quietFill', hover: 'quietHoverFill' },
  {
    key: 'label',
    label: 'Label',
    paints: 'text',
    role: 'quietLabel',
    hover: 'quietHoverLabel',
    on: 'fill',
  },
  ...borderFacets('quietLine'),
])
