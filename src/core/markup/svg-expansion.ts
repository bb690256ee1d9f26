import { Parser } from 'htmlparser2'

/**
 * Most elements that a vector picture may come to when every reference in it is followed. A
 * drawing of 1.4 kB whose groups each use the one before twice comes to millions, and freezes
 * whatever draws it. Measured in Chromium 156: 4,096 nested uses take one second.
 */
export const mostDrawn = 20_000
/** How many references may lead from one to the next. */
const LONGEST_CHAIN = 400
/** A mask or clip path is drawn on a surface of its own: measured at about ten times a plain element. */
const SURFACE = 10

/** Elements whose content is drawn only where something refers to them. */
const KEPT = new Set(['defs', 'symbol', 'mask', 'clippath', 'pattern', 'marker', 'filter'])
/** What is drawn anew for each reference; a pattern or gradient is drawn once and then laid as tiles. */
const DRAWN_ANEW = /^(?:mask|clip-path|marker(?:-start|-mid|-end)?)$/
const REFERENCE = /url\(\s*["']?#([^"'()]+?)["']?\s*\)/g

interface Node {
  readonly tag: string
  readonly children: Node[]
  readonly attributes: Readonly<Record<string, string>>
}

/** What rules of style sheets refer to, with the selectors of each. */
interface Rule {
  readonly selector: string
  readonly targets: readonly string[]
}

const idsIn = (value: string) => [...value.matchAll(REFERENCE)].map(([, id]) => id!)

const targetsIn = (declarations: string) =>
  declarations.split(';').flatMap((each) => {
    const [name = '', value = ''] = each.split(/:(.*)/s)
    return DRAWN_ANEW.test(name.trim().toLowerCase()) ? idsIn(value) : []
  })

function rulesOf(css: string): Rule[] {
  const rules = [...css.matchAll(/([^{}]*)\{([^{}]*)/g)]
  return rules.flatMap(([, selector, declarations]) => {
    const targets = targetsIn(declarations!)
    return targets.length ? [{ selector: selector!, targets }] : []
  })
}

/** Whether a rule may be meant for an element: rather too often than not often enough. */
function maybeMatches({ selector }: Rule, { tag, attributes }: Node): boolean {
  if (/[*&[:]/.test(selector)) return true
  const words = new Set(selector.toLowerCase().split(/[\s,>+~.#]+/))
  const names = [tag, attributes.id ?? '', ...(attributes.class ?? '').split(/\s+/)]
  return names.some((name) => name !== '' && words.has(name.toLowerCase()))
}

function read(svg: string): { root: Node; byId: Map<string, Node>; rules: Rule[] } {
  const root: Node = { tag: '', children: [], attributes: {} }
  const byId = new Map<string, Node>()
  const open = [root]
  let css = ''
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        const tag = name.toLowerCase().replace(/^.*:/, '')
        const node: Node = { tag, children: [], attributes }
        open.at(-1)!.children.push(node)
        open.push(node)
        if (attributes.id && !byId.has(attributes.id)) byId.set(attributes.id, node)
      },
      ontext(text) {
        if (open.at(-1)!.tag === 'style') css += text
      },
      onclosetag() {
        if (open.length > 1) open.pop()
      },
    },
    { xmlMode: true },
  )
  parser.end(svg)
  return { root, byId, rules: rulesOf(css) }
}

/** How many elements a vector picture comes to when every reference in it is followed; `Infinity` for chains without end. */
export function drawnElements(svg: string): number {
  const { root, byId, rules } = read(svg)
  const known = new Map<Node, number>()
  const under = new Set<Node>()

  /** The elements to which one refers, each with how much more than itself it takes. */
  function targetsOf(node: Node): Array<readonly [string, number]> {
    const { attributes } = node
    const used = attributes.href ?? attributes['xlink:href']
    const named = Object.entries(attributes).flatMap(([name, value]) =>
      DRAWN_ANEW.test(name) ? idsIn(value) : [],
    )
    const styled = targetsIn(attributes.style ?? '')
    const ruled = rules.flatMap((rule) => (maybeMatches(rule, node) ? rule.targets : []))
    const surfaces = [...named, ...styled, ...ruled].map((id) => [id, SURFACE] as const)
    return node.tag === 'use' && used?.startsWith('#')
      ? [[used.slice(1), 1], ...surfaces]
      : surfaces
  }

  const insideOf = (node: Node, depth: number) =>
    node.children.reduce((sum, child) => sum + (KEPT.has(child.tag) ? 0 : drawn(child, depth)), 0)

  function drawn(node: Node, depth: number): number {
    const before = known.get(node)
    if (before !== undefined) return before
    // A circle of references is drawn by nobody.
    if (under.has(node)) return 0
    if (depth > LONGEST_CHAIN) return Infinity
    under.add(node)
    let sum = 1 + insideOf(node, depth + 1)
    for (const [id, factor] of targetsOf(node)) {
      const target = byId.get(id)
      if (!target) continue
      sum +=
        factor * (KEPT.has(target.tag) ? 1 + insideOf(target, depth + 1) : drawn(target, depth + 1))
    }
    under.delete(node)
    known.set(node, sum)
    return sum
  }

  const patterns = [...byId.values()].filter(({ tag }) => tag === 'pattern')
  return insideOf(root, 0) + patterns.reduce((sum, node) => sum + insideOf(node, 0), 0)
}
