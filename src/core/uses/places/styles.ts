import { propertiesOf } from '../../elements'
import { countLookUses, lookUses } from './decision-use'
import type { PlaceReader } from './reading'

export const readStyles: PlaceReader = ({ frame }) =>
  Object.values(frame?.styles ?? {}).map((style) => {
    const properties = propertiesOf(style.kind)
    const uses = () =>
      lookUses(style.looks, properties, {
        place: 'styles',
        doc: 'frame',
        path: ['styles', style.id, 'looks'],
        label: style.name,
        object: style.kind,
        owner: { style: style.id },
      })
    return { of: style, from: 'styles', count: countLookUses(style.looks, properties), uses }
  })
