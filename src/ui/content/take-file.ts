import { mostPictureBytes } from '@/core/payloads'
import { pictureId, pictureVersion, type Picture } from '@/core/site'
import type { Editor } from '../editor'
import { newId } from '../new-id'
import { editProblemWords, problemWords } from '../words'

type Taken =
  { readonly ok: true; readonly picture: Picture } | { readonly ok: false; readonly words: string }

const failed = (words: string): Taken => ({ ok: false, words })

/** Takes a picture file into the site: its bytes go to the server, the picture itself is added by an edit. */
export async function takeFile(editor: Editor, file: File, alt = ''): Promise<Taken> {
  if (file.size > mostPictureBytes) {
    const size = (file.size / 1_000_000).toFixed(0)
    return failed(`This file has ${size} MB; 25 MB are taken. Save it smaller, then try again.`)
  }
  const taken = await editor.onServer(() => editor.client.takePicture(file, file.name))
  if (!taken.ok) return failed(problemWords(taken.problem))
  if ('known' in taken.value) return { ok: true, picture: taken.value.known }
  const picture: Picture = {
    schema: pictureVersion,
    id: pictureId.parse(newId('picture')),
    ...taken.value,
    alt,
  }
  const problem = editor.dispatch({ type: 'addPicture', picture })
  return problem ? failed(`Not added: ${editProblemWords[problem]}.`) : { ok: true, picture }
}
