import {
  inEditor,
  inParts,
  pageCss,
  pageCssLayers,
  renderSections,
  shadesInUse,
  shadesOnPages,
  slotProperties,
  slotProperty,
  type WrittenSection,
} from '@/core/render'
import type { DocId, PageId, SiteDocs, SlotId } from '@/core/site'

/** The pointer never reaches into the stage, so its hover is an attribute that the editor sets. */
const pointed = 'data-pointed'
const withPointed = (css: string) => css.replaceAll(/:hover\b/g, `[${pointed}]`)

/** Says of a section which document it comes from. */
const fromDoc = 'data-doc'

/** Colours change at once on the stage: while one is dragged, and while one is read. */
const still = '*, ::before, ::after { transition: none !important; }'

/** A section as it was written last. */
interface Written {
  readonly node: Element
  readonly html: string
}

/** Writes a page into the stage's document, touching only what differs from what it holds. */
export function createStageWriter(stage: Document) {
  const written = new Map<string, Written>()
  /** What was asked to be drawn last. */
  let last: { siteId: string; docs: SiteDocs; pageId: PageId } | undefined
  let held: Element | undefined
  const styles = new Map<string, HTMLStyleElement>()

  function writeLayer(name: string, css: string): void {
    let style = styles.get(name)
    if (!style) {
      style = stage.createElement('style')
      style.dataset.layer = name
      stage.head.append(style)
      styles.set(name, style)
    }
    if (style.textContent !== css) style.textContent = css
  }

  function nodeOf({ doc, html }: WrittenSection): Element {
    const template = stage.createElement('template')
    template.innerHTML = html
    const node = template.content.firstElementChild!
    node.setAttribute(fromDoc, doc)
    return node
  }

  /** The part of the page that is its own, between what all pages share. */
  function mainPart(): Element {
    const known = stage.body.querySelector(':scope > main')
    if (known) return known
    return stage.body.appendChild(stage.createElement('main'))
  }

  /** Puts sections into their order from a place on: those that are still the same stay where they are. */
  function place(
    sections: readonly WrittenSection[],
    parent: Element,
    from: Element | null,
    before: Map<string, Written>,
  ): void {
    let next = from
    for (const section of sections) {
      const { doc, id, html } = section
      const key = `${doc}/${id}`
      const known = before.get(key)
      before.delete(key)
      const stays = known && (known.html === html || known.node === held)
      const node = stays ? known.node : nodeOf(section)
      if (known && !stays) {
        if (known.node === next) next = next.nextElementSibling
        known.node.remove()
      }
      if (node === next) next = next.nextElementSibling
      else parent.insertBefore(node, next)
      written.set(key, { node, html })
    }
  }

  function writeSections(sections: readonly WrittenSection[]): void {
    const known = new Map(written)
    written.clear()
    const main = mainPart()
    const { before, main: own, after } = inParts(sections)
    place(before, stage.body, stage.body.firstElementChild, known)
    place(own, main, main.firstElementChild, known)
    place(after, stage.body, main.nextElementSibling, known)
    for (const { node } of known.values()) node.remove()
  }

  const draw = () => {
    // A frame that was taken away has no page any more.
    if (!last || !stage.defaultView) return
    const { siteId, docs, pageId } = last
    const page = docs.pages[pageId]
    if (!page) return
    const where = inEditor(siteId, docs.pictures)
    const css = pageCss(docs, page, where)
    writeLayer('still', still)
    for (const layer of pageCssLayers) writeLayer(layer, withPointed(css[layer]))
    writeSections(renderSections(docs, pageId, where))
  }

  return {
    write(siteId: string, docs: SiteDocs, pageId: PageId): void {
      last = { siteId, docs, pageId }
      draw()
    },
    /** Leaves a section alone, whatever becomes of it, for as long as somebody writes in it. */
    hold(section: Element): void {
      held = section
    },
    letGo(): void {
      const key = [...written].find(([, { node }]) => node === held)?.[0]
      // What was written in it is none of ours.
      if (key) written.set(key, { node: held!, html: '' })
      held = undefined
      draw()
    },
    /** The style element of the custom CSS, to find the rule that overrules a decision. */
    customSheet: () => styles.get('custom')?.sheet ?? null,
  }
}

export type StageWriter = ReturnType<typeof createStageWriter>

/**
 * For the time that slots are dragged or tried: a function that writes a slot's
 * own property and those of its shades, and nothing else. What does not change
 * meanwhile is found out once, here.
 */
export function slotPainter(stage: Document, docs: SiteDocs, pageId: PageId) {
  const { frame } = docs
  const page = docs.pages[pageId]
  const inUse = shadesInUse(frame, shadesOnPages(page ? [page] : []))
  const { style } = stage.documentElement
  return (slot: SlotId, value: string): void => {
    const held = frame.palette.slots[slot]
    if (!held) return
    const palette = { slots: { [slot]: { ...held, value } } }
    for (const [property, css] of slotProperties(palette, slot, inUse.get(slot)?.values())) {
      style.setProperty(property, css)
    }
  }
}

/** Leaves the slot to the stylesheet again. */
export function unpaintSlot(stage: Document, slot: SlotId): void {
  const { style } = stage.documentElement
  const own = slotProperty(slot)
  for (const property of [...style].filter((name) => name === own || name.startsWith(`${own}--`))) {
    style.removeProperty(property)
  }
}

/** Whether a section comes from the page, or is a part of the site: of the frame. */
export const docOfSection = (section: Element): DocId => section.getAttribute(fromDoc) as DocId

/** Marks an element and all around it as pointed at, and nothing else. */
export function markPointed(stage: Document, target: Element | null): void {
  const path = new Set<Element>()
  for (let node = target; node; node = node.parentElement) path.add(node)
  for (const node of stage.querySelectorAll(`[${pointed}]`)) {
    if (!path.has(node)) node.removeAttribute(pointed)
  }
  for (const node of path) node.setAttribute(pointed, '')
}

/** Reads something from the stage as it is with no pointer over it. */
export function unpointed<T>(stage: Document, read: () => T): T {
  const marked = [...stage.querySelectorAll(`[${pointed}]`)]
  for (const node of marked) node.removeAttribute(pointed)
  const value = read()
  for (const node of marked) node.setAttribute(pointed, '')
  return value
}
