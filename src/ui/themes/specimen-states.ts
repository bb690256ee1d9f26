/** The states that can be frozen, so that they are seen without touching anything. */
export const specimenStates = {
  rest: 'At rest',
  hover: 'Pointer over',
  focus: 'Focus',
  pressed: 'Pressed',
  disabled: 'Disabled',
  typed: 'Typed in',
} as const

export type SpecimenState = keyof typeof specimenStates

/** What the specimen alone needs; the colours are those of the site's own stylesheet. */
const LAYOUT = (side: boolean) => `
body { ${side ? 'display: grid; grid-auto-flow: column; grid-auto-columns: 330px; width: max-content;' : ''} }
.section { padding: 24px 22px; }
.inner.stack { gap: 0.9rem; }
`

const FROZEN: Partial<Record<SpecimenState, string>> = {
  focus:
    ':is(.main-button, .quiet-button, .link, .navigation-link, .field) { outline: 2px solid var(--role-focus); outline-offset: 2px; }',
  pressed: ':is(.main-button, .quiet-button) { transform: translateY(1px); }',
}

function ownStyle(stage: Document): HTMLStyleElement {
  const known = stage.head.querySelector<HTMLStyleElement>('style[data-layer="specimen"]')
  if (known) return known
  const style = stage.createElement('style')
  style.dataset.layer = 'specimen'
  stage.head.append(style)
  return style
}

/** Freezes a state of everything on the specimen. */
export function freeze(stage: Document, state: SpecimenState, side: boolean): void {
  ownStyle(stage).textContent = LAYOUT(side) + (FROZEN[state] ?? '')
  const pointed = state === 'hover' || state === 'pressed'
  for (const node of stage.querySelectorAll('[data-el], [data-el] *')) {
    node.toggleAttribute('data-pointed', pointed)
  }
  for (const node of stage.querySelectorAll<HTMLInputElement>('button, input, textarea')) {
    node.disabled = state === 'disabled'
    if (node.classList.contains('field')) node.value = state === 'typed' ? 'Mabel Orrin' : ''
  }
}
