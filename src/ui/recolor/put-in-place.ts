import type { HoldingPicture, RecolorRequest, RecoloredPicture } from '@/core/payloads'
import { pictureId, pictureVersion, type Picture } from '@/core/site'
import type { Editor } from '../editor'
import { newId } from '../new-id'
import { editProblemWords, problemWords } from '../words'

type Done<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly words: string }

const failed = (words: string) => ({ ok: false, words }) as const

/** The record of a picture, which a window holds only where the picture is in view. */
export async function heldPicture(editor: Editor, id: string): Promise<Done<Picture>> {
  const found = await editor.client.picturesByIds([id])
  if (!found.ok) return failed(problemWords(found.problem))
  editor.holdPictures(found.value)
  const picture = editor.store.getState().docs.pictures[id as Picture['id']]
  return picture ? { ok: true, value: picture } : failed('That picture is gone from the site.')
}

/** What a copy is made of: where it lies and what it is. */
const fileOf = ({ file, fileName, mediaType, width, height }: RecoloredPicture) => ({
  file,
  fileName,
  mediaType,
  width,
  height,
})

/** Makes a recoloured copy of a picture, from its every pixel; what was wrong, in words. */
async function recolored(editor: Editor, id: string, request: RecolorRequest) {
  const picture = await heldPicture(editor, id)
  if (!picture.ok) return picture
  const made = await editor.onServer(() => editor.client.recoloredPicture(id, request))
  if (!made.ok) return failed(problemWords(made.problem))
  return { ok: true, value: { picture: picture.value, copy: made.value } } as const
}

/** Puts a recoloured copy in the place of a picture, everywhere; the original stays among the pictures. */
export async function putInPlace(
  editor: Editor,
  { id }: HoldingPicture,
  request: RecolorRequest,
): Promise<Done<string>> {
  const made = await recolored(editor, id, request)
  if (!made.ok) return made
  const { picture, copy } = made.value
  const original = { id: pictureId.parse(newId('picture')), fileName: copy.originalName }
  const problem = editor.dispatch({
    type: 'exchangePicture',
    picture: id,
    ...fileOf(copy),
    alt: picture.alt,
    original,
  })
  return problem
    ? failed(`Not exchanged: ${editProblemWords[problem]}.`)
    : { ok: true, value: original.fileName }
}

/** Keeps a recoloured copy beside the picture, which stays where it is. */
export async function keepBeside(
  editor: Editor,
  { id }: HoldingPicture,
  request: RecolorRequest,
): Promise<Done<string>> {
  const made = await recolored(editor, id, request)
  if (!made.ok) return made
  const { picture, copy } = made.value
  const added: Picture = {
    schema: pictureVersion,
    id: pictureId.parse(newId('picture')),
    ...fileOf(copy),
    alt: picture.alt,
    ...(picture.focus ? { focus: picture.focus } : {}),
  }
  const problem = editor.dispatch({ type: 'addPicture', picture: added })
  return problem
    ? failed(`Not added: ${editProblemWords[problem]}.`)
    : { ok: true, value: added.fileName }
}
