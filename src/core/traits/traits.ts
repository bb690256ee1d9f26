/**
 * The table of traits: all that decides how a thing looks beside its colours. The
 * interface, the renderer, the resolver and the tests all read it.
 */
export const traitIds = [
  'corner',
  'lineWidth',
  'lineStyle',
  'padding',
  'space',
  'width',
  'shadow',
  'opacity',
  'face',
  'size',
  'weight',
  'leading',
  'spacing',
  'case',
  'hyphens',
  'measure',
  'underline',
  'duration',
  'easing',
] as const

export type TraitId = (typeof traitIds)[number]

export type TraitGroup = 'shape' | 'type' | 'motion'

export interface Trait {
  readonly label: string
  readonly group: TraitGroup
  /** The CSS property that it sets, as one would look for it. */
  readonly property: string
  /** What people call it besides, to find it by. */
  readonly alias: readonly string[]
}

export const traits: Readonly<Record<TraitId, Trait>> = {
  corner: {
    label: 'Corner',
    group: 'shape',
    property: 'border-radius',
    alias: ['radius', 'rounded', 'round', 'pill', 'square'],
  },
  lineWidth: {
    label: 'Line width',
    group: 'shape',
    property: 'border-width',
    alias: ['border', 'outline', 'stroke', 'thickness', 'edge', 'rule'],
  },
  lineStyle: {
    label: 'Line style',
    group: 'shape',
    property: 'border-style',
    alias: ['border', 'dashed', 'dotted', 'double'],
  },
  padding: {
    label: 'Padding',
    group: 'shape',
    property: 'padding',
    alias: ['inner space', 'inset', 'room'],
  },
  space: {
    label: 'Space above and below',
    group: 'shape',
    property: 'padding-block',
    alias: ['section spacing', 'padding', 'height', 'vertical space'],
  },
  width: {
    label: 'Content width',
    group: 'shape',
    property: 'max-width',
    alias: ['container', 'page width'],
  },
  shadow: {
    label: 'Shadow',
    group: 'shape',
    property: 'box-shadow',
    alias: ['glow', 'drop shadow', 'inner shadow', 'elevation'],
  },
  opacity: {
    label: 'Opacity',
    group: 'shape',
    property: 'opacity',
    alias: ['transparent', 'see-through', 'alpha'],
  },
  face: {
    label: 'Face',
    group: 'type',
    property: 'font-family',
    alias: ['font', 'typeface', 'family'],
  },
  size: { label: 'Size', group: 'type', property: 'font-size', alias: ['font size', 'text size'] },
  weight: {
    label: 'Weight',
    group: 'type',
    property: 'font-weight',
    alias: ['bold', 'light', 'thickness'],
  },
  leading: {
    label: 'Line height',
    group: 'type',
    property: 'line-height',
    alias: ['leading', 'line spacing'],
  },
  spacing: {
    label: 'Letter spacing',
    group: 'type',
    property: 'letter-spacing',
    alias: ['tracking', 'kerning'],
  },
  case: {
    label: 'Case',
    group: 'type',
    property: 'text-transform',
    alias: ['uppercase', 'capitals', 'caps', 'lowercase'],
  },
  hyphens: {
    label: 'Long words',
    group: 'type',
    property: 'hyphens',
    alias: ['hyphenation', 'break', 'syllables', 'soft hyphen'],
  },
  measure: {
    label: 'Measure',
    group: 'type',
    property: 'max-width',
    alias: ['line length', 'characters per line', 'text width'],
  },
  underline: {
    label: 'Underline',
    group: 'type',
    property: 'text-decoration',
    alias: ['line under', 'text-underline-offset', 'text-decoration-thickness'],
  },
  duration: {
    label: 'Duration of change',
    group: 'motion',
    property: 'transition-duration',
    alias: ['transition', 'animation', 'speed', 'fade'],
  },
  easing: {
    label: 'Easing of change',
    group: 'motion',
    property: 'transition-timing-function',
    alias: ['transition', 'animation', 'ease', 'curve'],
  },
}

export const traitGroups: ReadonlyArray<readonly [TraitGroup, string]> = [
  ['shape', 'Shape'],
  ['type', 'Type'],
  ['motion', 'Motion'],
]
