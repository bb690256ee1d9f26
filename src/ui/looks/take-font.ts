import { mostFontBytes } from '@/core/payloads'
import { fontId, fontVersion, type Font } from '@/core/site'
import type { Editor } from '../editor'
import { newId } from '../new-id'
import { editProblemWords, problemWords } from '../words'

/** Whether this browser can set words in a font: what it would do with it on a page. */
async function isUsable(file: File): Promise<boolean> {
  try {
    await new FontFace('tried on', await file.arrayBuffer()).load()
    return true
  } catch {
    return false
  }
}

/** Takes a font file into the site; returns the font, or why it cannot be taken, in words. */
export async function takeFont(editor: Editor, file: File): Promise<Font | string> {
  if (file.size > mostFontBytes) {
    const size = (file.size / 1_000_000).toFixed(0)
    return `${file.name} has ${size} MB; 8 MB are taken. Take the WOFF2 of it, or one with fewer characters.`
  }
  const taken = await editor.onServer(() => editor.client.takeFont(file))
  if (!taken.ok) return problemWords(taken.problem)
  if (!(await isUsable(file))) {
    return 'Browsers do not take this font: something in it is against the rules. Export or fetch it once more, then try again.'
  }
  const held = Object.values(editor.store.getState().docs.fonts)
  if (held.some((font) => font.file === taken.value.file)) return 'The site has this very font.'
  const font: Font = { schema: fontVersion, id: fontId.parse(newId('font')), ...taken.value }
  const problem = editor.dispatch({ type: 'addFont', font })
  return problem ? `Not added: ${editProblemWords[problem]}.` : font
}
