import { baseStyle } from '../elements'
import {
  idFromName,
  mostStyles,
  styleId,
  type ElementStyle,
  type Frame,
  type StyleId,
} from '../site'
import { followed, type Follow } from './follow'

type Styles = Frame['styles']

export interface StyleFit {
  readonly styles: Styles
  /** Styles of the site’s own that the livery does not have: they stay as they are. */
  readonly stays: readonly ElementStyle[]
  /** Styles of the livery that there is no room for. */
  readonly without: readonly ElementStyle[]
}

const isBase = ({ id }: ElementStyle) => baseStyle(id) !== undefined
const keyOf = ({ kind, name }: ElementStyle) => `${kind} ${name.toLowerCase()}`

/**
 * The element styles of a site in another livery. What things have by their kind is the livery’s
 * alone; a style that elements were given takes the looks of the one of the same name and kind.
 */
export function fitStyles(own: Styles, taken: Styles, follow: Follow): StyleFit {
  const mine = Object.values(own).filter((style) => !isBase(style))
  const known = new Map(mine.map((style) => [keyOf(style), style.id]))
  const names = new Set(mine.map(({ name }) => name.toLowerCase()))
  const becomes = new Map<string, StyleId>()
  const ids = [
    ...Object.keys(own),
    ...Object.values(taken).flatMap((s) => (isBase(s) ? [s.id] : [])),
  ]
  const without: ElementStyle[] = []
  for (const style of Object.values(taken)) {
    const id = isBase(style) ? style.id : known.get(keyOf(style))
    if (id) becomes.set(style.id, id)
    else if (names.has(style.name.toLowerCase()) || ids.length >= mostStyles) without.push(style)
    else {
      const fresh = styleId.parse(idFromName(style.name, ids, 'style'))
      ids.push(fresh)
      becomes.set(style.id, fresh)
    }
  }
  const come = Object.values(taken).flatMap((style) => {
    const id = becomes.get(style.id)
    if (!id) return []
    const { parent: before, ...rest } = style
    const parent = before && becomes.get(before)
    const looks = followed(style.looks, follow)
    return [[id, { ...rest, id, looks, ...(parent ? { parent } : {}) }] as const]
  })
  const stays = mine.filter(({ id }) => !come.some(([each]) => each === id))
  const styles = Object.fromEntries([...stays.map((style) => [style.id, style] as const), ...come])
  return { styles: styles as Styles, stays, without }
}
