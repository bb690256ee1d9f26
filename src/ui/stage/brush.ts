import type { Edit } from '@/core/edit'
import { facetsOf } from '@/core/resolve'
import { bodyOf, own, type BoundDecision, type SiteDocs } from '@/core/site'
import { isSameThing, targetOf, type Brush, type EditorState, type Selection } from '../editor'

/** What it would bind: the slot, or a shade of it. */
export const brushDecision = ({ slot, shade }: Brush): BoundDecision =>
  shade ? { slot, shade: { lightness: shade } } : { slot }

const facetKeys = (docs: SiteDocs, { doc, element }: Selection): string[] => {
  const body = bodyOf(docs, doc)
  const found = element && body ? own(body.elements, element) : undefined
  return element && !found ? [] : facetsOf(found).map(({ key }) => key)
}

/** The colour of a thing that is meant: the one under the pointer, or one further round. */
function meant(docs: SiteDocs, target: Selection, { further }: Brush): string | undefined {
  const keys = facetKeys(docs, target)
  const first = Math.max(0, keys.indexOf(target.property ?? ''))
  return keys.length ? keys[(first + further) % keys.length] : undefined
}

export interface Painting {
  /** What would be painted; the first of them is what the brush is over. */
  readonly targets: readonly [Selection, ...Selection[]]
  readonly edit: Edit
}

/**
 * What a brush over a thing would do: paint the colour that is meant, of the thing alone, or, where
 * it is one of several that are chosen, of all that have such a colour. Undefined where it has none.
 */
export function painting(
  docs: SiteDocs,
  brush: Brush,
  target: Selection,
  chosen: readonly Selection[],
): Painting | undefined {
  const property = meant(docs, target, brush)
  if (!property) return undefined
  const isChosen = chosen.some((each) => isSameThing(each, target))
  const others = (isChosen ? chosen : []).filter(
    (each) => !isSameThing(each, target) && facetKeys(docs, each).includes(property),
  )
  const targets = [target, ...others].map((each) => ({ ...each, property })) as [
    Selection,
    ...Selection[],
  ]
  return {
    targets,
    edit: {
      type: 'setLooks',
      settings: targets.map((each) => ({
        on: targetOf(each),
        key: property,
        state: 'rest' as const,
        value: brushDecision(brush),
      })),
    },
  }
}

type Painter = Pick<EditorState, 'docs' | 'brush' | 'dropTarget' | 'selection' | 'also'>

/** What the slot in hand would paint where it is now; undefined where none is, or where nothing can be. */
export function paintingNow({ docs, brush, dropTarget, selection, also = [] }: Painter) {
  if (!brush || !dropTarget) return undefined
  return painting(docs, brush, dropTarget, selection ? [selection, ...also] : also)
}

/** Another shade, by steps of the palette’s scale. */
export const shaded = (brush: Brush, steps: number, by: number): Brush => ({
  ...brush,
  shade: Math.max(-96, Math.min(96, brush.shade + steps * by)),
})

export const turned = (brush: Brush): Brush => ({ ...brush, further: brush.further + 1 })
