'use client'

import { Plus } from 'lucide-react'
import { addOnKindIds, addOnKindOf, type AddOnKindId } from '@/core/add-ons'
import { addOnColors, isBound, type AddOn } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button } from '../kit'
import { decisionHex } from '../look'
import { newId } from '../new-id'
import { useAddOnEdit } from './use-add-on-edit'

interface AddOnListProps {
  readonly addOns: readonly AddOn[]
  readonly chosen: string | undefined
  readonly onChoose: (id: string) => void
}

/** What is on the site, and what else could be. */
export function AddOnList({ addOns, chosen, onChoose }: AddOnListProps) {
  const editor = useEditor()
  const edit = useAddOnEdit()
  const missing = addOnKindIds.filter((kind) => !addOns.some((addOn) => addOn.kind === kind))
  const put = (kind: AddOnKindId) => {
    const id = newId(kind)
    if (edit({ type: 'addAddOn', id, kind })) editor.show({ shownAddOn: id })
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 p-3">
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-1">
        {addOns.map((addOn) => (
          <li key={addOn.id}>
            <AddOnButton
              addOn={addOn}
              isChosen={addOn.id === chosen}
              onChoose={() => onChoose(addOn.id)}
            />
          </li>
        ))}
      </ul>
      {missing.length > 0 && (
        <section className="grid gap-2 border-t border-edge pt-3">
          <h2 className="px-2 text-xs text-soft">Not on this site yet</h2>
          {missing.map((kind) => {
            const { label, told } = addOnKindOf(kind)
            return (
              <div key={kind} className="grid gap-1 px-2">
                <span className="font-semibold">{label}</span>
                <span className="text-xs text-soft">{told}</span>
                <Button
                  className="mt-1 justify-self-start"
                  aria-label={`Put ${label.toLowerCase()} on the site`}
                  onClick={() => put(kind)}
                >
                  <Plus size={15} aria-hidden /> Put it on the site
                </Button>
              </div>
            )
          })}
        </section>
      )}
    </div>
  )
}

interface AddOnButtonProps {
  readonly addOn: AddOn
  readonly isChosen: boolean
  readonly onChoose: () => void
}

function AddOnButton({ addOn, isChosen, onChoose }: AddOnButtonProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const colors = addOnColors(addOn)
  const bound = colors.filter(([, decision]) => isBound(decision)).length
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className="grid w-full gap-1.5 rounded-md px-2 py-2 text-left hover:bg-hover aria-pressed:outline-2 aria-pressed:-outline-offset-1 aria-pressed:outline-ink"
    >
      <span className="truncate font-semibold">{addOn.name}</span>
      {colors.length > 0 ? (
        <>
          <span aria-hidden className="flex overflow-hidden rounded-sm border border-edge">
            {colors.map(([key, decision]) => (
              <span
                key={key}
                className="h-4 flex-1"
                style={{ background: decisionHex(palette, decision) }}
              />
            ))}
          </span>
          <span className="text-xs text-soft">
            {bound} of {colors.length} colours bound
          </span>
        </>
      ) : (
        <span className="text-xs text-soft">not one of ours: kept, not drawn</span>
      )}
    </button>
  )
}
