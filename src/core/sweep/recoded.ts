import type { StretchChange } from '../changes'
import { byteOf, byteOffsets, fromBase64, toBase64, type Use, type UsePath } from '../uses'

interface Recoded {
  readonly use: Use
  readonly after: string
}

const textAt = (record: unknown, path: UsePath): string => {
  const found = path.reduce<unknown>(
    (value, key) => (value as Record<string | number, unknown> | undefined)?.[key],
    record,
  )
  return typeof found === 'string' ? found : ''
}

/** The run of letters that a place stands in: nothing of base64 can stand before or behind it. */
function runAround(text: string, at: number): readonly [from: number, to: number] {
  const isLetter = (i: number) => /[A-Za-z0-9+/=]/.test(text[i] ?? '')
  let [from, to] = [at, at]
  while (isLetter(from - 1)) from -= 1
  while (isLetter(to)) to += 1
  return [from, to]
}

/** Colours in one picture that stands in base64, all exchanged at once: its letters are all written anew. */
function recode(letters: string, from: number, hits: readonly Recoded[]): string | undefined {
  const text = fromBase64(letters)
  if (text === undefined) return undefined
  const bytes = byteOffsets(text)
  const unitAt = (byte: number) => bytes.indexOf(byte)
  let [recoded, last] = ['', 0]
  for (const { use, after } of [...hits].sort((a, b) => a.use.start! - b.use.start!)) {
    const start = unitAt(byteOf(use.start! - from))
    recoded += text.slice(last, start) + after
    last = start + (use.css ?? use.text).length
  }
  return toBase64(recoded + text.slice(last))
}

/**
 * The changes of hits in pictures that stand in base64: one for each picture, for its letters hang
 * on one another. Throws where a picture is not what its uses were read from.
 */
export function recodedChanges(hits: readonly Recoded[], record: unknown): StretchChange[] {
  const byPicture = new Map<string, { path: UsePath; from: number; to: number; hits: Recoded[] }>()
  for (const hit of hits) {
    const { path, start = 0 } = hit.use
    const [from, to] = runAround(textAt(record, path), start)
    const key = `${path.join('/')}@${from}`
    const known = byPicture.get(key)
    if (known) known.hits.push(hit)
    else byPicture.set(key, { path, from, to, hits: [hit] })
  }
  return [...byPicture.values()].map(({ path, from, to, hits: own }) => {
    const out = textAt(record, path).slice(from, to)
    const recoded = recode(out, from, own)
    if (recoded === undefined) throw new Error('a picture in base64 is not where it was found')
    return { path: [...path], at: from, out, in: recoded }
  })
}
