import { describeEdit, type Edit } from '@/core/edit'
import { cellsAlong, followers, followingOn } from '@/core/generate'
import type { Spot, Trace } from '@/core/resolve'
import { bodyOf, isColor, type SiteElement } from '@/core/site'
import { roleOf } from './reaches'

type Following = Edit & { readonly type: 'setElementColor' | 'setStyleColor' | 'setRole' }

const follows = (edit: Edit): edit is Following =>
  edit.type === 'setElementColor' || edit.type === 'setStyleColor' || edit.type === 'setRole'

/** `…, and 3 that go along` */
const told = (edit: Edit, spot: Spot, count: number) =>
  `${describeEdit(edit, spot.docs)}, and ${count} that go along`.slice(0, 150)

/** The edit with what goes along with the colour that it decides, generated around it; as it is where nothing does. */
export function withFollowers(
  edit: Edit,
  spot: Spot,
  element: SiteElement | undefined,
  trace: Trace,
): Edit {
  if (!follows(edit) || !element) return edit
  const role = roleOf(trace, element)
  if (edit.type === 'setRole') {
    const { decision } = edit
    const cells = edit.themes.map((theme) => ({ theme, role, decision }))
    const along = cellsAlong(spot.docs.frame, cells)
    if (along.length === 0) return edit
    return {
      type: 'setCells',
      told: told(edit, spot, along.length),
      cells: [...cells, ...along],
      hand: true,
    }
  }
  const body = bodyOf(spot.docs, spot.doc)
  if (!edit.paint || !isColor(edit.paint) || !body) return edit
  const made = followers(spot.docs.frame.palette, spot.theme, role, edit.paint)
  const also = followingOn(body, element, edit, made)
  if (edit.type === 'setElementColor') return also.length ? { ...edit, also } : edit
  // A style is the element's own colours, not those of what lies within it.
  const own = also.flatMap(({ element: other, ...setting }) => (other ? [] : [setting]))
  return own.length ? { ...edit, also: own } : edit
}
