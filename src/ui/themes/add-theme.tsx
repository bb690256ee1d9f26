'use client'

import { Plus } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import { readThemes, type ReadProblem } from '@/core/formats'
import { completeTheme, generateThemeOn, withDark } from '@/core/generate'
import { themesInOrder, type ColorDecision, type Theme } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditor, useEditorState } from '../editor'
import { Button, FileButton, Popover, Notice, WhereWide } from '../kit'
import { counted, editProblemWords, readProblemWords } from '../words'

const noColors = 'The palette holds no colour to make a theme of. Fill a slot first.'

/** A new theme, generated on a ground that is chosen. */
export function AddTheme() {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const [open, setOpen] = useState(false)
  const add = (ground: ColorDecision) => {
    const made = generateThemeOn(frame, ground, themesInOrder(frame.themes))
    const [theme] = withDark(frame, made ? [made] : [])
    if (!theme) {
      toast.error(noColors)
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
        <Button title="Add a theme">
          <Plus size={15} /> <WhereWide>Add a theme</WhereWide>
        </Button>
      }
    >
      <p className="mb-2 text-soft">Choose its ground; the rest is generated to be readable.</p>
      <ColorChooser label="Ground of the new theme" onChoose={add} />
      <ThemesFromFile onDone={() => setOpen(false)} />
    </Popover>
  )
}

/** Largest file that is looked at, in bytes. */
const LARGEST = 4_000_000

/** Themes out of a design-token file of this or another site; what cannot be read of it is told. */
function ThemesFromFile({ onDone }: { readonly onDone: () => void }) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const { palette, themes } = frame
  const [problems, setProblems] = useState<readonly ReadProblem[]>([])
  const take = async (file: File) => {
    const read = readThemes(await file.slice(0, LARGEST).text(), palette)
    setProblems(read.problems)
    const present = themesInOrder(themes)
    const added: Theme[] = []
    for (const each of read.themes) {
      const theme = completeTheme(frame, each, [...present, ...added])
      if (theme) added.push(theme)
    }
    if (read.themes.length > 0 && added.length === 0) toast.error(noColors)
    if (added.length === 0) return
    const told = `${counted(added.length, 'theme')} from a file`
    const add = withDark(frame, added)
    const problem = editor.dispatch({ type: 'setCells', told, cells: [], hand: true, add })
    if (problem) return void toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    toast(`${told} added.`)
    if (read.problems.length === 0) onDone()
  }
  return (
    <div className="mt-2 grid gap-1.5 border-t border-edge pt-2">
      <FileButton accept=".json,.tokens,application/json" onTake={(file) => void take(file)}>
        Or themes from a file of design tokens
      </FileButton>
      {problems.length > 0 && (
        <Notice>
          <ul className="grid gap-1 break-words">
            {problems.slice(0, 4).map((problem, i) => (
              <li key={i}>{readProblemWords(problem)}</li>
            ))}
            {problems.length > 4 && <li>and {problems.length - 4} more like these.</li>}
          </ul>
        </Notice>
      )}
    </div>
  )
}
