import { toast } from 'sonner'
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
import { openAndTell, type Editor } from '../editor'
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

/** Puts a link to a page behind those of the header's navigation; says why it could not. */
function linkFromHeader(editor: Editor, page: Pick<Page, 'id' | 'title'>): void {
  const navigation = headerNavigation(editor.store.getState().docs.frame)
  if (!navigation) return
  const items = linksOf(navigation)
  const problem = editor.dispatch({
    type: 'setContent',
    doc: 'frame',
    element: navigation.id,
    at: ['items'],
    was: items,
    to: [...items, { label: page.title, href: `page:${page.id}` }],
  })
  if (problem) toast.error(`Not put into the navigation: ${editProblemWords[problem]}.`)
}

type Links = ContentOf<'navigation'>['items']

/** The navigations of header and footer that lead to a page. */
export const navigationsTo = ({ body }: Pick<Frame, 'body'>, page: Page['id']): SiteElement[] =>
  Object.values(body.elements).filter(
    (element) =>
      element.kind === 'navigation' && linksOf(element).some(({ href }) => href === `page:${page}`),
  )

/** Changes the links to a page in header and footer; says where it could not. */
function changeLinks(editor: Editor, page: Page['id'], change: (links: Links) => Links): void {
  for (const element of navigationsTo(editor.store.getState().docs.frame, page)) {
    const { id } = element
    const was = linksOf(element)
    const to = change(was)
    if (JSON.stringify(to) === JSON.stringify(was)) continue
    const at = { element: id, at: ['items'], was, to }
    const problem = editor.dispatch({ type: 'setContent', doc: 'frame', ...at })
    if (problem) toast.error(`The navigation stays as it is: ${editProblemWords[problem]}.`)
  }
}

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
  const problem = editor.dispatch({ type: 'addPage', page })
  if (problem) return all(`Not added: ${editProblemWords[problem]}.`)
  if (wanted.linked) linkFromHeader(editor, page)
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
  const problem = editor.dispatch({ type: 'setPage', page: page.id, ...changed })
  if (problem) return all(`Not kept: ${editProblemWords[problem]}.`)
  if (wanted.renamed && keys.includes('title')) {
    changeLinks(editor, page.id, (links) =>
      links.map((link) => {
        const isIt = link.href === `page:${page.id}` && link.label === page.title
        return isIt ? { ...link, label: wanted.title } : link
      }),
    )
  }
  return undefined
}

/** Takes a page away and shows the one beside it; out of the navigations too, where that is wanted. */
export async function removePage(editor: Editor, page: Page, unlinked = false): Promise<Wrong> {
  const before = await beside(editor, page.id, -1)
  if (!before.ok) return all(problemWords(before.problem))
  const other = before.value ? before : await beside(editor, page.id, 1)
  if (!other.ok) return all(problemWords(other.problem))
  if (other.value) await openAndTell(editor, other.value.id)
  if (unlinked) {
    changeLinks(editor, page.id, (links) => links.filter(({ href }) => href !== `page:${page.id}`))
  }
  const problem = editor.dispatch({ type: 'removePage', page: page.id })
  if (problem) return all(`Not removed: ${editProblemWords[problem]}.`)
  toast(`${page.title} is removed. Undo brings it back as it was.`)
  return undefined
}
