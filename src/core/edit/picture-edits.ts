import * as z from 'zod'
import { escaped } from '../css'
import { isNamedAs, own, pictureFields, pictureId, pictureSchema, plainText } from '../site'
import { defineEdit } from './edit'

const addPictureCommand = z.strictObject({ type: z.literal('addPicture'), picture: pictureSchema })

/** Adds a picture whose file lies in the file store. */
export const addPicture = defineEdit<z.infer<typeof addPictureCommand>>({
  type: 'addPicture',
  schema: addPictureCommand,
  needs: ({ picture: { id } }) => [{ kind: 'picture', id }],
  apply({ pictures }, { picture }) {
    if (pictures[picture.id]) return 'picture-taken'
    const taken = Object.values(pictures).some(({ fileName }) => fileName === picture.fileName)
    if (taken) return 'file-taken'
    pictures[picture.id] = picture
  },
  describe: ({ picture }) => `Picture ${picture.fileName} added`,
})

const describePictureCommand = z.strictObject({
  type: z.literal('describePicture'),
  picture: pictureId,
  alt: plainText(400),
})

/** Says in words what a picture shows. */
export const describePicture = defineEdit<z.infer<typeof describePictureCommand>>({
  type: 'describePicture',
  schema: describePictureCommand,
  needs: ({ picture: id }) => [{ kind: 'picture', id }],
  apply({ pictures }, { picture: id, alt }) {
    const picture = pictures[id]
    if (!picture) return 'picture-gone'
    picture.alt = alt
  },
  describe: ({ picture }, { pictures }) =>
    `Picture ${pictures[picture]?.fileName ?? picture}: what it shows`,
})

const focusPictureCommand = z.strictObject({
  type: z.literal('focusPicture'),
  picture: pictureId,
  /** In hundredths of width and height; the middle where absent. */
  focus: pictureFields.shape.focus,
})

/** Says which point of a picture stays in sight wherever it is cut. */
export const focusPicture = defineEdit<z.infer<typeof focusPictureCommand>>({
  type: 'focusPicture',
  schema: focusPictureCommand,
  needs: ({ picture: id }) => [{ kind: 'picture', id }],
  apply({ pictures }, { picture: id, focus }) {
    const picture = own(pictures, id)
    if (!picture) return 'picture-gone'
    if (focus) picture.focus = focus
    else delete picture.focus
  },
  describe: ({ picture }, { pictures }) =>
    `Picture ${own(pictures, picture)?.fileName ?? picture}: its focus`,
})

const exchangePictureCommand = z.strictObject({
  type: z.literal('exchangePicture'),
  picture: pictureId,
  ...pictureFields.pick({
    file: true,
    fileName: true,
    mediaType: true,
    width: true,
    height: true,
    slots: true,
  }).shape,
  alt: pictureFields.shape.alt,
  /** The picture as it was is kept under this id and file name, beside the other. */
  original: pictureFields.pick({ id: true, fileName: true }).optional(),
})

/**
 * Puts another file in the place of a picture's, wherever it is used. One of the same kind keeps
 * its file name; where that changes, custom CSS that names it follows.
 */
export const exchangePicture = defineEdit<z.infer<typeof exchangePictureCommand>>({
  type: 'exchangePicture',
  schema: exchangePictureCommand,
  needs: ({ picture: id, original }) => [
    { kind: 'picture', id },
    ...(original ? [{ kind: 'picture' as const, id: original.id }] : []),
  ],
  apply({ frame, pictures }, { type: _type, picture: id, original, ...given }) {
    const picture = own(pictures, id)
    if (!picture) return 'picture-gone'
    const { fileName: old, mediaType } = picture
    const fileName = given.mediaType === mediaType ? old : given.fileName
    if (!isNamedAs(fileName, given.mediaType)) return 'file-other-kind'
    const isTaken = Object.values(pictures).some(
      (each) => each.id !== id && each.fileName === fileName,
    )
    if (isTaken) return 'file-taken'
    if (original) {
      if (own(pictures, original.id)) return 'picture-taken'
      const names = Object.values(pictures).map((each) => each.fileName)
      if (original.fileName === fileName || names.includes(original.fileName)) return 'file-taken'
      pictures[original.id] = { ...picture, ...original }
    }
    if (fileName !== old) frame.customCss = renamedIn(frame.customCss, old, fileName)
    Object.assign(picture, given, { fileName })
    // Where the new one is cut is for whoever sees it to say.
    delete picture.focus
    if (!given.slots) delete picture.slots
  },
  describe: ({ picture }, { pictures }) =>
    `Picture ${own(pictures, picture)?.fileName ?? picture} exchanged everywhere`,
})

/** A text in which a file is called otherwise; longer names that hold its name are left. */
const renamedIn = (text: string, from: string, to: string): string =>
  text.replaceAll(new RegExp(`(?<![\\w.-])${escaped(from)}(?![\\w.-])`, 'g'), to)

const removePictureCommand = z.strictObject({
  type: z.literal('removePicture'),
  picture: pictureId,
})

/** Takes a picture away; its file is kept for as long as the history can bring it back. */
export const removePicture = defineEdit<z.infer<typeof removePictureCommand>>({
  type: 'removePicture',
  schema: removePictureCommand,
  needs: ({ picture: id }) => [{ kind: 'picture', id }],
  apply({ pictures }, { picture: id }) {
    if (!pictures[id]) return 'picture-gone'
    delete pictures[id]
  },
  describe: ({ picture }, { pictures }) =>
    `Picture ${pictures[picture]?.fileName ?? picture} removed`,
})
