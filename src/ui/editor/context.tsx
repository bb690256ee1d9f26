'use client'

import { createContext, useContext, useEffect, useState, type ReactNode } from 'react'
import { useStore } from 'zustand'
import type { LoadedPage, LoadedSite } from '@/core/payloads'
import { shownPicture } from '@/core/render'
import type { Picture } from '@/core/site'
import { createEditor } from './editor'
import { followLive } from './live'
import { followPictures } from './follow-pictures'
import type { Editor, EditorState } from './state'

const EditorContext = createContext<Editor | null>(null)

interface EditorProviderProps {
  readonly site: LoadedSite
  readonly page: LoadedPage
  readonly children: ReactNode
}

export function EditorProvider({ site, page, children }: EditorProviderProps) {
  const [editor] = useState(() => createEditor(site, page))
  useEffect(() => {
    editor.resume()
    const stopLive = followLive(editor)
    const stopPictures = followPictures(editor)
    const onFocus = () => void editor.catchUp()
    // A window that is closed takes what it has not sent with it.
    const onLeave = (event: BeforeUnloadEvent) => {
      // What is typed into a field is taken as it is left.
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
      if (editor.store.getState().pending.length) event.preventDefault()
    }
    window.addEventListener('focus', onFocus)
    window.addEventListener('beforeunload', onLeave)
    return () => {
      stopLive()
      stopPictures()
      window.removeEventListener('focus', onFocus)
      window.removeEventListener('beforeunload', onLeave)
    }
  }, [editor])
  return <EditorContext.Provider value={editor}>{children}</EditorContext.Provider>
}

export function useEditor(): Editor {
  const editor = useContext(EditorContext)
  if (!editor) throw new Error('no editor around this component')
  return editor
}

export function useEditorState<T>(select: (state: EditorState) => T): T {
  return useStore(useEditor().store, select)
}

/** Where the server keeps pictures as they are shown: in the colours of the slots that they follow. */
export function usePictureAddress(): (picture: Pick<Picture, 'id' | 'file' | 'slots'>) => string {
  const siteId = useEditorState((state) => state.siteId)
  const palette = useEditorState((state) => state.docs.frame.palette)
  return shownPicture(siteId, palette)
}
