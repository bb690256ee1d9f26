import { z } from 'zod'
import { setElementColor, setSectionColor, setStyleColor } from './color-edits'
import {
  addSlot,
  groupSlot,
  noteSlot,
  orderSlots,
  renameSlot,
  setShades,
  setSlot,
} from './palette-edits'
import { removeSlot } from './remove-slot-edit'
import { restore } from './restore-edit'
import { setBlend, setSectionTheme, setSectionThemes } from './section-edits'
import { setCustomCss } from './site-edits'
import { dropStudy, keepStudy, setSlots } from './study-edits'
import { sweep } from './sweep-edit'
import { removeTheme } from './remove-theme-edit'
import { addTheme, orderThemes, renameTheme, setCells, setEdition, setRole } from './theme-edits'
import type { EditKind } from './edit'

/** Every kind of edit that a person can make in the editor. */
const editKinds = {
  setSlot,
  addSlot,
  renameSlot,
  noteSlot,
  orderSlots,
  groupSlot,
  setShades,
  setSlots,
  keepStudy,
  dropStudy,
  setRole,
  setCells,
  addTheme,
  renameTheme,
  orderThemes,
  setEdition,
  setSectionTheme,
  setSectionThemes,
  setBlend,
  setElementColor,
  setSectionColor,
  setStyleColor,
  setCustomCss,
} as const

/** Edits that the server makes itself, from a dry run or a checkpoint. */
const serverKinds = { sweep, removeSlot, removeTheme, restore } as const

type KindsOf<Table> = Table[keyof Table]
type CommandOf<Kind> = Kind extends EditKind<infer Command> ? Command : never

export type Edit = CommandOf<KindsOf<typeof editKinds>>
export type ServerEdit = CommandOf<KindsOf<typeof serverKinds>>
export type AnyEdit = Edit | ServerEdit

const schemas = Object.values(editKinds).map((kind) => kind.schema)

/** What a browser may send. */
export const editSchema = z.union(schemas as unknown as [z.ZodType<Edit>, z.ZodType<Edit>])

/** The kind that carries out an edit, whichever it is. */
export function kindOfEdit(edit: AnyEdit): EditKind<AnyEdit> {
  const all = { ...editKinds, ...serverKinds }
  return all[edit.type] as unknown as EditKind<AnyEdit>
}
