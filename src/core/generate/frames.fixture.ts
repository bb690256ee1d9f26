import { ternFrame } from '@demo/tern/frame'
import { applyEdit, type Edit } from '../edit'
import { generateThemes } from './generated'
import { siteDocs, slotSchema, type Frame, type Palette, type SiteDocs, type Theme } from '../site'

export const { palette } = ternFrame
export const theme = (id: string) => ternFrame.themes.byId[id as Theme['id']]!

/** Documents after some edits, none of which may be refused. */
export const editedDocs = (docs: SiteDocs, ...edits: unknown[]): SiteDocs =>
  edits.reduce<SiteDocs>((now, edit) => {
    const result = applyEdit(now, edit as Edit)
    if (!result.ok) throw new Error(result.problem)
    return result.docs
  }, docs)
/** The same of a frame alone. */
export const edited = (frame: Frame, ...edits: unknown[]): Frame =>
  editedDocs(siteDocs(frame), ...edits).frame

/** A palette of some values; null leaves a slot empty. */
export const paletteOf = (...values: Array<string | null>): Palette => {
  const slots = values.map((value, i) =>
    slotSchema.parse({ id: `s${i}`, name: `Slot ${i}`, value, was: [] }),
  )
  return {
    ...palette,
    order: slots.map(({ id }) => id),
    slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
  }
}

/** What themes are generated from: a palette, with buttons as they usually are. */
export const solid = (own: Palette) => ({
  palette: own,
  settings: { buttonForm: 'solid' as const },
})

/** The demo's frame in some colours, given as numbers, with the themes that are generated from them. */
export function frameOf(numbers: readonly number[]): Frame {
  const own = paletteOf(...numbers.map((each) => `#${each.toString(16).padStart(6, '0')}`))
  const themes = generateThemes(solid(own))
  const byId = Object.fromEntries(themes.map((each) => [each.id, each]))
  return {
    ...ternFrame,
    palette: own,
    themes: { order: themes.map(({ id }) => id), byId },
  } as Frame
}
