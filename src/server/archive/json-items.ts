import { deepestJson, jsonDepth } from '@/core/formats'
import { ArchiveRefused } from './refused'

const [quote, backslash, comma] = ['"', '\\', ','].map((each) => each.charCodeAt(0))
const opening = new Set(['[', '{'].map((each) => each.charCodeAt(0)))
const closing = new Set([']', '}'].map((each) => each.charCodeAt(0)))

/** Longest text of one item, in bytes. */
const mostItem = 32_000_000

function parsed(text: string): unknown {
  if (jsonDepth(text) > deepestJson) throw new ArchiveRefused('tampered')
  try {
    return JSON.parse(text)
  } catch {
    throw new ArchiveRefused('tampered')
  }
}

/**
 * The items of a JSON list one after the other, so that a list of millions never is in memory
 * as objects and reading ends at the first item that is at fault. Throws `ArchiveRefused`
 * where the text is no list, or begins or ends with white space.
 */
export function* itemsOf(data: Buffer): Generator<unknown> {
  const end = data.length - 1
  const isList = end > 0 && data[0] === '['.charCodeAt(0) && data[end] === ']'.charCodeAt(0)
  if (!isList) throw new ArchiveRefused('tampered')
  let depth = 0
  let isText = false
  let start = 1
  for (let at = 1; at < end; at += 1) {
    const byte = data[at]!
    if (isText) {
      if (byte === backslash) at += 1
      else if (byte === quote) isText = false
    } else if (byte === quote) isText = true
    else if (opening.has(byte)) depth += 1
    else if (closing.has(byte)) depth -= 1
    else if (byte === comma && depth === 0) {
      yield parsed(data.toString('utf8', start, at))
      start = at + 1
    }
    if (at - start > mostItem || depth < 0) throw new ArchiveRefused('tampered')
  }
  const last = data.toString('utf8', start, end)
  if (start > 1 || last.trim() !== '') yield parsed(last)
}
