'use client'

import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import { writeDecision } from '@/core/edit'
import type { TextUse } from '@/core/payloads'
import { isBound, type ColorDecision, type SiteElement } from '@/core/site'
import { placeIds } from '@/core/uses'
import { ColorChooser } from '../color'
import { useEditor, useEditorState, type Selection } from '../editor'
import { Notice, Swatch } from '../kit'
import { decisionHex } from '../look'
import { counted, problemWords } from '../words'

interface TextColorsProps {
  readonly selection: Selection
  readonly element: SiteElement
}

/** The colours that stand in the text of an element, asked anew after each change of the site. */
function useTextUses({ selection, element }: TextColorsProps) {
  const { client } = useEditor()
  const generation = useEditorState((state) => state.generation)
  const [uses, setUses] = useState<readonly TextUse[]>()
  const [failure, setFailure] = useState<string>()
  useEffect(() => {
    let asked = true
    void client.elementUses(selection.doc, element.id).then((result) => {
      if (!asked) return
      if (result.ok) setUses(result.value)
      setFailure(result.ok ? undefined : problemWords(result.problem))
    })
    return () => {
      asked = false
    }
  }, [client, selection.doc, element, generation])
  return { uses, failure }
}

/** What a snippet colours by its own code, to the very place; each can be given another colour there. */
export function TextColors(props: TextColorsProps) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { uses, failure } = useTextUses(props)
  const [open, setOpen] = useState<string>()
  const replace = async (use: TextUse, to: ColorDecision) => {
    const { decision } = use
    const from = isBound(decision)
      ? { slot: decision.slot }
      : { value: decision.value, within: 0 as const }
    // Of all uses of that colour, this one alone.
    const only = { withoutPlaces: [...placeIds], but: [use.key] }
    const request = { pairs: [{ from, to }], scope: 'site' as const, ...only }
    const result = await editor.wide({ type: 'sweep', request })
    if (!result.ok) return void toast.error(problemWords(result.problem))
    toast(`${use.text} in the snippet is ${writeDecision(palette, to)} now.`)
  }
  if (failure) return <Notice>{failure}</Notice>
  if (!uses) return <p className="text-soft">Reading its code …</p>
  return (
    <section aria-label="Colours in its own code" className="grid gap-1.5">
      <h3 className="text-xs font-semibold text-soft">
        {uses.length === 0
          ? 'Its own code sets no colour'
          : `Its own code sets ${counted(uses.length, 'colour')}`}
      </h3>
      <ul className="overflow-hidden rounded-md border border-edge-strong/60 bg-raised">
        {uses.map((use) => (
          <li key={use.key} className="border-b border-edge last:border-b-0">
            <button
              type="button"
              aria-expanded={open === use.key}
              onClick={() => setOpen(open === use.key ? undefined : use.key)}
              className="grid w-full grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-2 px-2.5 py-1.5 text-left hover:bg-hover"
            >
              <Swatch color={decisionHex(palette, use.decision)} />
              <span className="truncate">
                <b>{isBound(use.decision) ? writeDecision(palette, use.decision) : use.text}</b>{' '}
                {use.property}
              </span>
              <span className="text-soft">
                {use.line ? `line ${use.line}` : ''}
                {isBound(use.decision) ? '' : ', loose'}
              </span>
            </button>
            {open === use.key && (
              <div className="grid gap-2 border-t border-edge p-2.5">
                {use.context && <Context {...use} context={use.context} />}
                <ColorChooser
                  label={`Colour in place of ${use.text}`}
                  value={use.decision}
                  onChoose={(to) => void replace(use, to)}
                />
                {!use.bindable && (
                  <p className="text-soft">
                    Only a value can stand here, so a slot’s colour is written as it is now.
                  </p>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The code around a colour, with the colour marked. */
function Context({ context, text, textAt = 0 }: TextUse & { readonly context: string }) {
  return (
    <code className="code block overflow-x-auto rounded bg-well px-1.5 py-1 text-[11px] whitespace-pre">
      {context.slice(0, textAt)}
      <mark className="bg-strong px-0.5 text-on-strong">{text}</mark>
      {context.slice(textAt + text.length)}
    </code>
  )
}
