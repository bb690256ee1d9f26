import { useRouter } from 'next/navigation'
import { toast } from 'sonner'
import type { HitLine } from '@/core/payloads'
import {
  bodyOf,
  picturesIn,
  sectionOf,
  type DocId,
  type PageId,
  type SiteElement,
} from '@/core/site'
import { openAndTell, useEditor, type Editor, type Selection } from '../editor'

/** What of a use tells where it is decided. */
export type UseSpot = Pick<HitLine, 'place' | 'doc' | 'owner' | 'property' | 'state'>

type Router = ReturnType<typeof useRouter>

/** Opens the page that a document is, if it is one; header and footer are on whichever is open. */
async function openDoc(editor: Editor, doc: DocId): Promise<void> {
  if (doc !== 'frame') await openAndTell(editor, doc as PageId)
}

/** The thing on a page that a use belongs to. */
function selectionOf(
  editor: Editor,
  doc: DocId,
  { owner, property }: UseSpot,
): Selection | undefined {
  const body = bodyOf(editor.store.getState().docs, doc)
  const { element } = owner
  const section = owner.section ?? (body && element ? sectionOf(body, element) : undefined)
  if (!section) return undefined
  return { doc, section, ...(element ? { element } : {}), property }
}

/** The first element of a document that shows a picture. */
function showing(editor: Editor, doc: DocId, picture: string): SiteElement | undefined {
  const body = bodyOf(editor.store.getState().docs, doc)
  return Object.values(body?.elements ?? {}).find((each) => picturesIn(each).ids.includes(picture))
}

async function openPicture(editor: Editor, { owner }: UseSpot): Promise<Selection | undefined> {
  const id = owner.picture!
  const found = await editor.client.pageOfPicture(id)
  const doc = found.ok ? found.value : null
  if (!doc) {
    toast('No page shows this picture by itself; a stylesheet or a snippet may.')
    return undefined
  }
  await openDoc(editor, doc)
  const element = showing(editor, doc, id)
  return (
    element &&
    selectionOf(editor, doc, {
      place: 'content',
      doc,
      owner: { element: element.id },
      property: 'fill',
    })
  )
}

/** Goes to where a use is decided, with that chosen: its page, the theme sheet, the stylesheet, the settings. */
async function openUse(editor: Editor, router: Router, use: UseSpot): Promise<void> {
  const go = (view: string) => router.push(`/sites/${editor.store.getState().siteId}${view}`)
  const { place, owner, state } = use
  const doc = use.doc as DocId
  switch (place) {
    case 'palette':
      editor.show({ openSlot: owner.slot })
      return go('')
    case 'themes':
      editor.show({
        sheetRows: 'all',
        sheetCells: { roles: [owner.role!], themes: [owner.theme!] },
      })
      return go('/themes')
    case 'styles':
      editor.show({ looksPane: 'styles' })
      return go('/looks')
    case 'custom-css':
      editor.show({ looksPane: 'css', cssLine: owner.line })
      return go('/looks')
    case 'add-ons':
      editor.show({ shownAddOn: owner.addOn })
      return go('/add-ons')
    case 'pictures': {
      const selection = await openPicture(editor, use)
      if (!selection) return undefined
      editor.show({ selection, also: undefined, state: undefined })
      return go('')
    }
    case 'content':
    case 'shared':
    case 'embeds':
      await openDoc(editor, doc)
      editor.show({ selection: selectionOf(editor, doc, use), also: undefined, state })
      return go('')
  }
}

/** Goes to where a use is decided. */
export function useOpenUse(): (use: UseSpot) => void {
  const editor = useEditor()
  const router = useRouter()
  return (use) => void openUse(editor, router, use)
}
