import { describeEdit, type Edit, type LookSetting } from '@/core/edit'
import { cellsAlong, followers, followingOn } from '@/core/generate'
import type { Spot } from '@/core/resolve'
import { bodyOf, isColor, type ColorDecision, type Paint, type SiteElement } from '@/core/site'
import { roleOf } from './reaches'
import type { Traced } from './traced'

type Following = Edit & { readonly type: 'setLooks' | 'setRole' }

const follows = (edit: Edit): edit is Following =>
  edit.type === 'setLooks' || edit.type === 'setRole'

/** `…, and 3 that go along` */
const told = (edit: Edit, spot: Spot, count: number) =>
  `${describeEdit(edit, spot.docs)}, and ${count} that go along`.slice(0, 150)

/** The edit with what goes along with the colour that it decides, generated around it; as it is where nothing does. */
export function withFollowers(
  edit: Edit,
  spot: Spot,
  element: SiteElement | undefined,
  trace: Traced,
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
  const [{ on, key, state, value }] = edit.settings as [LookSetting]
  if ('section' in on || !value || !isColor(value as Paint) || !body) return edit
  const made = followers(spot.docs.frame, spot.theme, role, value as ColorDecision)
  const along = followingOn(body, element, { facet: key, state }, made)
  // A style is the element's own colours, not those of what lies within it.
  const settings = along.flatMap(({ element: other, facet, state: its, paint }): LookSetting[] => {
    if ('style' in on) return other ? [] : [{ on, key: facet, state: its, value: paint }]
    const whom = { doc: on.doc, element: other ?? on.element }
    return [{ on: whom, key: facet, state: its, value: paint }]
  })
  return { ...edit, settings: [...edit.settings, ...settings] }
}
