'use client'

import { useState } from 'react'
import { mostSnippet, type ContentOf } from '@/core/elements'
import type { DocId, SiteElement } from '@/core/site'
import { readSnippetColors } from '@/core/uses'
import { CodeWithColors } from '../code'
import { useEditor } from '../editor'
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
  const isTooLong = text.length > mostSnippet
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <CodeWithColors
        label="Code of the snippet"
        language="html"
        value={text}
        onChange={type}
        read={readSnippetColors}
        faultsIn={snippetFaults}
        notices={
          <>
            {isTooLong && (
              <Notice>
                This has {text.length.toLocaleString('en-GB')} characters;{' '}
                {mostSnippet.toLocaleString('en-GB')} are kept.
              </Notice>
            )}
            {failure && <Notice>{failure}</Notice>}
            {clean !== undefined && (
              <LeftOut typed={text.length} kept={clean.length} onAgree={() => put(clean)} />
            )}
          </>
        }
      >
        <Button onClick={props.onDone}>Let go</Button>
        <Button look="strong" disabled={isSame || isTooLong} onClick={() => void keep()}>
          Keep
        </Button>
      </CodeWithColors>
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
