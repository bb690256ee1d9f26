import { z } from 'zod'
import { colorText, mostStudies, plainText, slotId, studySchema } from '../site'
import { defineEdit } from './edit'
import { takeValue } from './palette-edits'

const keepStudyCommand = z.strictObject({ type: z.literal('keepStudy'), study: studySchema })

/** Keeps a study; one with the same id is replaced. */
export const keepStudy = defineEdit<z.infer<typeof keepStudyCommand>>({
  type: 'keepStudy',
  schema: keepStudyCommand,
  pages: () => [],
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
  pages: () => [],
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
    .array(z.strictObject({ slot: slotId, value: colorText }))
    .min(1)
    .max(64),
})

/** Gives many slots their colours at once: what applying a study is. */
export const setSlots = defineEdit<z.infer<typeof setSlotsCommand>>({
  type: 'setSlots',
  schema: setSlotsCommand,
  pages: () => [],
  apply({ frame }, { values }) {
    for (const { slot: id, value } of values) {
      const slot = frame.palette.slots[id]
      if (!slot) return 'slot-gone'
      takeValue(slot, value)
    }
  },
  describe: ({ told, values }) =>
    `${told}: ${values.length} ${values.length === 1 ? 'slot' : 'slots'}`,
})
