import {
  inEditor,
  inParts,
  layerSources,
  pageCssLayer,
  pageCssLayers,
  renderSections,
  sectionSources,
  shadesInUse,
  shadesOnPages,
  slotProperties,
  slotProperty,
  type PageCssLayer,
  type WrittenSection,
  type PlannedPictures,
} from '@/core/render'
import type { DocId, PageId, SiteDocs, SlotId } from '@/core/site'
import { statesBehind, type State } from '@/core/traits'

/** The pointer never reaches into the stage, so what it is over is an attribute that the editor sets. */
const pointed = 'data-pointed'

/** States that something is held in while they are looked at or decided. */
const held = 'data-held'

/** Each state as the attributes that stand for it on the stage, of the same weight. */
const IN_STATE: ReadonlyArray<readonly [RegExp, string]> = [
  [/:hover\b/g, `:is([${pointed}], [${held}~="hover"])`],
  [/:focus-visible\b/g, `[${held}~="focus"]`],
  [/:active\b/g, `[${held}~="pressed"]`],
  [/:disabled\b/g, `[${held}~="disabled"]`],
]

const withStates = (css: string): string =>
  IN_STATE.reduce((text, [state, attribute]) => text.replaceAll(state, attribute), css)

/** Says of a section which document it comes from. */
const fromDoc = 'data-doc'

/** Colours change at once on the stage: while one is dragged, and while one is read. */
const still = '*, ::before, ::after { transition: none !important; }'

/** A section as it was written last. */
interface Written {
  readonly node: Element
  readonly html: string
}

/** A page as it is asked to be drawn. */
interface Drawing {
  readonly siteId: string
  readonly docs: SiteDocs
  readonly pageId: PageId
  /** Pictures that are shown as a dry run would leave them. */
  readonly planned?: PlannedPictures
}

/** Writes a page into the stage's document, touching only what differs from what it holds. */
export function createStageWriter(stage: Document) {
  const written = new Map<string, Written>()
  /** What was asked to be drawn last. */
  let last: Drawing | undefined
  let kept: Element | undefined
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
      const stays = known && (known.html === html || known.node === kept)
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

  /** What each layer, and the sections, were written from last. */
  const drawn: Partial<Record<PageCssLayer | 'sections', readonly unknown[]>> = {}

  /** Whether something has to be written, for it is made from other things than last time. */
  function isOther(name: PageCssLayer | 'sections', sources: readonly unknown[]): boolean {
    const before = drawn[name]
    drawn[name] = sources
    return before?.length !== sources.length || before.some((each, i) => each !== sources[i])
  }

  function show({ siteId, docs, pageId, planned }: Drawing): void {
    const page = docs.pages[pageId]
    if (!page) return
    const where = inEditor(siteId, docs, planned)
    writeLayer('still', still)
    for (const layer of pageCssLayers) {
      if (!isOther(layer, [...layerSources[layer](docs, page), planned])) continue
      writeLayer(layer, withStates(pageCssLayer(layer, docs, page, where)))
    }
    if (isOther('sections', [...sectionSources(docs, page), planned])) {
      writeSections(renderSections(docs, pageId, where))
    }
  }

  const draw = () => {
    // A frame that was taken away has no page any more.
    if (last && stage.defaultView) show(last)
  }

  return {
    write(siteId: string, docs: SiteDocs, pageId: PageId, planned?: PlannedPictures): void {
      last = { siteId, docs, pageId, ...(planned ? { planned } : {}) }
      draw()
    },
    /** Shows the page as it would be, made from how it is shown now; as that, where it is the same. */
    tryOn(change: (docs: SiteDocs) => SiteDocs): void {
      if (last && stage.defaultView) show({ ...last, docs: change(last.docs) })
    },
    /** Leaves a section alone, whatever becomes of it, for as long as somebody writes in it. */
    hold(section: Element): void {
      kept = section
    },
    letGo(): void {
      const key = [...written].find(([, { node }]) => node === kept)?.[0]
      // What was written in it is none of ours.
      if (key) written.set(key, { node: kept!, html: '' })
      kept = undefined
      drawn.sections = undefined
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
    const painted = frame.palette.slots[slot]
    if (!painted) return
    const palette = { slots: { [slot]: { ...painted, value } } }
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

/** Holds an element, and what belongs to it, in a state for as long as it is looked at; at rest, in none. */
export function holdState(stage: Document, target: HTMLElement | null, state: State): void {
  for (const node of stage.querySelectorAll(`[${held}]`)) node.removeAttribute(held)
  const states = statesBehind[state].filter((each) => each !== 'rest').join(' ')
  if (!target || !states) return
  target.setAttribute(held, states)
  for (const node of target.querySelectorAll('*')) {
    if (node.closest('[data-el]') === target) node.setAttribute(held, states)
  }
}

/** Reads something from the stage as it is at rest, with no pointer over it. */
export function unpointed<T>(stage: Document, read: () => T): T {
  const marked = [pointed, held].flatMap((name) =>
    [...stage.querySelectorAll(`[${name}]`)].map((node) => ({
      node,
      name,
      text: node.getAttribute(name)!,
    })),
  )
  for (const { node, name } of marked) node.removeAttribute(name)
  const value = read()
  for (const { node, name, text } of marked) node.setAttribute(name, text)
  return value
}
