import { current } from 'immer'
import * as z from 'zod'
import { fitLivery, liveryParts, liverySchema, partLabels } from '../livery'
import { own, themesInOrder, typedName, type Frame } from '../site'
import { defineEdit } from './edit'

/** Whether a style inherits from itself, over others or not. */
function inherits(styles: Frame['styles'], id: string): boolean {
  const seen = new Set([id])
  for (let at = own(styles, id)?.parent; at; at = own(styles, at)?.parent) {
    if (seen.has(at)) return true
    seen.add(at)
  }
  return false
}

const takeLiveryCommand = z.strictObject({
  type: z.literal('takeLivery'),
  /** What it is called. */
  name: typedName,
  livery: liverySchema,
  parts: z.array(z.enum(liveryParts)).min(1).max(liveryParts.length),
})

/** Gives the site another livery, or parts of one; nothing that it says changes. */
export const takeLivery = defineEdit<z.infer<typeof takeLiveryCommand>>({
  type: 'takeLivery',
  schema: takeLiveryCommand,
  apply(draft, { livery, parts }) {
    // Made out of the frame as it is: the draft is given what came out, whole.
    if (themesInOrder(livery.themes).length === 0) return 'theme-gone'
    if (Object.keys(livery.styles).some((id) => inherits(livery.styles, id))) return 'style-circle'
    const { frame } = fitLivery(current(draft).frame as Frame, livery, parts)
    Object.assign(draft.frame, {
      palette: frame.palette,
      themes: frame.themes,
      styles: frame.styles,
      settings: frame.settings,
    })
  },
  describe({ name, parts }) {
    const what =
      parts.length === liveryParts.length
        ? ''
        : `: ${parts.map((part) => partLabels[part].toLowerCase()).join(', ')}`
    return `Livery ${name} taken${what}`
  },
})
