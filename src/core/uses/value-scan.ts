import { colorOf } from '../color'
import { TokenType, type CSSToken } from '../css'

const COLOR_FUNCTION = /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)$/
/** Functions whose arguments may be colours by name: colours, gradients, pictures, filters. */
const TAKES_COLORS =
  /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix|light-dark|contrast-color|drop-shadow|image|if|from|to|color-stop|(?:-\w+-)?(?:(?:repeating-)?(?:linear|radial|conic)-gradient|gradient|image-set|cross-fade))$/
/** Functions of which only what follows the first comma is a value: `var(--name, red)`. */
const FALLS_BACK = /^(?:var|attr|env)$/
/** Functions whose words and hashes are names: of counters, elements, painters, styles. */
const TAKES_NAMES =
  /^(?:counters?|string|content|element|paint|target-(?:counters?|text)|leader|symbols|style|format|path)$/
const SLOT = /^--slot-([a-z][a-z0-9-]*?)(?:--[a-z0-9-]+)?$/

/** `red`, not `f00`: a bare word is only a colour when it names one. `transparent` holds no colour. */
function isNamedColor(word: string): boolean {
  const lower = word.toLowerCase()
  if (lower === 'transparent' || !/^[a-z]+$/.test(lower)) return false
  if (/^[a-f]{3,4}$|^[a-f]{6}$|^[a-f]{8}$/.test(lower)) return false
  return colorOf(lower) !== undefined
}

/** 3, 4, 6 or 8 digits; nothing that an escape put behind them. */
const isHex = (word: string) => /^(?:[\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/i.test(word)

/** What stands in a value: a stretch of its source, and whether it is a colour of its own or one made of others. */
interface Stretch {
  readonly start: number
  readonly end: number
  readonly slot?: string
}

interface OpenFunction {
  readonly name: string
  readonly start: number
  /** How many colours had been found before it. */
  readonly foundBefore: number
  /** Whether colours by name, and any colours, may stand in it. */
  readonly named: boolean
  readonly any: boolean
}

/**
 * Goes through a value once and finds the colours in it: those inside
 * `color-mix()`, relative colours, `light-dark()` and `contrast-color()` one by
 * one, for they are what was decided. `named` says whether a colour name may
 * stand outside of any function.
 */
export class ValueScan {
  readonly found: Stretch[] = []
  /** The outermost functions that make colours out of those found. */
  readonly made: Stretch[] = []
  /** Colours whose numbers are not there to be read: custom properties hold some of them. */
  readonly unread: Stretch[] = []
  private readonly open: OpenFunction[] = []
  private makers = 0
  /** While a reference to a slot is passed over, how deep it was found. */
  private passing = -1

  constructor(
    private readonly css: string,
    private readonly named: boolean,
  ) {}

  run(tokens: readonly CSSToken[]): void {
    tokens.forEach((token, i) => this.take(token, tokens[i + 1]))
  }

  private take(token: CSSToken, next: CSSToken | undefined): void {
    const [type, , start, last] = token
    const end = last + 1
    if (type === TokenType.Function) this.enter(token[4].value.toLowerCase(), start, next)
    else if (
      type === TokenType.OpenParen ||
      type === TokenType.OpenSquare ||
      type === TokenType.OpenCurly
    ) {
      const { named, any } = this.inside()
      this.open.push({ name: '', start, foundBefore: this.found.length, named, any })
    } else if (
      type === TokenType.CloseParen ||
      type === TokenType.CloseSquare ||
      type === TokenType.CloseCurly
    )
      this.leave(end)
    else if (this.passing >= 0) return
    else if (type === TokenType.Comma) this.fallBack()
    else if (type === TokenType.Hash) {
      if (this.inside().any && isHex(token[4].value)) this.found.push({ start, end })
    } else if (type === TokenType.Ident) {
      if (this.inside().named && isNamedColor(token[4].value)) this.found.push({ start, end })
    }
  }

  private inside(): Pick<OpenFunction, 'named' | 'any'> {
    return this.open.at(-1) ?? { named: this.named, any: true }
  }

  private enter(name: string, start: number, next: CSSToken | undefined): void {
    const foundBefore = this.found.length
    const around = this.inside()
    const word = next?.[0] === TokenType.Ident ? next[4].value : ''
    if (this.passing < 0 && name === 'var' && around.any && SLOT.test(word)) {
      this.passing = this.open.length
      this.found.push({ start, end: start, slot: SLOT.exec(word)![1] })
    }
    const any = around.any && !TAKES_NAMES.test(name) && !FALLS_BACK.test(name)
    const named = any && TAKES_COLORS.test(name)
    if (makesColors(name)) this.makers += 1
    this.open.push({ name, start, foundBefore, named, any })
  }

  /** After the first comma of `var()` and its like stands a value of its own. */
  private fallBack(): void {
    const own = this.open.at(-1)
    if (!own || own.any || !FALLS_BACK.test(own.name)) return
    const around = this.open.at(-2) ?? { named: this.named, any: true }
    this.open[this.open.length - 1] = { ...own, named: around.named, any: around.any }
  }

  private leave(end: number): void {
    const own = this.open.pop()
    if (!own) return
    const { name, start, foundBefore } = own
    if (this.passing === this.open.length) {
      this.passing = -1
      const slot = this.found.pop()!
      this.found.push({ ...slot, end })
      return
    }
    if (!makesColors(name)) return
    this.makers -= 1
    if (this.passing >= 0 || !this.inside().any) return
    const isEmpty = this.found.length === foundBefore
    if (isEmpty && COLOR_FUNCTION.test(name)) {
      const text = end - start <= LONGEST_COLOR ? this.css.slice(start, end) : ''
      if (colorOf(text)) this.found.push({ start, end })
      else if (HELD_ELSEWHERE.test(text)) this.unread.push({ start, end })
    }
    if (!isEmpty && this.makers === 0) this.made.push({ start, end })
  }
}

/** A colour with a part that is written elsewhere; one that is made of another colour is told by that. */
const HELD_ELSEWHERE = /^[a-z]+\((?!\s*from\s).*\b(?:var|attr|env)\(/is

/** A longer stretch holds no colour, and is not looked at again for each function that it is in. */
const LONGEST_COLOR = 400

const makesColors = (name: string) =>
  COLOR_FUNCTION.test(name) || /^(?:color-mix|light-dark|contrast-color)$/.test(name)
