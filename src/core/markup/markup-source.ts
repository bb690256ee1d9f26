import { DecodingMode, EntityDecoder, htmlDecodeTree, xmlDecodeTree } from 'entities/decode'
import { Mapping, type SourceText } from '../uses'

/** A character reference at an offset: what it stands for, and how long it is; none where the `&` is just that. */
function referenceAt(source: string, at: number, mode: DecodingMode, tree: DecodeTree) {
  let text = ''
  const decoder = new EntityDecoder(tree, (code) => {
    text += String.fromCodePoint(code)
  })
  decoder.startEntity(mode)
  // No reference is longer than the longest name; numbers may have leading zeros.
  const window = source.slice(at + 1, at + 64)
  const written = decoder.write(window, 0)
  const length = written < 0 ? decoder.end() : written
  return length > 0 ? { text, length } : undefined
}

type DecodeTree = ConstructorParameters<typeof EntityDecoder>[0]

/** Reads a stretch up to `end`: character references, line ends (HTML §13.2.3.5), and NUL. */
function decodeInto(
  mapping: Mapping,
  source: string,
  start: number,
  end: number,
  mode: DecodingMode,
  tree: DecodeTree = htmlDecodeTree,
): void {
  let plain = start
  const flush = (at: number) => {
    if (at > plain) mapping.add(source.slice(plain, at), plain, at)
  }
  for (let at = start; at < end;) {
    const character = source[at]!
    if (character === '&') {
      const found = referenceAt(source, at, mode, tree)
      if (found) {
        flush(at)
        mapping.add(found.text, at, at + found.length)
        at += found.length
        plain = at
        continue
      }
    } else if (character === '\r') {
      flush(at)
      const length = source[at + 1] === '\n' ? 2 : 1
      mapping.add('\n', at, at + length)
      at += length
      plain = at
      continue
    } else if (character === '\0') {
      flush(at)
      mapping.add('\ufffd', at, at + 1)
      plain = at + 1
    }
    at += 1
  }
  flush(end)
}

/** The value of an attribute, given where the attribute stands; undefined where it has none. */
export function attributeText(source: string, start: number, end: number): SourceText | undefined {
  const head = /^[^\s=]+\s*=\s*/.exec(source.slice(start, end))
  if (!head) return undefined
  const from = start + head[0].length
  const quote = source[from] === '"' || source[from] === "'" ? 1 : 0
  const mapping = new Mapping(from + quote)
  decodeInto(mapping, source, from + quote, end - quote, DecodingMode.Attribute)
  return mapping.result()
}

/** The value of an attribute in XML, where no name but five stands for a character (XML 1.0 §4.6). */
export function xmlText(source: string, start: number, end: number): SourceText {
  const mapping = new Mapping(start)
  decodeInto(mapping, source, start, end, DecodingMode.Strict, xmlDecodeTree)
  return mapping.result()
}

const CDATA = /<!\[CDATA\[([\s\S]*?)(?:\]\]>|$)/y
const MARKUP = /<(?:!--[\s\S]*?(?:-->|$)|[/!?a-zA-Z][^>]*(?:>|$))/y

/** Text between tags of SVG: character references count, CDATA sections are taken as they are, stray tags passed over. */
export function foreignText(source: string, start: number, end: number): SourceText {
  const mapping = new Mapping(start)
  const slice = source.slice(0, end)
  let at = start
  while (at < end) {
    const next = slice.indexOf('<', at)
    const stop = next === -1 ? end : next
    decodeInto(mapping, slice, at, stop, DecodingMode.Legacy)
    if (next === -1) break
    CDATA.lastIndex = next
    MARKUP.lastIndex = next
    const section = CDATA.exec(slice)
    const markup = section ? null : MARKUP.exec(slice)
    if (section) {
      const inside = next + '<![CDATA['.length
      addPlain(mapping, slice, inside, inside + section[1]!.length)
    } else if (!markup) mapping.add('<', next, next + 1)
    at = next + (section ?? markup ?? ['<'])[0]!.length
  }
  return mapping.result()
}

/** Text of XML that is taken as it is: a CDATA section. */
export function plainText(source: string, start: number, end: number): SourceText {
  const mapping = new Mapping(start)
  addPlain(mapping, source, start, end)
  return mapping.result()
}

/** Text in which only line ends are read otherwise. */
function addPlain(mapping: Mapping, source: string, start: number, end: number): void {
  let plain = start
  for (
    let at = source.indexOf('\r', start);
    at !== -1 && at < end;
    at = source.indexOf('\r', plain)
  ) {
    if (at > plain) mapping.add(source.slice(plain, at), plain, at)
    const length = source[at + 1] === '\n' ? 2 : 1
    mapping.add('\n', at, at + length)
    plain = at + length
  }
  if (end > plain) mapping.add(source.slice(plain, end), plain, end)
}
