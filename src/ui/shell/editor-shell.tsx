'use client'

import { useCallback, useEffect, useState, type ReactNode } from 'react'
import { useEditor, useEditorState } from '../editor'
import { Dialog, FootEnd } from '../kit'
import { FindDialog } from '../find'
import { SurveyHost } from '../survey'
import { ChangedElsewhere } from './changed-elsewhere'
import { shortcuts, useShortcuts } from './keys'
import { Others } from './others'
import { SaveMark } from './save-mark'
import { usePageAddress } from './page-address'
import { TopBar } from './top-bar'

/** What stays while the views change: the bars at head and foot, the help, and word of edits that were lost. */
export function EditorShell({ children }: { readonly children: ReactNode }) {
  const editor = useEditor()
  const [help, setHelp] = useState(false)
  const openHelp = useCallback(() => setHelp(true), [])
  const [finding, setFinding] = useState(false)
  const openFind = useCallback(() => setFinding(true), [])
  useShortcuts(editor, openHelp, openFind)
  useDraftKept()
  usePageAddress()
  return (
    <div className="flex h-[calc(100dvh-var(--foot-height,33px))] min-w-[1024px] flex-col">
      <TopBar onHelp={openHelp} onFind={openFind} />
      <ChangedElsewhere />
      <main className="min-h-0 flex-1">{children}</main>
      <FootEnd>
        <Others />
        <SaveMark />
      </FootEnd>
      <SurveyHost />
      <FindDialog open={finding} onOpenChange={setFinding} />
      <Dialog open={help} onOpenChange={setHelp} title="Keys">
        <dl className="grid grid-cols-[9rem_1fr] gap-y-2">
          {shortcuts.map(([keys, does]) => (
            <div key={keys} className="contents">
              <dt>
                <kbd className="code rounded border border-edge-strong/60 px-1.5 py-0.5">
                  {keys}
                </kbd>
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </div>
  )
}

/** Custom CSS that is typed and not kept is of this window alone: the browser asks before it is closed with one. */
function useDraftKept(): void {
  const isThere = useEditorState((state) => state.cssDraft !== undefined)
  useEffect(() => {
    if (!isThere) return undefined
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [isThere])
}
