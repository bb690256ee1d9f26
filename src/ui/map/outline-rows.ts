import { kindOf } from '@/core/elements'
import {
  childrenOf,
  standingOn,
  type Body,
  type DocId,
  type ElementId,
  type Frame,
  type Page,
  type Section,
  type SectionId,
} from '@/core/site'

/** A line of the outline: a section, or something in one. */
export interface OutlineRow {
  readonly doc: DocId
  readonly section: SectionId
  readonly element?: ElementId
  /** How deep it stands: sections 0, what stands in them 1, and so on. */
  readonly depth: number
  readonly label: string
  readonly words: string
  readonly hidden: boolean
  readonly holds: boolean
}

/** What a line is remembered by as long as the window is open. */
export const rowKey = ({
  doc,
  section,
  element,
}: Omit<OutlineRow, 'depth'> | OutlineRow): string =>
  element ? `${doc}/${element}` : `${doc}/${section}`

function elementRows(doc: DocId, body: Body, section: Section): OutlineRow[] {
  const rows: OutlineRow[] = []
  const walk = (ids: readonly ElementId[] | undefined, depth: number) => {
    for (const { id, kind, content, children } of childrenOf(body, ids)) {
      const { label, title } = kindOf(kind)
      rows.push({
        doc,
        section: section.id,
        element: id,
        depth,
        label,
        words: title(content).replace(/\s+/g, ' ').slice(0, 80),
        hidden: false,
        holds: !!children?.length,
      })
      walk(children, depth + 1)
    }
  }
  walk(section.children, 1)
  return rows
}

/** Header, sections and footer of a page with all that stands in them, hidden ones as well. */
export function outlineOf(frame: Frame, page: Page): OutlineRow[] {
  return standingOn(frame, page).flatMap(({ doc, section }) => [
    {
      doc,
      section: section.id,
      depth: 0,
      label: doc === 'frame' && section.kind === 'band' ? 'Part' : 'Section',
      words: section.name,
      hidden: !!section.hidden,
      holds: section.children.length > 0,
    },
    ...elementRows(doc, doc === 'frame' ? frame.body : page.body, section),
  ])
}

/** The lines that are seen: those whose holders are all open; or, while one searches, what is found and what it stands in. */
export function seenRows(
  rows: readonly OutlineRow[],
  open: ReadonlySet<string>,
  search: string,
): OutlineRow[] {
  const wanted = search.trim().toLowerCase()
  const above: OutlineRow[] = []
  const isOpen = (row: OutlineRow) => open.has(rowKey(row))
  const seen = new Set<OutlineRow>()
  for (const row of rows) {
    above.length = row.depth
    const isFound = wanted && `${row.label} ${row.words}`.toLowerCase().includes(wanted)
    if (isFound) for (const each of above) seen.add(each)
    if (wanted ? isFound : above.every(isOpen)) seen.add(row)
    above[row.depth] = row
  }
  return rows.filter((row) => seen.has(row))
}
