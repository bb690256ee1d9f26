'use client'

import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { writeDecision } from '@/core/edit'
import { isBound, type ColorDecision, type PageId, type SiteElement } from '@/core/site'
import { noPictures, useKey as keyOf, usesIn, type Use } from '@/core/uses'
import { ColorChooser } from '../color'
import { useEditor, useEditorState, type Selection } from '../editor'
import { Swatch } from '../kit'
import { decisionHex } from '../look'
import { counted, problemWords } from '../words'

interface TextColorsProps {
  readonly selection: Selection
  readonly element: SiteElement
}

/** The colours that stand in the text of an element, as the readers find them. */
function useTextUses({ selection: { doc }, element }: TextColorsProps): readonly Use[] {
  const frame = useEditorState((state) => state.docs.frame)
  const page = useEditorState((state) => state.docs.pages[doc as PageId])
  return useMemo(() => {
    const record = doc === 'frame' ? frame : page
    const kind = doc === 'frame' ? 'frame' : 'page'
    return record
      ? usesIn({ kind, id: doc }, record, noPictures).filter(
          ({ owner, start }) => owner.element === element.id && start !== undefined,
        )
      : []
  }, [doc, frame, page, element.id])
}

/** What a snippet colours by its own code, to the very place; each can be given another colour there. */
export function TextColors(props: TextColorsProps) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const uses = useTextUses(props)
  const [open, setOpen] = useState<string>()
  const replace = async (use: Use, to: ColorDecision) => {
    const { decision } = use
    const from = isBound(decision)
      ? { slot: decision.slot }
      : { value: decision.value, within: 0 as const }
    // Of all uses of that colour, this one alone.
    const ticks = { rules: [{ where: {}, take: false }], except: [keyOf(use)] }
    const request = { pairs: [{ from, to }], scope: 'site' as const, ticks }
    const result = await editor.wide({ type: 'sweep', request })
    if (!result.ok) return void toast.error(problemWords(result.problem))
    toast(`${use.text} in the snippet is ${writeDecision(palette, to)} now.`)
  }
  return (
    <section aria-label="Colours in its own code" className="grid gap-1.5">
      <h3 className="text-xs font-semibold text-soft">
        {uses.length === 0
          ? 'Its own code sets no colour'
          : `Its own code sets ${counted(uses.length, 'colour')}`}
      </h3>
      <ul className="overflow-hidden rounded-md border border-edge-strong/60 bg-raised">
        {uses.map((use) => (
          <li key={keyOf(use)} className="border-b border-edge last:border-b-0">
            <button
              type="button"
              aria-expanded={open === keyOf(use)}
              onClick={() => setOpen(open === keyOf(use) ? undefined : keyOf(use))}
              className="grid w-full grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-2 px-2.5 py-1.5 text-left hover:bg-hover"
            >
              <Swatch color={decisionHex(palette, use.decision)} />
              <span className="truncate">
                <b>{isBound(use.decision) ? writeDecision(palette, use.decision) : use.text}</b>{' '}
                {use.property}
              </span>
              <span className="text-soft">
                {use.owner.line ? `line ${use.owner.line}` : ''}
                {isBound(use.decision) ? '' : ', loose'}
              </span>
            </button>
            {open === keyOf(use) && (
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
function Context({ context, text, textAt = 0 }: Use & { readonly context: string }) {
  return (
    <code className="code block overflow-x-auto rounded bg-well px-1.5 py-1 text-[11px] whitespace-pre">
      {context.slice(0, textAt)}
      <mark className="bg-strong px-0.5 text-on-strong">{text}</mark>
      {context.slice(textAt + text.length)}
    </code>
  )
}
