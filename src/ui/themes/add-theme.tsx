'use client'

import { Plus } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import { generateThemeOn } from '@/core/generate'
import { themesInOrder, type ColorDecision } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditor, useEditorState } from '../editor'
import { Button, Popover } from '../kit'
import { editProblemWords } from '../words'

/** A new theme, generated on a ground that is chosen from the palette. */
export function AddTheme() {
  const editor = useEditor()
  const { palette, themes } = useEditorState((state) => state.docs.frame)
  const [open, setOpen] = useState(false)
  const add = (ground: ColorDecision) => {
    const theme = generateThemeOn(palette, ground, themesInOrder(themes))
    if (!theme) {
      toast.error('A theme stands on a slot or a shade of one. Choose one from the palette.')
      return
    }
    const problem = editor.dispatch({ type: 'addTheme', theme })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    else toast(`${theme.name} added: everything on it can be read.`)
    setOpen(false)
  }
  return (
    <Popover
      label="Add a theme"
      width={300}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button>
          <Plus size={15} /> Add a theme
        </Button>
      }
    >
      <p className="mb-2 text-soft">Choose its ground; the rest is generated to be readable.</p>
      <ColorChooser label="Ground of the new theme" onChoose={add} />
    </Popover>
  )
}
