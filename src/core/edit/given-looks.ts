import { isFeature, propertiesOf, type Property } from '../elements'
import { styleChain } from '../resolve'
import { looksOver, type Frame, type Looks, type SiteElement } from '../site'
import { states, traits } from '../traits'
import type { LookSetting, LookTarget } from './look-edits'

/** What of how an element looks is given to another: all of it, or one group of its properties. */
export const lookGroups = ['all', 'paint', 'shape', 'type'] as const
export type LookGroup = (typeof lookGroups)[number]

function isIn(property: Property, group: LookGroup): boolean {
  if (group === 'all') return true
  return group === (isFeature(property) ? traits[property.trait].group : 'paint')
}

/** What an element and the styles that it was given decide, by property and state. */
export function looksOfElement({ styles }: Pick<Frame, 'styles'>, element: SiteElement): Looks {
  const chain = [element.looks, ...styleChain(styles, element.style).map(({ looks }) => looks)]
  return chain.reduceRight<Looks>((below, looks) => looksOver(looks, below), {})
}

/**
 * The settings that make an element look as another does: what both can have is set as it is
 * there, and what it decides itself beyond that goes.
 */
export function givenLooks(
  looks: Looks,
  on: LookTarget,
  element: SiteElement,
  group: LookGroup,
): LookSetting[] {
  return propertiesOf(element.kind)
    .filter((property) => isIn(property, group))
    .flatMap(({ key }) =>
      states.flatMap((state): LookSetting[] => {
        const value = looks[key]?.[state] ?? null
        const isKept = value === null && element.looks?.[key]?.[state] === undefined
        return isKept ? [] : [{ on, key, state, value }]
      }),
    )
}
