import { windowWidths, type Facet } from '@/core/elements'
import type { Rect } from '@/core/geometry'
import { facetsOf, type GroundOwner, type Place, type Standing } from '@/core/resolve'
import type { SiteElement } from '@/core/site'
import type { DeviceWidth, Selection } from '../editor'
import { selectedNode } from './hit-test'
import { partsOf } from './overrule'

/** Where the words in a node stand, in CSS pixels of the page; the node itself where it has none. Words of elements inside of it are theirs. */
function wordsIn(node: HTMLElement): DOMRect[] {
  const holder = node.closest('[data-el]')
  const walker = node.ownerDocument.createTreeWalker(node, NodeFilter.SHOW_TEXT)
  const rects: DOMRect[] = []
  while (walker.nextNode()) {
    const text = walker.currentNode
    if (!text.nodeValue?.trim() || text.parentElement?.closest('[data-el]') !== holder) continue
    const range = node.ownerDocument.createRange()
    range.selectNodeContents(text)
    rects.push(...range.getClientRects())
  }
  return rects.length ? rects : [node.getBoundingClientRect()]
}

/** The box that a background fills, inside of its border: empty for what runs on from line to line. */
export function paddingBox(node: HTMLElement): Rect {
  const { left, top } = node.getBoundingClientRect()
  return {
    x: left + node.clientLeft,
    y: top + node.clientTop,
    width: node.clientWidth,
    height: node.clientHeight,
  }
}

/** What fills under something: of its own element the part that it stands on. */
function groundNode(
  node: HTMLElement,
  element: SiteElement,
  facet: Facet,
  owner: GroundOwner,
): HTMLElement | null {
  if (owner === undefined) return node.closest<HTMLElement>('[data-section]')
  const holder = node.closest<HTMLElement>(`[data-el="${CSS.escape(owner)}"]`)
  if (owner !== element.id) return holder
  const on = facetsOf(element).find(({ key }) => key === facet.on)
  if (!on) return node
  return on.part ? node.closest<HTMLElement>(`.${on.part}`) : holder
}

/**
 * Where something stands on the grounds around it, as the stage has laid it out: read when it is
 * asked for, so that nothing is laid out for what nobody looks at.
 *
 * @param nodes the parts of the page that a facet of the element paints
 */
export function standingOf(
  nodes: readonly HTMLElement[],
  element: SiteElement,
  facet: Facet,
  device: DeviceWidth,
  pictureOf: Place['pictureOf'],
): Standing {
  const known = new Map<GroundOwner, Place | undefined>()
  const placeOn = (owner: GroundOwner): Place | undefined => {
    const first = nodes[0] && groundNode(nodes[0], element, facet, owner)
    if (!first) return undefined
    // Several parts may stand on grounds of their own, each as large as the first: then each is looked at where it stands.
    const box = paddingBox(first)
    const rects = nodes.flatMap((node) => {
      const ground = groundNode(node, element, facet, owner)
      const { x, y } = ground ? paddingBox(ground) : box
      return wordsIn(node).map((rect) => ({
        x: rect.left - x,
        y: rect.top - y,
        width: rect.width,
        height: rect.height,
      }))
    })
    return { box, rects, pictureOf }
  }
  return {
    ...(device in windowWidths ? { below: device as keyof typeof windowWidths } : {}),
    placeOn: (owner) => {
      if (!known.has(owner)) known.set(owner, placeOn(owner))
      return known.get(owner)
    },
  }
}

/** The box that a facet of a thing is painted in, in CSS pixels of the page: of several the first. */
export function paintedBox(stage: Document, selection: Selection, facet: Facet): Rect | undefined {
  const node = selectedNode(stage, selection)
  const [part] = node ? partsOf(node, facet) : []
  const box = part && paddingBox(part)
  return box && box.width > 0 && box.height > 0 ? box : undefined
}
