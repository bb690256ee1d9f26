'use client'

import { useDeferredValue, useMemo, useState } from 'react'
import type { ContentOf } from '@/core/elements'
import type { DocId, SiteElement } from '@/core/site'
import { readSnippetColors } from '@/core/uses'
import { AtCursor, CodeField, colorsOf, offersOf, withColor } from '../code'
import { useEditor, useEditorState } from '../editor'
import { Button, Dialog, Notice } from '../kit'
import { counted, editProblemWords, problemWords } from '../words'
import { snippetFaults } from './snippet-faults'

interface SnippetCodeProps {
  readonly doc: DocId
  readonly element: SiteElement
}

/** The code of a snippet, behind a button. */
export function SnippetCode({ doc, element }: SnippetCodeProps) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button className="justify-self-start" onClick={() => setOpen(true)}>
        Its code …
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="The code of the snippet" wide>
        {open && <Code doc={doc} element={element} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  )
}

/** Longest snippet, in UTF-16 units. */
const MOST = 20_000

/** What is typed is kept only after the server said what of it may stand in a page; until then nothing is lost. */
function useSnippet({ doc, element, onDone }: CodeProps) {
  const editor = useEditor()
  const { html } = element.content as ContentOf<'embed'>
  const [text, setText] = useState(html)
  const [clean, setClean] = useState<string>()
  const [failure, setFailure] = useState<string>()
  const type = (next: string) => {
    setText(next)
    setClean(undefined)
    setFailure(undefined)
  }
  const put = (to: string) => {
    const at = ['html']
    const problem = editor.dispatch({
      type: 'setContent',
      doc,
      element: element.id,
      at,
      was: html,
      to,
    })
    if (problem) setFailure(`Not kept: ${editProblemWords[problem]}.`)
    else onDone()
  }
  const keep = async () => {
    const result = await editor.client.cleanedSnippet(text)
    if (!result.ok) return setFailure(problemWords(result.problem))
    const { html: kept, loses } = result.value
    if (loses) setClean(kept)
    else put(kept)
  }
  return { text, type, clean, put, failure, keep, isSame: text === html }
}

interface CodeProps extends SnippetCodeProps {
  readonly onDone: () => void
}

function Code(props: CodeProps) {
  const { text, type, clean, put, failure, keep, isSame } = useSnippet(props)
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [cursor, setCursor] = useState(0)
  const asked = useDeferredValue(text)
  const colors = useMemo(() => colorsOf(palette, readSnippetColors(asked)), [palette, asked])
  const offers = useMemo(() => offersOf(palette), [palette])
  const here = colors.find(({ from, to }) => from <= cursor && cursor <= to)
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <div className="min-h-0 flex-1 overflow-hidden rounded-md border border-edge-strong/60">
        <CodeField
          label="Code of the snippet"
          language="html"
          value={text}
          onChange={type}
          onCursor={setCursor}
          colorsIn={(code) => colorsOf(palette, readSnippetColors(code))}
          faultsIn={snippetFaults}
          offers={offers}
        />
      </div>
      {text.length > MOST && (
        <Notice>
          This has {text.length.toLocaleString('en-GB')} characters; {MOST.toLocaleString('en-GB')}{' '}
          are kept.
        </Notice>
      )}
      {failure && <Notice>{failure}</Notice>}
      {clean !== undefined && (
        <LeftOut typed={text.length} kept={clean.length} onAgree={() => put(clean)} />
      )}
      <div className="flex items-center gap-2">
        <AtCursor
          here={here}
          count={colors.length}
          onChoose={(decision) => here && type(withColor(text, here, decision))}
        />
        <Button onClick={props.onDone}>Let go</Button>
        <Button look="strong" disabled={isSame || text.length > MOST} onClick={() => void keep()}>
          Keep
        </Button>
      </div>
    </div>
  )
}

interface LeftOutProps {
  /** Characters that were typed, and those that would be kept. */
  readonly typed: number
  readonly kept: number
  readonly onAgree: () => void
}

/** What would not be kept, told before it is. */
function LeftOut({ typed, kept, onAgree }: LeftOutProps) {
  return (
    <Notice look="caution">
      <p>
        Not all of it may stand in a page: scripts, frames and what is loaded from elsewhere are
        left out, {counted(Math.max(0, typed - kept), 'character')} of{' '}
        {typed.toLocaleString('en-GB')}. What is typed stays here until you decide.
      </p>
      <Button className="mt-2" onClick={onAgree}>
        Keep it without
      </Button>
    </Notice>
  )
}
