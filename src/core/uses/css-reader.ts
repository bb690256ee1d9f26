import { parse, walk, type CssNode, type Declaration } from 'css-tree'
import { colorOf } from '../color'
import type { UsePaints } from './use'

/** A colour, or a reference to a slot, found in CSS text. Offsets count UTF-16 units. */
export interface FoundInCss {
  readonly start: number
  readonly text: string
  readonly slot?: string
  readonly property: string
  readonly paints: UsePaints
}

/** Properties that take colours; words elsewhere (font or animation names) are no colours. CSS specifications, by module. */
const COLOR_PROPERTY =
  /^(?:-(?:webkit|moz|ms|o)-)?(?:color|(?:background|border|outline|column-rule|text-decoration|text-emphasis|text-stroke|text-fill|caret|accent|scrollbar|fill|stroke|stop|flood|lighting|tap-highlight|mask|list-style|box-shadow|text-shadow|filter|backdrop-filter|content)(?:-.*)?)$/i

export function paintsOf(property: string): UsePaints {
  if (/shadow|filter/i.test(property)) return 'shadow'
  if (/background|^fill$/i.test(property)) return 'fill'
  if (/border|outline|rule|stroke/i.test(property)) return 'line'
  return /color|decoration|text|caret/i.test(property) ? 'text' : 'other'
}

const COLOR_FUNCTION = /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix)$/i
const SLOT = /^--slot-([a-z][a-z0-9-]*?)(?:--[a-z0-9-]+)?$/

/**
 * Every colour in a stylesheet, or in one declaration list (`style="…"`), with
 * its exact place. Comments, strings, addresses and selectors are passed over;
 * what cannot be parsed is left alone.
 */
export function readCssColors(
  css: string,
  context: 'stylesheet' | 'declarationList',
): FoundInCss[] {
  const found: FoundInCss[] = []
  const tree = parse(css, {
    context,
    positions: true,
    parseCustomProperty: true,
    parseAtrulePrelude: false,
    parseRulePrelude: false,
    onParseError: () => undefined,
  })
  walk(tree, {
    visit: 'Declaration',
    enter(declaration) {
      readDeclaration(css, declaration, found)
    },
  })
  return found.sort((a, b) => a.start - b.start)
}

function readDeclaration(css: string, declaration: Declaration, found: FoundInCss[]): void {
  const { property, value } = declaration
  const custom = property.startsWith('--')
  if (value.type !== 'Value' || !(custom || COLOR_PROPERTY.test(property))) return
  const paints = paintsOf(property)
  const lone = value.children.size === 1
  const take = (node: CssNode, slot?: string) => {
    const text = css.slice(node.loc!.start.offset, node.loc!.end.offset)
    found.push({ start: node.loc!.start.offset, text, property, paints, ...(slot ? { slot } : {}) })
  }
  walk(value, function (this, node) {
    if (node.type === 'Url' || node.type === 'String') return walk.skip
    const isColor = (text: string) => colorOf(text) !== undefined
    if (node.type === 'Hash') {
      if (isColor(`#${node.value}`)) take(node)
    } else if (node.type === 'Identifier') {
      if ((!custom || lone) && /^[a-z]+$/i.test(node.name) && isNamedColor(node.name)) take(node)
    } else if (node.type === 'Function') {
      const name = node.children.first
      const slot = node.name === 'var' && name?.type === 'Identifier' ? SLOT.exec(name.name) : null
      if (slot) {
        take(node, slot[1])
        return walk.skip
      }
      if (!COLOR_FUNCTION.test(node.name)) return undefined
      const text = css.slice(node.loc!.start.offset, node.loc!.end.offset)
      if (isColor(text)) {
        take(node)
        return walk.skip
      }
    }
    return undefined
  })
}

/** `red`, not `f00`: a bare word is only a colour when it names one. `transparent` holds no colour. */
function isNamedColor(word: string): boolean {
  const lower = word.toLowerCase()
  if (lower === 'transparent' || /^[a-f]{3,4}$|^[a-f]{6}$|^[a-f]{8}$/.test(lower)) return false
  return colorOf(lower) !== undefined
}

export function lineAt(text: string, offset: number): number {
  return text.slice(0, offset).split('\n').length
}

/** The line around a find, trimmed for showing. */
export function contextOf(
  text: string,
  start: number,
  length: number,
): { context: string; textAt: number } {
  const lineStart = text.lastIndexOf('\n', start - 1) + 1
  const lineEnd = text.indexOf('\n', start + length)
  const line = text.slice(lineStart, lineEnd === -1 ? undefined : lineEnd)
  const from = Math.max(0, start - lineStart - 22)
  const cut = line.slice(from, start - lineStart + length + 30)
  const lead = cut.length - cut.trimStart().length
  return { context: cut.trim(), textAt: start - lineStart - from - lead }
}
