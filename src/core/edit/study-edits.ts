import * as z from 'zod'
import {
  candidateSchema,
  colorText,
  mostCandidates,
  mostSlots,
  mostStudies,
  plainText,
  slotId,
  slotSchema,
  studySchema,
  typedName,
} from '../site'
import { defineEdit } from './edit'
import { takeValue } from './palette-edits'
import { cellsSchema, decideCells } from './theme-edits'

const typed = {
  name: typedName.optional(),
  group: typedName.optional(),
}
const typedStudy = studySchema.extend({
  name: typedName,
  colors: z.array(candidateSchema.extend(typed)).min(1).max(mostCandidates),
})

const keepStudyCommand = z.strictObject({ type: z.literal('keepStudy'), study: typedStudy })

/** Keeps a study; one with the same id is replaced. */
export const keepStudy = defineEdit<z.infer<typeof keepStudyCommand>>({
  type: 'keepStudy',
  schema: keepStudyCommand,
  apply({ frame }, { study }) {
    const others = frame.studies.filter(({ id }) => id !== study.id)
    if (others.length >= mostStudies) return 'studies-full'
    frame.studies = [...others, study]
  },
  describe: ({ study }) => `Study ${study.name} kept`,
})

const dropStudyCommand = z.strictObject({ type: z.literal('dropStudy'), study: z.string().max(48) })

export const dropStudy = defineEdit<z.infer<typeof dropStudyCommand>>({
  type: 'dropStudy',
  schema: dropStudyCommand,
  apply({ frame }, { study }) {
    if (!frame.studies.some(({ id }) => id === study)) return 'study-gone'
    frame.studies = frame.studies.filter(({ id }) => id !== study)
  },
  describe: ({ study }, { frame }) =>
    `Study ${frame.studies.find(({ id }) => id === study)?.name ?? study} dropped`,
})

const setSlotsCommand = z.strictObject({
  type: z.literal('setSlots'),
  told: plainText(120),
  values: z
    .array(candidateSchema.extend({ ...typed, slot: slotId, value: colorText.nullable() }))
    .max(mostSlots),
  /** Slots that are new, at the end of the order. */
  add: z
    .array(slotSchema.omit({ was: true, shades: true }).extend({ ...typed, name: typedName }))
    .max(mostSlots)
    .optional(),
  /** What the themes are once they are generated anew from these colours. */
  cells: cellsSchema.optional(),
})

/** Gives many slots their colours at once, adds those that are missing, and may generate the themes anew: what applying a study is. */
export const setSlots = defineEdit<z.infer<typeof setSlotsCommand>>({
  type: 'setSlots',
  schema: setSlotsCommand,
  apply(draft, { values, add = [], cells = [] }) {
    const { palette } = draft.frame
    for (const { slot: id, value, ...details } of values) {
      const slot = palette.slots[id]
      if (!slot) return 'slot-gone'
      takeValue(slot, value)
      Object.assign(slot, details)
    }
    for (const slot of add) {
      if (palette.slots[slot.id]) return 'slot-taken'
      if (palette.order.length >= mostSlots) return 'slots-full'
      palette.slots[slot.id] = { ...slot, was: [] }
      palette.order = [...palette.order, slot.id]
    }
    return decideCells(draft, cells, false)
  },
  describe({ told, values, add = [], cells = [] }) {
    const count = values.length + add.length
    const anew = cells.length ? ', themes generated anew' : ''
    return `${told}: ${count} ${count === 1 ? 'slot' : 'slots'}${anew}`
  },
})
