'use client'

import { useCallback, useEffect, useState, type ReactNode } from 'react'
import { useEditor, useEditorState, type Clash } from '../editor'
import { Button, Dialog } from '../kit'
import { FindDialog } from '../find'
import { SurveyHost } from '../survey'
import { lostWords } from '../words'
import { shortcuts, useShortcuts } from './keys'
import { TopBar } from './top-bar'

/** What stays while the views change: the bar, the help, and word of edits that were lost. */
export function EditorShell({ children }: { readonly children: ReactNode }) {
  const editor = useEditor()
  const [help, setHelp] = useState(false)
  const openHelp = useCallback(() => setHelp(true), [])
  const [finding, setFinding] = useState(false)
  const openFind = useCallback(() => setFinding(true), [])
  useShortcuts(editor, openHelp, openFind)
  useDraftKept()
  return (
    <div className="flex h-dvh min-w-[1024px] flex-col">
      <TopBar onHelp={openHelp} onFind={openFind} />
      <ChangedElsewhere />
      <main className="min-h-0 flex-1">{children}</main>
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

/** What became of changes of ours when somebody else changed the site at the same time. */
function ChangedElsewhere() {
  const editor = useEditor()
  const lost = useEditorState((state) => state.lost)
  const clashes = useEditorState((state) => state.clashes)
  const of = (whose: Clash['stands']) => clashes.filter(({ stands }) => stands === whose)
  const [ours, theirs] = [of('ours'), of('theirs')]
  if (lost.length + clashes.length === 0) return null
  return (
    <div role="alert" className="flex items-start gap-4 border-b border-ink bg-raised px-4 py-2">
      <div className="grid flex-1 gap-1">
        {lost.length > 0 && (
          <TellList title="These changes of yours could not be kept:">
            {lost.map(({ told, problem }) => `${told}: ${lostWords(problem)}`)}
          </TellList>
        )}
        {ours.length > 0 && (
          <TellList title="Somebody else changed the same while you did. Yours stands; undo brings theirs back:">
            {ours.map(({ told }) => told)}
          </TellList>
        )}
        {theirs.length > 0 && (
          <TellList title="Somebody else has changed these since you did. Theirs stands; the history holds both:">
            {theirs.map(({ told }) => told)}
          </TellList>
        )}
      </div>
      <Button onClick={editor.dismissLost}>Understood</Button>
    </div>
  )
}

function TellList({
  title,
  children,
}: {
  readonly title: string
  readonly children: readonly string[]
}) {
  return (
    <div>
      <p className="font-semibold">{title}</p>
      <ul className="list-disc pl-5">
        {children.map((line, i) => (
          <li key={i}>{line}</li>
        ))}
      </ul>
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
