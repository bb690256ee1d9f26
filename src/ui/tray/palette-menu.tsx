'use client'

import { Ellipsis } from 'lucide-react'
import { useState } from 'react'
import { useEditor, useEditorState } from '../editor'
import { Dialog, later, Menu, MenuItem, MenuLine } from '../kit'
import { trialOfGrey, trialOfOriginal } from '../studies'
import { ShadeScaleFields } from './shade-scale'

const CarryDialog = later(async () => (await import('../carry')).CarryDialog)

/** What concerns the palette as a whole. */
export function PaletteMenu() {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [dialog, setDialog] = useState<'shades' | 'carry'>()
  const close = () => setDialog(undefined)
  return (
    <>
      <Menu
        side="top"
        align="start"
        sideOffset={6}
        trigger={
          <button
            type="button"
            aria-label="The palette as a whole"
            title="The palette as a whole"
            className="flex h-6 w-11 items-center justify-center rounded-md border border-edge-strong/60 hover:bg-hover"
          >
            <Ellipsis size={16} />
          </button>
        }
      >
        <MenuItem onSelect={() => setDialog('carry')}>Export, carry, share …</MenuItem>
        <MenuItem onSelect={() => setDialog('shades')}>Tints and shades …</MenuItem>
        <MenuLine />
        <MenuItem
          disabled={palette.order.length === 0}
          onSelect={() => editor.show({ trial: trialOfGrey(palette) })}
        >
          Try it in greys
        </MenuItem>
        <MenuItem
          disabled={palette.original.length === 0}
          onSelect={() => editor.show({ trial: trialOfOriginal(palette) })}
        >
          Back to the design’s own palette
        </MenuItem>
      </Menu>
      <Dialog open={dialog === 'shades'} onOpenChange={close} title="Tints and shades">
        <p className="mb-2 text-soft">
          Every slot fans out like this, unless it has a scale of its own. A step is a point of
          lightness (OKLCH, 0 to 100). Shades that are in use stay as they are.
        </p>
        <ShadeScaleFields
          scale={palette.shades}
          onChange={(scale) => editor.carryOut({ type: 'setShades', slot: null, scale })}
        />
      </Dialog>
      {dialog === 'carry' && <CarryDialog open onOpenChange={close} />}
    </>
  )
}
