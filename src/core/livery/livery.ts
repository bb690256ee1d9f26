import * as z from 'zod'
import { fileHash, frameSchema, picturesIn, readRecord, type Pictures, type Frame } from '../site'

/**
 * How a site looks, without what it says: its palette, its themes, its element styles, and what is
 * decided for the whole site of type and shapes.
 */
export const liverySchema = frameSchema
  .pick({ schema: true, palette: true, themes: true, edition: true, styles: true, settings: true })
  .extend({
    /** The files of the pictures that its styles refer to, by id: they are known elsewhere by these alone. */
    files: z.record(z.string().max(80), fileHash),
  })

export type Livery = z.infer<typeof liverySchema>

/** What of a livery can be taken by itself. */
export const liveryParts = ['palette', 'themes', 'styles', 'shapes', 'type'] as const
export type LiveryPart = (typeof liveryParts)[number]

export const partLabels: Readonly<Record<LiveryPart, string>> = {
  palette: 'Palette',
  themes: 'Themes',
  styles: 'Element styles',
  shapes: 'Shapes',
  type: 'Type',
}

/** The pictures that the element styles of a site show, by id. */
export const picturesOfStyles = ({ styles }: Pick<Frame, 'styles'>): string[] => [
  ...picturesIn(styles).ids,
]

/** The livery of a site. What no longer matters, such as what slots held before, is left out. */
export function liveryOf(frame: Frame, pictures: Pictures): Livery {
  const { schema, palette, themes, edition, styles, settings } = frame
  const slots = Object.entries(palette.slots).map(([id, slot]) => [id, { ...slot, was: [] }])
  const files = picturesOfStyles(frame).flatMap((id) => {
    const file = pictures[id]?.file
    return file ? [[id, file] as const] : []
  })
  return liverySchema.parse({
    schema,
    palette: { ...palette, slots: Object.fromEntries(slots), original: [] },
    themes: { order: themes.order, byId: themes.byId },
    edition,
    styles,
    settings,
    files: Object.fromEntries(files),
  })
}

/** What a frame has besides: a livery with it goes the way of every frame when its shape changes. */
const bare = {
  name: 'Livery',
  body: { order: [], sections: {}, elements: {} },
  customCss: '',
  addOns: [],
  studies: [],
}

/** A livery that was stored, in today's shape; throws what `isUnreadable` knows when it cannot be. */
export function readLivery(stored: unknown): Livery {
  const { files, ...frame } = stored as Livery
  const read = readRecord('frame', { ...frame, ...bare })
  const { schema, palette, themes, edition, styles, settings } = read
  return liverySchema.parse({ schema, palette, themes, edition, styles, settings, files })
}
