'use client'

import { decisionWords } from '@/core/edit'
import type { ColorDecision } from '@/core/site'
import { useEditorState } from '../editor'
import { Name, Popover, Swatch } from '../kit'
import { decisionHex } from '../look'
import { ColorChooser } from './color-chooser'
import type { ReadsOn } from './readings'

interface ColorFieldProps {
  readonly label: string
  readonly decision: ColorDecision | undefined
  /** What is said beneath its name. */
  readonly hint: string
  /** What stands there while nothing is chosen. */
  readonly unset?: string
  readonly readsOn?: readonly ReadsOn[]
  readonly onChoose: (decision: ColorDecision) => void
}

/** A colour decision by its name, and the palette to choose another from. */
export function ColorField(props: ColorFieldProps) {
  const { label, decision, hint, unset, readsOn, onChoose } = props
  const docs = useEditorState((state) => state.docs)
  return (
    <Popover
      label={label}
      width={300}
      trigger={
        <button
          type="button"
          className="flex h-12 w-full min-w-0 items-center gap-3 rounded-md border border-edge-strong/60 bg-raised px-2.5 text-left hover:bg-hover"
        >
          <span className="sr-only">{label}: </span>
          {decision ? (
            <>
              <Swatch color={decisionHex(docs.frame.palette, decision)} size={30} />
              <span className="min-w-0">
                <Name>{decisionWords(decision, docs)}</Name>
                <span className="block truncate text-xs text-soft">{hint}</span>
              </span>
            </>
          ) : (
            <span className="font-semibold">{unset}</span>
          )}
        </button>
      }
    >
      <ColorChooser label={label} value={decision} readsOn={readsOn} onChoose={onChoose} />
    </Popover>
  )
}
