import { TokenType, type CSSToken } from '../css'
import { byteOffsets, fromBase64, letterOf } from './base64'
import type { Escape } from './escape'
import type { FoundInCss } from './found-in-css'
import { Mapping, type SourceText } from './source-text'

/** Reads the colours of a vector picture that stands inside an address. */
export type PictureReader = (svg: string) => readonly FoundInCss[]

/** Where the pictures that a text holds are no matter. */
export const noPictures: PictureReader = () => []

/** Functions whose texts are addresses of pictures (CSS Images 4). */
const LOADS = /^(?:url|src|image|image-set|-webkit-image-set|cross-fade|-webkit-cross-fade)$/

const HEX_ESCAPE = /^[\da-f]{1,6}(?:\r\n|[ \t\r\n\f])?/i

/** Text of a string or an address of CSS, with escapes resolved (CSS Syntax 3 §4.3.7). */
function unescaped(css: string, start: number, end: number): SourceText {
  const mapping = new Mapping(start)
  let at = start
  while (at < end) {
    const next = css.indexOf('\\', at)
    const stop = next < 0 || next >= end ? end : next
    if (stop > at) mapping.add(css.slice(at, stop), at, stop)
    if (stop === end) break
    const hex = HEX_ESCAPE.exec(css.slice(stop + 1, stop + 9))
    const line = /^(?:\r\n|[\n\r\f])/.exec(css.slice(stop + 1, stop + 3))
    if (hex) {
      const code = Number.parseInt(hex[0], 16)
      const isNone = code === 0 || code > 0x10ffff || (code >= 0xd800 && code <= 0xdfff)
      at = stop + 1 + hex[0].length
      mapping.add(String.fromCodePoint(isNone ? 0xfffd : code), stop, at)
    } else if (line) {
      at = stop + 1 + line[0].length
      mapping.add('', stop, at)
    } else {
      at = stop + 2
      mapping.add(css.slice(stop + 1, at), stop, at)
    }
  }
  return mapping.result()
}

/** The addresses that hold a vector picture themselves, of those that a value loads. Strings elsewhere are words. */
export function heldAddresses(css: string, tokens: readonly CSSToken[]): SourceText[] {
  const found: SourceText[] = []
  const open: boolean[] = []
  for (const token of tokens) {
    const [type, raw, start, last] = token
    if (type === TokenType.Function) open.push(LOADS.test(token[4].value.toLowerCase()))
    else if (type === TokenType.OpenParen) open.push(open.at(-1) ?? false)
    else if (type === TokenType.CloseParen) open.pop()
    else if (type === TokenType.URL && HOLDS.test(token[4].value)) {
      const head = /^[^(]*\(\s*/.exec(raw)![0].length
      const tail = /\s*\)?$/.exec(raw)![0].length
      found.push(unescaped(css, start + head, last + 1 - tail))
    } else if (type === TokenType.String && open.at(-1) && HOLDS.test(token[4].value)) {
      const isClosed = raw.length > 1 && raw.endsWith(raw[0]!)
      found.push(unescaped(css, start + 1, last + (isClosed ? 0 : 1)))
    }
  }
  return found
}

/** An address that holds a vector picture, up to where its characters begin. */
const HOLDS = /^\s*data:image\/svg\+xml((?:;[^,;]*)*),/i

/** Whether an address holds a vector picture itself. */
export const holdsSvg = (address: string): boolean => HOLDS.test(address)

/** Runs of escaped bytes, read as UTF-8; what is none is taken as it is. */
function decoded(run: string): string | undefined {
  try {
    return decodeURIComponent(run)
  } catch {
    return undefined
  }
}

/** A vector picture that an address holds, and how its characters are written there. */
export interface HeldSvg {
  readonly svg: SourceText
  readonly escape: Escape
}

/**
 * The text of a vector picture that an address holds, with the place of every character.
 * A `#` that is not escaped ends it: what follows names a part of the picture (URL §4.3).
 */
export function heldSvg(address: SourceText): HeldSvg | undefined {
  const head = HOLDS.exec(address.text)
  if (!head) return undefined
  const start = head[0].length
  if (!/;\s*base64\s*$/i.test(head[1]!)) {
    return { svg: percentText(address, start), escape: 'percent' }
  }
  const svg = base64Text(address, start)
  return svg && { svg, escape: 'base64' }
}

/** Text that stands in base64 without anything between its letters; undefined for what is read in another way. */
function base64Text({ text, sourceAt }: SourceText, start: number): SourceText | undefined {
  const payload = text.slice(start)
  const from = sourceAt(start)
  // Where letters are escaped in their turn, nobody could put others in their place exactly.
  if (sourceAt(text.length) - from !== payload.length) return undefined
  const read = fromBase64(payload)
  if (read === undefined) return undefined
  const bytes = byteOffsets(read)
  return {
    text: read,
    sourceAt: (index) => from + letterOf(bytes[Math.min(index, read.length)]!),
  }
}

function percentText({ text, sourceAt }: SourceText, start: number): SourceText {
  const hash = text.indexOf('#', start)
  const end = hash < 0 ? text.length : hash
  const mapping = new Mapping(sourceAt(start))
  const add = (plain: string, from: number, to: number) =>
    mapping.add(plain, sourceAt(from), sourceAt(to))
  for (const run of text.slice(start, end).matchAll(/(?:%[\da-f]{2})+|[\t\r\n]+|%|[^%\t\r\n]+/gi)) {
    const from = start + run.index
    const to = from + run[0].length
    if (/^[\t\r\n]/.test(run[0])) add('', from, to)
    else if (run[0].length < 3 || !run[0].startsWith('%')) {
      for (let at = from; at < to; at += 1) add(text[at]!, at, at + 1)
    } else if (/^(?:%[0-7][\da-f])+$/i.test(run[0])) {
      for (let at = from; at < to; at += 3) add(decoded(text.slice(at, at + 3))!, at, at + 3)
    } else add(decoded(run[0]) ?? run[0], from, to)
  }
  return mapping.result()
}
