'use client'

import { Ellipsis } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { useEditor, useEditorState } from '../editor'
import { CarryDialog } from '../carry'
import { Dialog } from '../kit'
import { trialOfGrey, trialOfOriginal } from '../studies'
import { ShadeScaleFields } from './shade-scale'

const ITEM = 'rounded px-2.5 py-1.5 outline-none data-highlighted:bg-hover data-disabled:opacity-40'

/** What concerns the palette as a whole. */
export function PaletteMenu() {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [dialog, setDialog] = useState<'shades' | 'carry'>()
  const close = () => setDialog(undefined)
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label="The palette as a whole"
          title="The palette as a whole"
          className="flex h-6 w-11 items-center justify-center rounded-md border border-edge-strong/60 hover:bg-hover"
        >
          <Ellipsis size={16} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            side="top"
            align="start"
            sideOffset={6}
            className="z-40 min-w-52 rounded-lg border border-edge bg-raised p-1 shadow-xl"
          >
            <DropdownMenu.Item className={ITEM} onSelect={() => setDialog('carry')}>
              Export, carry, share …
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => setDialog('shades')}>
              Tints and shades …
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-edge" />
            <DropdownMenu.Item
              className={ITEM}
              disabled={palette.order.length === 0}
              onSelect={() => editor.store.setState({ trial: trialOfGrey(palette) })}
            >
              Try it in greys
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={ITEM}
              disabled={palette.original.length === 0}
              onSelect={() => editor.store.setState({ trial: trialOfOriginal(palette) })}
            >
              Back to the design’s own palette
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <Dialog open={dialog === 'shades'} onOpenChange={close} title="Tints and shades">
        <p className="mb-2 text-soft">
          Every slot fans out like this, unless it has a scale of its own. A step is a point of
          lightness (OKLCH, 0 to 100). Shades that are in use stay as they are.
        </p>
        <ShadeScaleFields
          scale={palette.shades}
          onChange={(scale) => editor.dispatch({ type: 'setShades', slot: null, scale })}
        />
      </Dialog>
      <CarryDialog open={dialog === 'carry'} onOpenChange={close} />
    </>
  )
}
