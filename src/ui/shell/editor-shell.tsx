'use client'

import { useCallback, useState, type ReactNode } from 'react'
import { useEditor, useEditorState } from '../editor'
import { Button, Dialog } from '../kit'
import { editProblemWords } from '../words'
import { shortcuts, useShortcuts } from './keys'
import { TopBar } from './top-bar'

/** What stays while the views change: the bar, the help, and word of edits that were lost. */
export function EditorShell({ children }: { readonly children: ReactNode }) {
  const editor = useEditor()
  const [help, setHelp] = useState(false)
  const openHelp = useCallback(() => setHelp(true), [])
  useShortcuts(editor, openHelp)
  return (
    <div className="flex h-dvh min-w-[1024px] flex-col">
      <TopBar onHelp={openHelp} />
      <LostEdits />
      <main className="min-h-0 flex-1">{children}</main>
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

/** Edits whose target was gone when the site had changed in another window. */
function LostEdits() {
  const editor = useEditor()
  const lost = useEditorState((state) => state.lost)
  if (lost.length === 0) return null
  return (
    <div role="alert" className="flex items-start gap-4 border-b border-ink bg-raised px-4 py-2">
      <div className="flex-1">
        <p className="font-semibold">
          The site was changed in another window. These changes of yours could not be kept:
        </p>
        <ul className="list-disc pl-5">
          {lost.map(({ told, problem }, i) => (
            <li key={i}>
              {told}: {editProblemWords[problem]}
            </li>
          ))}
        </ul>
      </div>
      <Button onClick={editor.dismissLost}>Understood</Button>
    </div>
  )
}
