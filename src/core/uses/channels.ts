import { colorOf } from '../color'
import type { FoundInCss } from './found-in-css'

/** A colour function that takes all its numbers from one custom property: `rgba(var(--brand), .5)`. */
const TAKES_ALL =
  /^(rgb|hsl|hwb|lab|lch|oklab|oklch)a?\(\s*var\(\s*(--[^\s(),/]+)\s*\)\s*(?:[,/][^]*)?\)$/i

const NUMBER = String.raw`[+-]?(?:\d+\.?\d*|\.\d+)(?:%|deg)?`
const THREE = new RegExp(
  String.raw`^${NUMBER}(?:\s*,\s*${NUMBER}\s*,\s*|\s+${NUMBER}\s+)${NUMBER}$`,
  'i',
)

interface Numbers {
  readonly start: number
  readonly text: string
}

/**
 * Custom properties that hold the three numbers of a colour alone, for a colour function
 * to take: what function that is tells what colour they are.
 */
export class Channels {
  /** The function that takes a property; none where several kinds do. */
  private readonly takers = new Map<string, string | undefined>()
  /** What properties are declared as; undefined where that is something else. */
  private readonly declared = new Map<string, Array<Numbers | undefined>>()

  /** A colour whose numbers are not there to be read. */
  refer(text: string): void {
    const [, name, property] = TAKES_ALL.exec(text) ?? []
    if (!name || !property) return
    const taker = name.toLowerCase()
    const isAlike = !this.takers.has(property) || this.takers.get(property) === taker
    this.takers.set(property, isAlike ? taker : undefined)
  }

  declare(property: string, start: number, text: string): void {
    const all = this.declared.get(property) ?? []
    this.declared.set(property, [...all, THREE.test(text) ? { start, text } : undefined])
  }

  /** The colours that properties hold the numbers of. */
  finds(): FoundInCss[] {
    return [...this.takers].flatMap(([property, taker]) =>
      (this.declared.get(property) ?? []).flatMap((numbers): FoundInCss[] => {
        const css = taker && numbers ? `${taker}(${numbers.text})` : ''
        if (!numbers || !colorOf(css)) return []
        const escape = 'channels'
        return [{ ...numbers, css, escape, property, paints: 'other', bindable: false }]
      }),
    )
  }

  /** Whether the numbers of a colour are all found where they are held. */
  isFound(text: string): boolean {
    const [, name, property] = TAKES_ALL.exec(text) ?? []
    const taker = property && this.takers.get(property)
    const all = (property && this.declared.get(property)) || []
    return (
      !!name &&
      !!taker &&
      all.length > 0 &&
      all.every((each) => each && colorOf(`${taker}(${each.text})`))
    )
  }
}
