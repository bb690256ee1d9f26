'use client'

import { SquareSplitHorizontal } from 'lucide-react'
import { useEditor, useEditorState, type Middle } from '../editor'
import { Button, Segments } from '../kit'

const MIDDLES: ReadonlyArray<readonly [Middle, string]> = [
  ['page', 'On the page'],
  ['things', 'On things'],
  ['side', 'Side by side'],
]

/** Where a palette is looked at: on the page, on drawn things, beside the others. */
export function MiddleBar() {
  const editor = useEditor()
  const middle = useEditorState((state) => state.middle)
  const trial = useEditorState((state) => state.trial)
  const divider = useEditorState((state) => state.divider)
  return (
    <div className="flex h-10 shrink-0 items-center gap-2 border-b border-edge bg-panel px-3">
      <Segments
        label="Where to look at the palette"
        value={middle}
        options={MIDDLES}
        onChange={(next) => editor.show({ middle: next })}
      />
      <span className="flex-1" />
      {middle === 'page' && trial && (
        <Button
          className="h-7"
          aria-pressed={divider !== undefined}
          onClick={() => editor.show({ divider: divider === undefined ? 0.5 : undefined })}
        >
          <SquareSplitHorizontal size={15} /> Before and after
        </Button>
      )}
      {!trial && (
        <Button className="h-7" onClick={() => editor.show({ middle: 'page' })}>
          Done
        </Button>
      )}
    </div>
  )
}
