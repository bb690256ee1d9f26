import * as z from 'zod'
import { asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

/** Streets, water and blocks of a town that is nowhere; drawn for this project. */
const STREETS =
  'M-10 70 120 40 250 90 420 60M-10 190 90 170 200 210 420 180M60-10 90 170 70 310M200-10 250 90 200 210 230 310M330-10 320 80 345 180 330 310M120 40 110 170M250 90 345 180'
const WATER = 'M-10 268C60 240 120 300 200 272S340 300 420 258V310H-10z'

/** A place on a map that loads nothing from anywhere: a drawing, a pin and the address in words. */
export const mapStandIn = defineKind({
  kind: 'mapStandIn',
  label: 'Map stand-in',
  content: z.strictObject({ label: z.string().max(120), address: z.string().max(300) }),
  facets: [
    { key: 'fill', label: 'Land', paints: 'fill', part: 'map-land', role: 'surface' },
    { key: 'line', label: 'Border', paints: 'line', part: 'map-land', role: 'line' },
    { key: 'streets', label: 'Streets', paints: 'text', part: 'map-streets', role: 'mutedText' },
    { key: 'pin', label: 'Pin', paints: 'text', part: 'map-pin', role: 'accent' },
    { key: 'label', label: 'Name', paints: 'text', part: 'map-label', role: 'heading' },
    { key: 'text', label: 'Address', paints: 'text', part: 'map-address', role: 'text' },
  ],
  features: [
    ...features(
      { corner: { setting: 'pictureCorner' }, lineWidth: { usual: 1 }, lineStyle: solid },
      { part: 'map-land', as: 'land', label: 'Map' },
    ),
    ...features(asText({ weight: { usual: 650 } }), {
      part: 'map-label',
      as: 'label',
      label: 'Name',
    }),
    ...features(asText(), { part: 'map-address', as: 'text', label: 'Address' }),
  ],
  fields: [
    { at: 'label', as: 'line', label: 'Name', longest: 120 },
    { at: 'address', as: 'line', label: 'Address', longest: 300 },
  ],
  fresh: { label: 'Here we are', address: '7 Chandler’s Row, by the old crane' },
  css: `
.map-stand-in { display: grid; gap: 0.75rem; width: 100%; margin: 0; }
.map-land { display: block; overflow: hidden; }
.map-land svg { display: block; width: 100%; height: auto; aspect-ratio: 4/3; }
.map-streets { opacity: 0.45; }
.map-label { margin: 0; }
.map-address { margin: 0; white-space: pre-line; }`,
  html: ({ label, address }, { root, words }) =>
    tag(
      'div',
      root,
      tag(
        'div',
        { class: 'map-land' },
        `<svg viewBox="0 0 400 300" preserveAspectRatio="xMidYMid slice" role="img" aria-label="${escapeHtml(label)}"><g class="map-streets" fill="none" stroke="currentColor" stroke-width="5" stroke-linecap="round"><path d="${STREETS}"/><path d="${WATER}" fill="currentColor" stroke="none" opacity="0.4"/></g><g class="map-pin"><path d="M250 92c22-24 32-38 32-54a32 32 0 0 0-64 0c0 16 10 30 32 54" fill="currentColor"/></g></svg>`,
      ) +
        tag(
          'div',
          {},
          tag('p', { class: 'map-label', ...words('label') }, escapeHtml(label)) +
            tag('p', { class: 'map-address', ...words('address') }, escapeHtml(address)),
        ),
    ),
  samples: () => [{ content: { label: 'Where we are', address: '7 Example Street' } }],
  title: ({ label }) => label,
})
