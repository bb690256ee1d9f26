import { kindOf, type KindId } from '../../elements'
import { countFacetUses, facetUses } from './decision-use'
import type { PlaceReader } from './reading'

export const readStyles: PlaceReader = ({ frame }) =>
  Object.values(frame?.styles ?? {}).map((style) => {
    const { facets } = kindOf(style.kind as KindId)
    const uses = () =>
      facetUses(style.looks, facets, {
        place: 'styles',
        doc: 'frame',
        path: ['styles', style.id, 'looks'],
        label: style.name,
        object: style.kind,
        owner: { style: style.id },
      })
    return { of: style, from: 'styles', count: countFacetUses(style.looks, facets), uses }
  })
