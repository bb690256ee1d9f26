import type { Edit, LookSetting } from '@/core/edit'
import { narrowerThan } from '@/core/render'
import { baseOfThing, featuresOf, spotsOnPage, traceFeature, type Spot } from '@/core/resolve'
import { bodyOf, own, type SiteDocs, type SiteElement, type TraitValues } from '@/core/site'
import { faceSetting, leastStep, type FaceId, type TraitId } from '@/core/traits'
import type { Finding } from './findings'

/** Something that may help words which stand worse than before. */
export interface Mending {
  readonly label: string
  readonly edit: Edit
}

type Size = TraitValues['size']

/** A size one step down the scale, or a tenth less; nothing where there is none. */
function smaller(size: Size): Size | undefined {
  if ('step' in size) return size.step > leastStep ? { step: size.step - 1 } : undefined
  const less = (px: number) => Math.max(6, Math.round(px * 9) / 10)
  return { px: less(size.px), ...(size.narrow === undefined ? {} : { narrow: less(size.narrow) }) }
}

interface Place {
  readonly spot: Spot
  readonly element: SiteElement
}

function placeOf(docs: SiteDocs, { page, doc, section, element }: Finding): Place | undefined {
  const spot = spotsOnPage(docs, page as never).find(
    (each) => each.doc === doc && each.section.id === section,
  )
  const body = bodyOf(docs, doc as never)
  const found = body && own(body.elements, element)
  return spot && found ? { spot, element: found } : undefined
}

function traitOf({ spot, element }: Place, trait: TraitId) {
  const feature = featuresOf(element).find((each) => each.trait === trait && !each.part)
  return feature && { key: feature.key, value: traceFeature(spot, element, feature, 'rest').value }
}

const deciding = (on: LookSetting['on'], key: string, value: LookSetting['value']): Edit => ({
  type: 'setLooks',
  settings: [{ on, key, state: 'rest', value }],
})

/** What may help: a smaller size, here or for all of its kind; breaking words; a narrower typeface. */
export function mendingsOf(docs: SiteDocs, finding: Finding): Mending[] {
  const place = placeOf(docs, finding)
  if (!place) return []
  const { spot, element } = place
  const here = { doc: spot.doc, element: element.id }
  const base = baseOfThing(spot, element)
  const [size, hyphens, face] = (['size', 'hyphens', 'face'] as const).map((trait) =>
    traitOf(place, trait),
  )
  const less = size?.value && smaller(size.value as Size)
  const id = face?.value as FaceId | undefined
  const family = id && docs.frame.settings[faceSetting[id]]
  const isTorn = finding.faults.some(({ kind }) => kind === 'torn')
  return [
    ...(size && less
      ? [
          { label: 'A step smaller, only here', edit: deciding(here, size.key, less) },
          {
            label: `A step smaller, every ${base.label.toLowerCase()}`,
            edit: deciding({ style: base.id } as LookSetting['on'], size.key, less),
          },
        ]
      : []),
    ...(hyphens && isTorn
      ? [{ label: 'Let long words break with a hyphen', edit: deciding(here, hyphens.key, 'auto') }]
      : []),
    ...(id && family
      ? narrowerThan(family)
          .slice(0, 2)
          .map((font) => ({
            label: `A narrower typeface for all of ${FACES[id]}: ${font.family}`,
            edit: {
              type: 'setSettings',
              settings: { [faceSetting[id]]: font.family },
            } satisfies Edit as Edit,
          }))
      : []),
  ]
}

const FACES: Readonly<Record<FaceId, string>> = {
  title: 'the titles',
  heading: 'the headings',
  body: 'the running text',
  interactive: 'the buttons and links',
}
