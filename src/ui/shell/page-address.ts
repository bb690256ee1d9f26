'use client'

import { usePathname } from 'next/navigation'
import { useEffect, useRef } from 'react'
import { homePath, type PageId } from '@/core/site'
import { openAndTell, useEditor, useEditorState, usePage, type Editor } from '../editor'

const PARAMETER = 'page'

/** The page that an address names; the home page where it names none. */
async function pageOfAddress(editor: Editor): Promise<PageId | undefined> {
  const named = new URL(location.href).searchParams.get(PARAMETER)
  if (named) return named as PageId
  const { pages } = editor.store.getState().docs
  const home = Object.values(pages).find(({ path }) => path === homePath)
  if (home) return home.id
  const found = await editor.client.pageAt(homePath)
  return found.ok ? found.value?.id : undefined
}

/** Keeps the window's title, whatever the framework writes there after it has loaded. */
function useTitle(wanted: string | undefined): void {
  useEffect(() => {
    if (!wanted) return undefined
    const write = () => {
      if (document.title !== wanted) document.title = wanted
    }
    write()
    const watch = new MutationObserver(write)
    watch.observe(document.head, { childList: true, subtree: true, characterData: true })
    return () => watch.disconnect()
  }, [wanted])
}

/**
 * Keeps the open page in the window's address and title: a reload opens it again, Back goes to
 * the one before, and a bookmark finds it.
 */
export function usePageAddress(): void {
  const editor = useEditor()
  const path = usePathname()
  const page = usePage()
  const name = useEditorState((state) => state.docs.frame.name)
  const written = useRef<{ path: string; page: string }>(undefined)
  const { id, title, path: file } = page ?? {}

  useTitle(title && `${title} · ${name}`)

  useEffect(() => {
    if (!id) return
    const address = new URL(location.href)
    const named = address.searchParams.get(PARAMETER)
    const wanted = file === homePath ? null : id
    const before = written.current
    written.current = { path, page: id }
    if (named === wanted) return
    const write = (way: 'pushState' | 'replaceState') => {
      if (wanted) address.searchParams.set(PARAMETER, wanted)
      else address.searchParams.delete(PARAMETER)
      history[way](null, '', address)
    }
    // Who went back while the window was only just opening is taken to the page of the address.
    if (!before && named) {
      void editor.openPage(named as PageId).then((problem) => problem && write('replaceState'))
      return
    }
    // Another view of the same page is a step of its own already; another page is one more.
    write(before && before.page !== id && before.path === path ? 'pushState' : 'replaceState')
  }, [editor, id, file, path])

  useEffect(() => {
    const onBack = () =>
      void pageOfAddress(editor).then((found) => {
        if (found && found !== editor.store.getState().pageId) void openAndTell(editor, found)
      })
    window.addEventListener('popstate', onBack)
    return () => window.removeEventListener('popstate', onBack)
  }, [editor])
}
