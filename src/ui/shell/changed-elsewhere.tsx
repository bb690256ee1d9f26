'use client'

import type { ReactNode } from 'react'
import { useEditor, useEditorState, type Clash } from '../editor'
import { Button, copy } from '../kit'
import { lostWords } from '../words'

/** How much of what was typed is shown; all of it is copied. */
const SHOWN = 2_000

/** What became of changes of ours when somebody else changed the site at the same time. */
export function ChangedElsewhere() {
  const editor = useEditor()
  const lost = useEditorState((state) => state.lost)
  const clashes = useEditorState((state) => state.clashes)
  const of = (whose: Clash['stands']) => clashes.filter(({ stands }) => stands === whose)
  const [ours, theirs] = [of('ours'), of('theirs')]
  if (lost.length + clashes.length === 0) return null
  return (
    <div role="alert" className="flex items-start gap-4 border-b border-ink bg-raised px-4 py-2">
      <div className="grid max-h-[40dvh] flex-1 gap-1 overflow-y-auto">
        {lost.length > 0 && (
          <TellList title="These changes of yours could not be kept:">
            {lost.map(({ told, problem, typed }, i) => (
              <li key={i}>
                {`${told}: ${lostWords(problem)}`}
                {typed && <Typed>{typed}</Typed>}
              </li>
            ))}
          </TellList>
        )}
        {ours.length > 0 && (
          <TellList title="Somebody else changed the same while you did. Yours stands; undo brings theirs back:">
            {told(ours)}
          </TellList>
        )}
        {theirs.length > 0 && (
          <TellList title="Somebody else has changed these since you did. Theirs stands; the history holds both:">
            {told(theirs)}
          </TellList>
        )}
      </div>
      <Button onClick={editor.dismissLost}>Understood</Button>
    </div>
  )
}

const told = (clashes: readonly Clash[]) => clashes.map((each, i) => <li key={i}>{each.told}</li>)

function TellList({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <div>
      <p className="font-semibold">{title}</p>
      <ul className="list-disc pl-5">{children}</ul>
    </div>
  )
}

/** What somebody typed and would have to type again, to be taken from here. */
function Typed({ children }: { readonly children: string }) {
  return (
    <div className="my-1 flex items-center gap-3">
      <blockquote className="line-clamp-3 min-w-0 border-l-2 border-edge-strong pl-2 wrap-anywhere whitespace-pre-wrap">
        {children.length > SHOWN ? `${children.slice(0, SHOWN)} …` : children}
      </blockquote>
      <Button
        onClick={() => void copy(children, 'Copied', 'Select what you typed and copy it by hand.')}
      >
        Copy it
      </Button>
    </div>
  )
}
