import * as z from 'zod'
import { plainText, textFault, type TextFault } from '../site'
import { addAddOn, removeAddOn, setAddOn } from './add-on-edits'
import { addSection, moveSection, removeSection, setSection } from './band-edits'
import { setLooks } from './look-edits'
import { takeLivery } from './livery-edits'
import { setSettings } from './setting-edits'
import { addStyle, changeStyle, giveStyle } from './style-edits'
import { setContent } from './content-edits'
import {
  addElements,
  continueWords,
  joinWords,
  moveElement,
  removeElement,
  wrapElement,
} from './element-edits'
import {
  addPicture,
  describePicture,
  exchangePicture,
  focusPicture,
  removePicture,
} from './picture-edits'
import { keepPart, loosenPart, placePart, removePart } from './part-edits'
import {
  addSlot,
  groupSlot,
  noteSlot,
  orderSlots,
  renameSlot,
  setShades,
  setSlot,
  setStep,
} from './palette-edits'
import { addFont, addPage, movePage, removeFont, removePage, setPage } from './record-edits'
import { setBlend, setSectionTheme, setSectionThemes } from './section-edits'
import { renameSite, setCustomCss, setSiteIcon } from './site-edits'
import { dropStudy, keepStudy, setSlots } from './study-edits'
import { addTheme, orderThemes, renameTheme, setCells, setEdition, setRole } from './theme-edits'
import { defineEdit, type EditKind } from './edit'

/** Every kind of edit that changes one thing. */
const singleKinds = {
  setSlot,
  addSlot,
  renameSlot,
  noteSlot,
  orderSlots,
  groupSlot,
  setShades,
  setStep,
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
  addSection,
  moveSection,
  removeSection,
  setSection,
  keepPart,
  placePart,
  loosenPart,
  removePart,
  setContent,
  addElements,
  continueWords,
  joinWords,
  moveElement,
  removeElement,
  wrapElement,
  setLooks,
  addStyle,
  changeStyle,
  giveStyle,
  setSettings,
  takeLivery,
  setCustomCss,
  addAddOn,
  setAddOn,
  removeAddOn,
  setSiteIcon,
  renameSite,
  addPage,
  movePage,
  setPage,
  removePage,
  addPicture,
  describePicture,
  focusPicture,
  exchangePicture,
  removePicture,
  addFont,
  removeFont,
} as const

type KindsOf<Table> = Table[keyof Table]
type CommandOf<Kind> = Kind extends EditKind<infer Command> ? Command : never

type SingleEdit = CommandOf<KindsOf<typeof singleKinds>>

const schemasOf = (kinds: object) =>
  Object.values(kinds).map((kind: { schema: unknown }) => kind.schema) as unknown as [
    Option,
    ...Option[],
  ]
type Option = z.core.$ZodTypeDiscriminable & z.ZodType<never>

/** Most edits of one deed. */
const mostTogether = 60

/** Several edits that are one deed: told as one, stored as one, taken back as one. */
export interface Together {
  readonly type: 'together'
  readonly told: string
  readonly edits: readonly SingleEdit[]
}

const kindOfSingle = (edit: SingleEdit) => singleKinds[edit.type] as unknown as EditKind<SingleEdit>

export const together = defineEdit<Together>({
  type: 'together',
  schema: z.strictObject({
    type: z.literal('together'),
    told: plainText(300),
    edits: z
      .array(z.discriminatedUnion('type', schemasOf(singleKinds)))
      .min(1)
      .max(mostTogether),
  }) as unknown as z.ZodType<Together>,
  needs: ({ edits }) => edits.flatMap((edit) => kindOfSingle(edit).needs?.(edit) ?? []),
  apply(draft, { edits }) {
    for (const edit of edits) {
      const problem = kindOfSingle(edit).apply(draft, edit)
      if (problem) return problem
    }
    return undefined
  },
  describe: ({ told }) => told,
  typed: ({ edits }) =>
    edits.flatMap((edit) => kindOfSingle(edit).typed?.(edit) ?? []).join('\n') || undefined,
})

/** Every kind of edit that a person can make in the editor. */
export const editKinds = { ...singleKinds, together } as const

export type Edit = CommandOf<KindsOf<typeof editKinds>>

/** What a browser may send. */
export const editSchema = z.discriminatedUnion(
  'type',
  schemasOf(editKinds),
) as unknown as z.ZodType<Edit>

export type CheckedEdit =
  { readonly ok: true } | ({ readonly ok: false } & Pick<TextFault, 'where' | 'what'>)

/** Whether an edit is well formed and may be stored: what the server will ask, asked before anything is shown. */
export function checkEdit(edit: unknown): CheckedEdit {
  const parsed = editSchema.safeParse(edit)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    return { ok: false, where: issue?.path.join('.') ?? '', what: issue?.message ?? '' }
  }
  const fault = textFault(edit)
  return fault ? { ok: false, ...fault } : { ok: true }
}

/** The kind that carries out an edit, whichever it is. */
export function kindOfEdit(edit: Edit): EditKind<Edit> {
  return editKinds[edit.type] as unknown as EditKind<Edit>
}
