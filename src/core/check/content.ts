import { kindOf } from '../elements'
import {
  bodyOf,
  standingOn,
  walkSection,
  type DocId,
  type ElementId,
  type PageId,
  type SectionId,
  type SiteDocs,
  type SiteElement,
} from '../site'

/** What visitors can't use on a page: a link that nothing names, a form whose answers go nowhere. */
export interface ContentFault {
  /** Tells it from all others. */
  readonly key: string
  readonly rule: 'link-without-name' | 'form-goes-nowhere'
  readonly what: string
  readonly doc: DocId
  readonly section: SectionId
  readonly element: ElementId
}

const isBlank = (text: unknown) => typeof text !== 'string' || text.trim() === ''

/** Members of a content that name the link beside them. */
const NAMES = ['label', 'name', 'title', 'text'] as const

type AltOf = (asset: string) => string | undefined

/** Whether a content, or something in it, leads somewhere and says nothing of where: what a screen reader would read out is empty. */
function hasNamelessLink(content: unknown, altOf: AltOf): boolean {
  if (Array.isArray(content)) return content.some((each) => hasNamelessLink(each, altOf))
  if (typeof content !== 'object' || content === null) return false
  const own = content as Readonly<Record<string, unknown>>
  if (Object.values(own).some((each) => hasNamelessLink(each, altOf))) return true
  if (typeof own.href !== 'string') return false
  const isPictured = typeof own.asset === 'string' && !isBlank(altOf(own.asset))
  return !isPictured && NAMES.every((name) => isBlank(own[name]))
}

function faultsOf({ kind, content }: SiteElement, altOf: AltOf): ContentFault['rule'][] {
  const isButton = kind === 'mainButton' || kind === 'quietButton'
  const isBlankButton = isButton && isBlank((content as { label?: string }).label)
  return [
    ...(isBlankButton || hasNamelessLink(content, altOf) ? ['link-without-name' as const] : []),
    // Where forms send to is not part of a site yet, and published pages let none send (`form-action 'none'`).
    ...(kind === 'form' || kind === 'searchField' ? ['form-goes-nowhere' as const] : []),
  ]
}

/** What visitors can't use on a page, header, footer and parts included. */
export function contentFaults(docs: SiteDocs, page: PageId): ContentFault[] {
  const altOf = (asset: string) => docs.pictures[asset]?.alt
  const found: ContentFault[] = []
  for (const { doc, section } of standingOn(docs.frame, docs.pages[page])) {
    const body = section.hidden ? undefined : bodyOf(docs, doc)
    if (!body) continue
    walkSection(body, section, (element) => {
      const { label, title } = kindOf(element.kind)
      for (const rule of faultsOf(element, altOf)) {
        const what = `${label} “${title(element.content as never).slice(0, 40)}” in ${section.name}`
        const key = `${rule}/${doc}/${element.id}`
        found.push({ key, rule, what, doc, section: section.id, element: element.id })
      }
    })
  }
  return found
}
