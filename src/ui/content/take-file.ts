import { mostPictureBytes, type TakenPicture } from '@/core/payloads'
import { pictureId, pictureVersion, type Picture } from '@/core/site'
import type { Editor } from '../editor'
import { newId } from '../new-id'
import { tellLeftOut } from '../tell-left-out'
import { editProblemWords, problemWords } from '../words'

/** Kinds of files that are taken as pictures. */
export const pictureTypes = 'image/jpeg,image/png,image/webp,image/avif,image/gif,image/svg+xml'

type Taken =
  { readonly ok: true; readonly picture: Picture } | { readonly ok: false; readonly words: string }

const failed = (words: string): Taken => ({ ok: false, words })

/** Brings the bytes of a picture file to the server; or says why they cannot be taken. */
async function bring(editor: Editor, file: File): Promise<TakenPicture | string> {
  if (file.size > mostPictureBytes) {
    const size = (file.size / 1_000_000).toFixed(0)
    return `This file has ${size} MB; 25 MB are taken. Save it smaller, then try again.`
  }
  const taken = await editor.onServer(() => editor.client.takePicture(file, file.name))
  if (!taken.ok) return problemWords(taken.problem)
  const { leftOut } = taken.value
  if (leftOut) tellLeftOut([{ of: file.name, what: leftOut }])
  return taken.value
}

/** Takes a picture file into the site: its bytes go to the server, the picture itself is added by an edit. */
export async function takeFile(editor: Editor, file: File, alt = ''): Promise<Taken> {
  const taken = await bring(editor, file)
  if (typeof taken === 'string') return failed(taken)
  if ('known' in taken) return { ok: true, picture: taken.known }
  const { leftOut: _told, ...kept } = taken
  const picture: Picture = {
    schema: pictureVersion,
    id: pictureId.parse(newId('picture')),
    ...kept,
    alt,
  }
  const problem = editor.dispatch({ type: 'addPicture', picture })
  return problem ? failed(`Not added: ${editProblemWords[problem]}.`) : { ok: true, picture }
}

/** Puts a file in the place of a picture's, wherever that stands; returns why it could not, in words. */
export async function exchangeFile(
  editor: Editor,
  picture: Picture,
  given: File,
): Promise<string | undefined> {
  const taken = await bring(editor, given)
  if (typeof taken === 'string') return taken
  const { file, mediaType, width, height, slots } = 'known' in taken ? taken.known : taken
  if (file === picture.file) return 'That is the very file that it has.'
  const { fileName } = taken
  const problem = editor.dispatch({
    type: 'exchangePicture',
    picture: picture.id,
    ...{ file, fileName, mediaType, width, height, alt: picture.alt },
    ...(slots ? { slots } : {}),
  })
  return problem && `Not exchanged: ${editProblemWords[problem]}.`
}
