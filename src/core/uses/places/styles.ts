import { kindOf, type KindId } from '../../elements'
import { facetUses } from './decision-use'
import type { PlaceReader } from './reading'

export const readStyles: PlaceReader = ({ frame }) =>
  Object.values(frame?.styles ?? {}).flatMap((style) =>
    facetUses(style.colors, kindOf(style.kind as KindId).facets, {
      place: 'styles',
      doc: 'frame',
      path: ['styles', style.id, 'colors'],
      label: style.name,
      object: style.kind,
      owner: { style: style.id },
    }),
  )
