import { features, type BaseStyle } from './feature'
import type { Facet } from './kind'

const ground = { label: 'Ground', paints: 'fill', role: 'ground' } as const

/** A section's own colours. Its ground is what everything in it stands on; on tablets and phones it can be another one. */
export const sectionFacets: readonly Facet[] = [
  { ...ground, key: 'fill' },
  { ...ground, key: 'fillTablet', label: 'On tablets', within: ['fill'], below: 'tablet' },
  {
    ...ground,
    key: 'fillPhone',
    label: 'On phones',
    within: ['fillTablet', 'fill'],
    below: 'phone',
  },
]

const STRIP = ':has(> .inner > .announcement:only-child)'

/** What tells sections apart that are spaced otherwise. */
export const sectionBases: readonly BaseStyle[] = [
  { id: 'header', label: 'Header', where: '.header', is: ({ kind }) => kind === 'header' },
  { id: 'footer', label: 'Footer', where: '.footer', is: ({ kind }) => kind === 'footer' },
  {
    id: 'strip',
    label: 'Announcement strip',
    where: STRIP,
    is: ({ kind, holdsOnly }) => kind === 'band' && holdsOnly === 'announcement',
  },
  {
    id: 'section',
    label: 'Section',
    where: `:not(.header, .footer, ${STRIP})`,
    is: ({ kind, holdsOnly }) => kind === 'band' && holdsOnly !== 'announcement',
  },
]

/** How a section looks beside its ground. */
export const sectionFeatures = [
  ...features({
    space: {
      byBase: {
        header: { usual: 17.6 },
        footer: { usual: 52 },
        strip: { usual: 11.2 },
        section: { setting: 'sectionSpace' },
      },
    },
    shadow: null,
  }),
  ...features(
    { width: { setting: 'contentWidth' } },
    { part: 'inner', as: 'inner', label: 'Inside' },
  ),
]

export const sectionLayouts = ['stack', 'split', 'bar', 'columns'] as const

/** Shape of a section and of the bands inside it; no rule here names a colour. */
export const sectionCss = `
:root { --space-scale: 1; }
.section { padding-inline: var(--space-side); overflow-wrap: break-word; }
.section:is(.header, .footer, ${STRIP}) { --space-scale: 1; }
.inner { box-sizing: border-box; width: 100%; margin-inline: auto; }
.inner > *, .inner .group > *, .card > * { margin-block: 0; }
.inner.stack { display: flex; flex-direction: column; gap: calc(1.35rem * var(--density)); }
.inner.stack.center { align-items: center; text-align: center; }
.inner.split { display: grid; grid-template-columns: minmax(0, 6fr) minmax(0, 5fr); gap: clamp(2rem, 5vw, 4.5rem); align-items: center; }
.inner.bar { display: flex; flex-wrap: wrap; justify-content: space-between; align-items: center; gap: 0.75rem 2rem; }
.inner.columns { display: grid; grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr)); gap: calc(2.5rem * var(--density)); }
main { display: contents; }
body:has(> .header.over) { display: grid; grid-template-columns: minmax(0, 1fr); }
.header.over { grid-area: 1 / 1; z-index: 1; }
.header.over + main > .section:first-child { grid-area: 1 / 1 / span 2 / 1; display: grid; grid-template-rows: subgrid; padding-block-start: 0; }
.header.over + main > .section:first-child > .inner { grid-row: 2; padding-block-start: var(--space-section); }
.edition-switch { display: block; width: fit-content; margin: 1.5rem auto 0; color: var(--role-link); font-size: 0.875em; }
.edition-switch:hover { color: var(--role-link-hover); }
@media (max-width: 760px) {
  :root { --space-scale: 0.68; }
  .inner.split { grid-template-columns: minmax(0, 1fr); }
}`
