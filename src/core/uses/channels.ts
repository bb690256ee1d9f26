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

/** A property as it is declared: with three numbers here and there, and whether always so. */
interface Declared {
  readonly numbers: Numbers[]
  isAlwaysSo: boolean
}

/**
 * Custom properties that hold the three numbers of a colour alone, for a colour function
 * to take: what function that is tells what colour they are.
 */
export class Channels {
  /** The function that takes a property; none where several kinds do. */
  private readonly takers = new Map<string, string | undefined>()
  private readonly declared = new Map<string, Declared>()

  /** A colour whose numbers are not there to be read. */
  refer(text: string): void {
    const [, name, property] = TAKES_ALL.exec(text) ?? []
    if (!name || !property) return
    const taker = name.toLowerCase()
    const isAlike = !this.takers.has(property) || this.takers.get(property) === taker
    this.takers.set(property, isAlike ? taker : undefined)
  }

  declare(property: string, start: number, text: string): void {
    const known = this.declared.get(property) ?? { numbers: [], isAlwaysSo: true }
    this.declared.set(property, known)
    if (THREE.test(text)) known.numbers.push({ start, text })
    else known.isAlwaysSo = false
  }

  /** The colours that properties hold the numbers of. */
  finds(): FoundInCss[] {
    return [...this.takers].flatMap(([property, taker]) =>
      (this.declared.get(property)?.numbers ?? []).flatMap((numbers): FoundInCss[] => {
        const css = `${taker}(${numbers.text})`
        if (!taker || !colorOf(css)) return []
        const escape = 'channels'
        return [{ ...numbers, css, escape, property, paints: 'other', bindable: false }]
      }),
    )
  }

  /** The properties of which nothing but such numbers is declared. */
  found(): ReadonlySet<string> {
    const counts = new Map<string, number>()
    for (const { property } of this.finds()) counts.set(property, (counts.get(property) ?? 0) + 1)
    const isAll = ([property, count]: readonly [string, number]) => {
      const { numbers, isAlwaysSo } = this.declared.get(property)!
      return isAlwaysSo && numbers.length === count
    }
    return new Set([...counts].filter(isAll).map(([property]) => property))
  }
}

/** The property that a colour takes all its numbers from. */
export const takenFrom = (text: string): string | undefined => TAKES_ALL.exec(text)?.[2]
