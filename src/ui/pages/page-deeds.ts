import type { Edit } from '@/core/edit'
import { emptyPage, orderAfter, pageLike, type PageSeat } from '@/core/designs/new-page'
import type { ContentOf } from '@/core/elements'
import {
  idFromName,
  pageId,
  sectionsInOrder,
  walkSection,
  type Frame,
  type Page,
  type SiteElement,
} from '@/core/site'
import { openAndTell, type Editor, tellUndoable } from '../editor'
import { newId } from '../new-id'
import { editProblemWords, problemWords } from '../words'
import { beside } from './move-page'

/** What went wrong, in words, and which of the fields is at fault; undefined where nothing went wrong. */
export type Wrong = { readonly at: 'title' | 'path' | 'all'; readonly words: string } | undefined

const all = (words: string): Wrong => ({ at: 'all', words })

/** Why an address cannot be taken by a page; undefined where it can. */
async function takenBy(editor: Editor, path: string, page?: Page['id']): Promise<Wrong> {
  const found = await editor.onServer(() => editor.client.pageAt(path))
  if (!found.ok) return all(problemWords(found.problem))
  if (!found.value || found.value.id === page) return undefined
  const words = `${found.value.title} has this address already. Give this page another one.`
  return { at: 'path', words }
}

const linksOf = ({ content }: SiteElement) => (content as ContentOf<'navigation'>).items

/** The first navigation of the header that has room for a link more. */
export function headerNavigation({ body }: Pick<Frame, 'body'>): SiteElement | undefined {
  const header = sectionsInOrder(body).find(({ kind }) => kind === 'header')
  let found: SiteElement | undefined
  if (header) {
    walkSection(body, header, (element) => {
      if (element.kind === 'navigation' && linksOf(element).length < 20) found ??= element
    })
  }
  return found
}

/** The edit that puts a link to a page behind those of the header's navigation; none where there is no room. */
function linkFromHeader(frame: Frame, page: Pick<Page, 'id' | 'title'>): ContentEdit[] {
  const navigation = headerNavigation(frame)
  if (!navigation) return []
  const was = linksOf(navigation)
  const to = [...was, { label: page.title, href: `page:${page.id}` }]
  return [{ type: 'setContent', doc: 'frame', element: navigation.id, at: ['items'], was, to }]
}

type ContentEdit = Extract<Edit, { type: 'setContent' }>

type Links = ContentOf<'navigation'>['items']

/** The navigations of header and footer that lead to a page. */
export const navigationsTo = ({ body }: Pick<Frame, 'body'>, page: Page['id']): SiteElement[] =>
  Object.values(body.elements).filter(
    (element) =>
      element.kind === 'navigation' && linksOf(element).some(({ href }) => href === `page:${page}`),
  )

/** The edits that change the links to a page in header and footer. */
const linkEdits = (
  frame: Frame,
  page: Page['id'],
  change: (links: Links) => Links,
): ContentEdit[] =>
  navigationsTo(frame, page).flatMap((element) => {
    const was = linksOf(element)
    const to = change(was)
    if (JSON.stringify(to) === JSON.stringify(was)) return []
    return [{ type: 'setContent', doc: 'frame', element: element.id, at: ['items'], was, to }]
  })

/** What is done to a page and the navigation together, as one step that Undo takes back. */
const asOne = (told: string, first: SinglePageEdit, more: readonly ContentEdit[]): Edit =>
  more.length ? { type: 'together', told, edits: [first, ...more] } : first

type SinglePageEdit = Extract<Edit, { type: 'addPage' | 'setPage' | 'removePage' }>

/** What a page begins with: nothing but its title, all that another one holds, or a page of a design. */
export type BeginsWith = 'nothing' | 'this' | { readonly design: Page }

/** The page that somebody asks for, not yet added. */
async function pageFrom(
  editor: Editor,
  behind: Page,
  begins: BeginsWith,
  seat: PageSeat,
): Promise<Page | string> {
  const { frame } = editor.store.getState().docs
  if (begins === 'this') return pageLike(behind, seat)
  if (begins === 'nothing') return emptyPage(frame, seat)
  const pictures = await editor.client.pictures()
  if (!pictures.ok) return problemWords(pictures.problem)
  const shown = pictures.value.filter(({ width }) => width > 300)
  editor.holdPictures(Object.fromEntries(shown.map((picture) => [picture.id, picture])))
  const site = { frame, pictures: shown.map(({ id }) => id as string), pages: [behind.id] }
  const { pageOfDesign } = await import('@/core/designs/page-of-design')
  return pageOfDesign(begins.design, site, seat, newId)
}

/** Adds a page right behind another one, and opens it. */
export async function addPage(
  editor: Editor,
  behind: Page,
  wanted: {
    readonly title: string
    readonly path: string
    readonly begins: BeginsWith
    /** Whether the header's navigation leads to it. */
    readonly linked?: boolean
  },
): Promise<Wrong> {
  const taken = await takenBy(editor, wanted.path)
  if (taken) return taken
  const next = await beside(editor, behind.id, 1)
  if (!next.ok) return all(problemWords(next.problem))
  const { title, path } = wanted
  // An id of its own, that no page had before: what was removed can come back.
  const id = pageId.parse(newId(idFromName(title, [], 'page')))
  const seat = { id, title, path, order: orderAfter(behind, next.value) }
  const page = await pageFrom(editor, behind, wanted.begins, seat)
  if (typeof page === 'string') return all(page)
  const links = wanted.linked ? linkFromHeader(editor.store.getState().docs.frame, page) : []
  const told = `Page ${title} added, with a link in the navigation`
  const problem = editor.dispatch(asOne(told, { type: 'addPage', page }, links))
  if (problem) return all(`Not added: ${editProblemWords[problem]}.`)
  await openAndTell(editor, id)
  return undefined
}

/** Keeps what somebody changed of a page, and nothing of what they left: another window may have changed that. */
export async function keepPage(
  editor: Editor,
  page: Page,
  wanted: Pick<Page, 'title' | 'path' | 'description'> & {
    /** Whether navigations that call it by its title call it by the new one. */
    readonly renamed?: boolean
  },
): Promise<Wrong> {
  const keys = (['title', 'path', 'description'] as const).filter(
    (key) => wanted[key] !== page[key],
  )
  if (keys.length === 0) return undefined
  const taken = keys.includes('path') ? await takenBy(editor, wanted.path, page.id) : undefined
  if (taken) return taken
  const changed = Object.fromEntries(keys.map((key) => [key, wanted[key]]))
  const isRenamed = wanted.renamed && keys.includes('title')
  const rename = (links: Links) =>
    links.map((link) => {
      const isIt = link.href === `page:${page.id}` && link.label === page.title
      return isIt ? { ...link, label: wanted.title } : link
    })
  const links = isRenamed ? linkEdits(editor.store.getState().docs.frame, page.id, rename) : []
  const told = `Page ${page.title} renamed ${wanted.title}, in the navigation too`
  const edit = { type: 'setPage' as const, page: page.id, ...changed }
  const problem = editor.dispatch(asOne(told, edit, links))
  return problem ? all(`Not saved: ${editProblemWords[problem]}.`) : undefined
}

/** Takes a page away and shows the one beside it; out of the navigations too, where that is wanted. */
export async function removePage(editor: Editor, page: Page, unlinked = false): Promise<Wrong> {
  const before = await beside(editor, page.id, -1)
  if (!before.ok) return all(problemWords(before.problem))
  const other = before.value ? before : await beside(editor, page.id, 1)
  if (!other.ok) return all(problemWords(other.problem))
  const withoutIt = (links: Links) => links.filter(({ href }) => href !== `page:${page.id}`)
  const links = unlinked ? linkEdits(editor.store.getState().docs.frame, page.id, withoutIt) : []
  const told = `Page ${page.title} removed, with its links in the navigation`
  const problem = editor.dispatch(asOne(told, { type: 'removePage', page: page.id }, links))
  if (problem) return all(`Not removed: ${editProblemWords[problem]}.`)
  if (other.value) await openAndTell(editor, other.value.id)
  tellUndoable(editor, `${page.title} removed.`)
  return undefined
}
