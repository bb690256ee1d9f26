import type { FoundInCss } from './found-in-css'

/** Text as a browser reads it out of HTML, with the place of every character in the source. Offsets count UTF-16 units. */
export interface SourceText {
  readonly text: string
  /** Where the character at an index begins in the source; where the text ends, for its length. */
  readonly sourceAt: (index: number) => number
}

/** Where each part of a text comes from; parts are added from the first to the last. */
export class Mapping {
  private readonly parts: string[] = []
  private readonly offsets: number[] = []
  private end: number

  constructor(start: number) {
    this.end = start
  }

  add(text: string, from: number, to: number): void {
    this.parts.push(text)
    for (let i = 0; i < text.length; i += 1)
      this.offsets.push(text.length === to - from ? from + i : from)
    this.end = to
  }

  result(): SourceText {
    const text = this.parts.join('')
    return { text, sourceAt: (index) => this.offsets[index] ?? this.end }
  }
}

/** Several texts, one after the other. */
export function joined(texts: readonly SourceText[]): SourceText {
  const [first] = texts
  if (texts.length === 1 && first) return first
  const starts: number[] = []
  let length = 0
  for (const { text } of texts) {
    starts.push(length)
    length += text.length
  }
  /** The last text that begins at or before an index. */
  const textAt = (index: number): number => {
    let [low, high] = [0, starts.length - 1]
    while (low < high) {
      const middle = Math.ceil((low + high) / 2)
      if (starts[middle]! <= index) low = middle
      else high = middle - 1
    }
    return low
  }
  return {
    text: texts.map(({ text }) => text).join(''),
    sourceAt: (index) => {
      const which = textAt(index)
      return texts[which]?.sourceAt(index - (starts[which] ?? 0)) ?? 0
    },
  }
}

/** Finds in a text as finds in the source that it was read from. */
export function inSource(
  source: string,
  text: SourceText,
  finds: readonly FoundInCss[],
): FoundInCss[] {
  return finds.map((find) => {
    const start = text.sourceAt(find.start)
    const written = source.slice(start, text.sourceAt(find.start + find.text.length))
    return written === find.text
      ? { ...find, start }
      : { ...find, start, text: written, css: find.css ?? find.text }
  })
}
