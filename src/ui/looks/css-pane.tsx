'use client'

import { useDeferredValue, useEffect, useMemo, type KeyboardEvent } from 'react'
import { toast } from 'sonner'
import { mostCustomCss } from '@/core/site'
import { readCssColors } from '@/core/uses'
import { CodeWithColors } from '../code'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button, Notice } from '../kit'
import { editProblemWords } from '../words'
import { faultsIn, type CssFaultInText } from './css-text'

const colorsInCss = (css: string) => readCssColors(css, 'stylesheet')

interface CssPaneProps {
  /** Shows the page with what is typed; with nothing, as it is stored. */
  readonly onTry: (css: string | undefined) => void
}

/** Custom CSS: typed with its colours and faults in sight, seen on the page, kept when one says so. */
export function CssPane({ onTry }: CssPaneProps) {
  const editor = useEditor()
  const stored = useEditorState((state) => state.docs.frame.customCss)
  const draft = useEditorState((state) => state.cssDraft)
  const line = useEditorState((state) => state.cssLine)
  const text = draft?.text ?? stored
  const asked = useDeferredValue(text)
  const faults = useMemo(() => faultsIn(asked), [asked])
  const isOther = text !== stored
  const isTooLong = text.length > mostCustomCss
  const refused = faults.some(({ isRefused }) => isRefused)
  useEffect(() => onTry(isOther && !refused ? asked : undefined), [onTry, isOther, refused, asked])
  const type = (next: string) =>
    editor.show({
      cssDraft: next === stored ? undefined : { text: next, from: draft?.from ?? stored },
      cssLine: undefined,
    })
  const keep = () => {
    if (!isOther || isTooLong) return
    const problem = editor.dispatch({ type: 'setCustomCss', css: text })
    if (problem) return void toast.error(`Not kept: ${editProblemWords[problem]}.`)
    editor.show({ cssDraft: undefined })
    tellUndoable(editor, 'Custom CSS saved.')
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 's') {
      event.preventDefault()
      keep()
    }
  }
  return (
    <div className="flex h-full min-h-0 flex-col gap-2" onKeyDown={onKeyDown}>
      <p className="text-soft">
        It comes last and may overrule every decision; the trace names the line that does.
      </p>
      {draft && draft.from !== stored && (
        <Notice look="caution">
          It was changed elsewhere while you typed. Keeping yours puts it in the place of theirs.{' '}
          <Button onClick={() => editor.show({ cssDraft: undefined })}>Take theirs</Button>
        </Notice>
      )}
      <CodeWithColors
        label="Custom CSS"
        language="css"
        value={text}
        line={line}
        onChange={type}
        read={colorsInCss}
        faultsIn={faultsIn}
      >
        <Button disabled={!isOther} onClick={() => editor.show({ cssDraft: undefined })}>
          Let go
        </Button>
        <Button look="strong" disabled={!isOther || isTooLong || refused} onClick={keep}>
          Keep
        </Button>
      </CodeWithColors>
      <Faults css={asked} faults={faults} isTooLong={isTooLong} />
    </div>
  )
}

interface FaultsProps {
  readonly css: string
  readonly faults: readonly CssFaultInText[]
  readonly isTooLong: boolean
}

/** What is wrong: the gravest, or the first, in words; all of them are marked in the text. */
function Faults({ css, faults, isTooLong }: FaultsProps) {
  const first = faults.find(({ isRefused }) => isRefused) ?? faults[0]
  return (
    <>
      {isTooLong && (
        <Notice>
          This has {css.length.toLocaleString('en-GB')} characters;{' '}
          {mostCustomCss.toLocaleString('en-GB')} are kept.
        </Notice>
      )}
      {first && (
        <Notice look={first.isRefused ? 'alert' : 'caution'}>
          {first.words} (line {css.slice(0, first.from).split('\n').length})
          {faults.length > 1 ? ` And ${faults.length - 1} more, marked beside their lines.` : ''}
        </Notice>
      )}
    </>
  )
}
