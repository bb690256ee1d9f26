import type { Facet } from './kind'

/** A section's own colours. Its ground is what everything in it stands on. */
export const sectionFacets: readonly Facet[] = [
  { key: 'fill', label: 'Ground', paints: 'fill', role: 'ground' },
]

export const sectionLayouts = ['stack', 'split', 'bar', 'columns'] as const

/** Shape of a section and of the bands inside it; no rule here names a colour. */
export const sectionCss = `
.section { padding: var(--space-section) var(--space-side); overflow-wrap: break-word; }
.section.header { padding-block: 1.1rem; }
.section.footer { padding-block: 3.25rem; }
.inner { box-sizing: border-box; width: 100%; max-width: var(--width-content); margin-inline: auto; }
.inner > *, .inner .group > *, .card > * { margin-block: 0; }
.inner.stack { display: flex; flex-direction: column; gap: 1.35rem; }
.inner.stack.center { align-items: center; text-align: center; }
.inner.split { display: grid; grid-template-columns: minmax(0, 6fr) minmax(0, 5fr); gap: clamp(2rem, 5vw, 4.5rem); align-items: center; }
.inner.bar { display: flex; flex-wrap: wrap; justify-content: space-between; align-items: center; gap: 0.75rem 2rem; }
.inner.columns { display: grid; grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr)); gap: 2.5rem; }
main { display: contents; }
body:has(> .header.over) { display: grid; grid-template-columns: minmax(0, 1fr); }
.header.over { grid-area: 1 / 1; z-index: 1; }
.header.over + main > .section:first-child { grid-area: 1 / 1 / span 2 / 1; display: grid; grid-template-rows: subgrid; padding-block-start: 0; }
.header.over + main > .section:first-child > .inner { grid-row: 2; padding-block-start: var(--space-section); }
.edition-switch { display: block; width: fit-content; margin: 1.5rem auto 0; color: var(--role-link); font-size: 0.875em; }
.edition-switch:hover { color: var(--role-link-hover); }
@media (max-width: 760px) {
  .section { padding-block: calc(var(--space-section) * 0.68); }
  .inner.split { grid-template-columns: minmax(0, 1fr); }
}`
