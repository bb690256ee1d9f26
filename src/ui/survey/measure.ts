/** How the words of one block of an element stand on a page. */
export interface Measure {
  /** The element, by its document, and which of its blocks of words this is. */
  readonly key: string
  readonly doc: string
  readonly section: string
  readonly element: string
  readonly words: string
  readonly lines: number
  /** How far the words reach beyond the section that they stand in, CSS pixels. */
  readonly out: number
  /** How much of them something cuts off, CSS pixels. */
  readonly cut: number
  /** The longest word where it has no room, and is torn into two lines. */
  readonly torn?: string
}

/** Waits until whoever works at the interface has had their turn. */
export type Breathe = () => Promise<void> | void

/** Milliseconds that are worked without a break: well under what a person feels. */
const WORK = 8

/** Lets whatever waits have its turn, input first, and goes on at once where nothing does. */
function turn(): Promise<void> {
  const { scheduler } = globalThis as { scheduler?: { yield?: () => Promise<void> } }
  return scheduler?.yield?.() ?? new Promise((resolve) => setTimeout(resolve))
}

/** Breathes whenever work has gone on for long enough. */
export function breather(): Breathe {
  let since = performance.now()
  return () => {
    if (performance.now() - since < WORK) return undefined
    return turn().then(() => {
      since = performance.now()
    })
  }
}

/** The blocks of an element that words stand in directly. */
function blocksOf(view: Window, element: HTMLElement): HTMLElement[] {
  const blocks = new Set<HTMLElement>()
  const walker = element.ownerDocument.createTreeWalker(element, NodeFilter.SHOW_TEXT)
  const inline = new Map<Element, boolean>()
  const isInline = (node: Element) => {
    const known = inline.get(node) ?? view.getComputedStyle(node).display === 'inline'
    inline.set(node, known)
    return known
  }
  for (let text = walker.nextNode(); text; text = walker.nextNode()) {
    if (!text.nodeValue?.trim()) continue
    let block = text.parentElement!
    // What stands in another element is that one's.
    if (block.closest('[data-el]') !== element) continue
    while (block !== element && isInline(block)) block = block.parentElement!
    blocks.add(block)
  }
  return [...blocks]
}

/** Lines that words stand in: boxes that begin below the middle of the one before. */
function linesOf(rects: DOMRectList): number {
  let [lines, bottom] = [0, -Infinity]
  const boxes = [...rects].filter(({ width, height }) => width > 0 && height > 0)
  for (const { top, height } of boxes.sort((a, b) => a.top - b.top)) {
    if (top + height / 2 <= bottom) continue
    lines += 1
    bottom = top + height
  }
  return lines
}

/** How far something that hides what overflows it cuts words off. */
function cutBy(view: Window, block: Element, section: Element, words: DOMRect): number {
  let cut = 0
  for (let node: Element | null = block; node && node !== section; node = node.parentElement) {
    const { overflowX, overflowY } = view.getComputedStyle(node)
    if (overflowX === 'visible' && overflowY === 'visible') continue
    const box = node.getBoundingClientRect()
    if (overflowX !== 'visible') cut = Math.max(cut, words.right - box.right, box.left - words.left)
    if (overflowY !== 'visible') cut = Math.max(cut, words.bottom - box.bottom)
  }
  return Math.max(0, cut)
}

const CASES: Readonly<Record<string, (text: string) => string>> = {
  uppercase: (text) => text.toUpperCase(),
  lowercase: (text) => text.toLowerCase(),
}

/** Measures words as they are set, without laying anything out. */
export type Ruler = (words: string, style: CSSStyleDeclaration) => number

/** Typefaces are known to the document that asks for them, so it is the stage's own canvas that measures. */
export function canvasRuler(stage: Document): Ruler {
  const context = stage.createElement('canvas').getContext('2d')!
  return (words, style) => {
    context.font = `${style.fontStyle} ${style.fontWeight} ${style.fontSize} ${style.fontFamily}`
    context.letterSpacing = style.letterSpacing === 'normal' ? '0px' : style.letterSpacing
    return context.measureText((CASES[style.textTransform] ?? String)(words)).width
  }
}

/** Shorter words than this are never looked at: no line is so narrow. */
const SHORT = 7

const longestOf = (words: string): string =>
  words
    .split(/[\s\u00ad-]+/)
    .reduce((longest, each) => (each.length > longest.length ? each : longest), '')

/** Tolerance for rounding, CSS pixels. */
const SLACK = 1

function measureBlock(
  view: Window,
  block: HTMLElement,
  around: { section: Element; ruler: Ruler },
) {
  const range = block.ownerDocument.createRange()
  range.selectNodeContents(block)
  const lines = linesOf(range.getClientRects())
  if (lines === 0) return undefined
  const box = range.getBoundingClientRect()
  const limits = around.section.getBoundingClientRect()
  const words = (block.textContent ?? '').replaceAll(/\s+/g, ' ').trim()
  const longest = longestOf(words)
  const style = view.getComputedStyle(block)
  const room = block.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight)
  const isTorn = lines > 1 && longest.length >= SHORT && around.ruler(longest, style) > room + SLACK
  const out = Math.max(0, box.right - limits.right, limits.left - box.left)
  return {
    words: words.slice(0, 120),
    lines,
    out: out > SLACK ? out : 0,
    cut: Math.max(0, cutBy(view, block, around.section, box) - SLACK),
    ...(isTorn ? { torn: longest } : {}),
  }
}

/** How the words of every element of a page stand, as it is laid out now. */
export async function measurePage(
  stage: Document,
  ruler: Ruler,
  breathe: Breathe,
): Promise<Measure[]> {
  const view = stage.defaultView
  if (!view) return []
  const found: Measure[] = []
  for (const element of stage.querySelectorAll<HTMLElement>('[data-el]')) {
    const pause = breathe()
    if (pause) await pause
    const section = element.closest<HTMLElement>('[data-section]')
    if (!section) continue
    const [doc, id] = [section.getAttribute('data-doc') ?? '', element.dataset.el!]
    blocksOf(view, element).forEach((block, i) => {
      const measured = measureBlock(view, block, { section, ruler })
      if (!measured) return
      const key = `${doc}/${id}/${i}`
      found.push({ key, doc, section: section.dataset.section!, element: id, ...measured })
    })
  }
  return found
}
