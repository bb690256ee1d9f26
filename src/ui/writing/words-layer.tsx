'use client'

import { memo, useEffect, useRef, useState } from 'react'
import { useStore } from 'zustand'
import { useEditor, useEditorState, type WordsPlace } from '../editor'
import { Button } from '../kit'
import { boxOf, hitTest, stageStore } from '../stage'
import { WordsBar } from './words-bar'
import type { Conflict } from './words-keeping'
import { wordsNode } from './words-place'
import { openWords, type WordsSession } from './words-session'
import type { WordsState } from './words-view'

const NOTHING: WordsState = { isChosen: false, strong: false, em: false }

/** The words that are edited where they stand, and the bar beside them. */
export const WordsLayer = memo(function WordsLayer({ scale }: { readonly scale: number }) {
  const words = useEditorState((state) => state.words)
  const stage = useStore(stageStore, (state) => state.stage)
  // Words that were only just made are there once the page is drawn with them.
  useStore(stageStore, (state) => state.drawing)
  if (!words || !stage || !wordsNode(stage, words)) return null
  const key = `${words.doc}/${words.element}/${words.at.join('.')}`
  return <Writing key={key} place={words} scale={scale} />
})

function Writing({ place, scale }: { readonly place: WordsPlace; readonly scale: number }) {
  const editor = useEditor()
  const stage = useStore(stageStore, (state) => state.stage)!
  // The bar goes with the words as they grow.
  useStore(stageStore, (state) => state.drawing)
  const bar = useRef<HTMLDivElement>(null)
  const [session, setSession] = useState<WordsSession>()
  const [state, setState] = useState(NOTHING)
  const [conflict, setConflict] = useState<Conflict>()
  const [asksLink, setAsksLink] = useState(false)

  useEffect(() => {
    const opened = openWords({
      editor,
      stage,
      place,
      onState: setState,
      onConflict: setConflict,
      onBar(part) {
        if (part === 'link') setAsksLink(true)
        else bar.current?.querySelector('button')?.focus()
      },
    })
    if (!opened) return void editor.show({ words: undefined })
    setSession(opened)
    opened.view.putCaret(place.caret)
    if (!place.caret && !opened.rich) opened.view.chooseAll()
    const away = (event: PointerEvent) => {
      if (opened.node.contains(event.target as Node)) return
      event.preventDefault()
      const { docs } = editor.store.getState()
      const hit = hitTest(stage.document, docs, event.clientX, event.clientY)
      editor.show({ words: undefined, selection: hit?.selection })
    }
    const nowhere = (event: Event) => event.preventDefault()
    stage.document.addEventListener('pointerdown', away, true)
    stage.document.addEventListener('click', nowhere, true)
    return () => {
      stage.document.removeEventListener('pointerdown', away, true)
      stage.document.removeEventListener('click', nowhere, true)
      opened.end()
      setSession(undefined)
    }
    // The place is the key of this component.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [editor, stage])

  if (!session) return null
  const { x, y, width, height } = boxOf(session.node)
  const above = y * scale > 52
  return (
    <div
      ref={bar}
      data-testid="words"
      className="pointer-events-auto absolute z-20 max-w-full"
      style={{
        left: Math.max(0, Math.min(x * scale - 4, (x + width) * scale - 120)),
        top: above ? y * scale - 46 : (y + height) * scale + 10,
      }}
      onClick={(event) => event.stopPropagation()}
      onPointerMove={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Escape') session.view.focus()
      }}
    >
      <WordsBar
        place={place}
        session={session}
        state={state}
        asksLink={asksLink}
        onAskLink={setAsksLink}
      />
      {conflict && (
        <div
          role="alert"
          className="mt-1 w-80 rounded-md border-2 border-strong bg-raised p-3 text-[13px] shadow-xl"
        >
          <p className="font-semibold">Somebody else wrote here meanwhile:</p>
          <p className="my-1.5 line-clamp-4">“{conflict.theirs}”</p>
          <div className="flex gap-2">
            <Button onClick={conflict.keepOurs}>Keep mine</Button>
            <Button onClick={conflict.takeTheirs}>Take theirs</Button>
          </div>
        </div>
      )}
    </div>
  )
}
