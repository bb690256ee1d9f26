'use client'

import { Ellipsis } from 'lucide-react'
import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { newsOffer, type NewsOffer } from '@/core/generate'
import { useEditor, useEditorState } from '../editor'
import { Dialog, later, Menu, MenuItem, MenuLine } from '../kit'
import { trialOfGrey, trialOfOriginal } from '../studies'
import { counted, editProblemWords, listed } from '../words'
import { ShadeScaleFields } from './shade-scale'

const CarryDialog = later(async () => (await import('../carry')).CarryDialog)

const offered = ({ add }: NewsOffer): string =>
  `${listed(add.map(({ name }) => name.toLowerCase()))} news`

/** What concerns the palette as a whole. */
export function PaletteMenu() {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [dialog, setDialog] = useState<'shades' | 'carry'>()
  const frame = useEditorState((state) => state.docs.frame)
  const [open, setOpen] = useState(false)
  const offer = useMemo(() => (open ? newsOffer(frame) : undefined), [open, frame])
  const close = () => setDialog(undefined)
  const addNews = ({ add, cells }: NewsOffer) => {
    const problem = editor.dispatch({
      type: 'setSlots',
      told: `Colours for ${offered({ add, cells })}`,
      values: [],
      add: [...add],
      cells: [...cells],
    })
    if (problem) return void toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    toast(
      `${listed(add.map(({ name }) => name))} added, tuned to your palette. ${counted(cells.length, 'place')} in the themes took them.`,
    )
  }
  return (
    <>
      <Menu
        onOpenChange={setOpen}
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
        {offer && (
          <MenuItem onSelect={() => addNews(offer)}>Add colours for {offered(offer)}</MenuItem>
        )}
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
