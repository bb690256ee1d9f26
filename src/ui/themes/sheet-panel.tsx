'use client'

import { toast } from 'sonner'
import { writeRatio } from '@/core/color'
import { decisionWords } from '@/core/edit'
import { themeReading } from '@/core/resolve'
import { canonicalJson, type ColorDecision } from '@/core/site'
import { roleName } from '@/core/theme'
import { ColorChooser } from '../color'
import { decisionHex, useEditor, useEditorState } from '../editor'
import { Button, Swatch } from '../kit'
import { counted, editProblemWords } from '../words'

/** What is decided in the chosen cells, and the palette to decide anew. */
export function SheetPanel() {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const cells = useEditorState((state) => state.sheetCells)
  const { palette, themes } = docs.frame
  if (!cells) {
    return (
      <>
        <h2 className="text-[15px] font-bold">Theme sheet</h2>
        <p className="mt-2 text-soft">
          Choose a cell to decide its colour, or a role’s name to set it in all themes at once.
          Shift widens the choice; the arrow keys walk.
        </p>
      </>
    )
  }
  const { role } = cells
  const chosen = cells.themes.flatMap((id) => themes.byId[id] ?? [])
  const groups = new Map<string, { decision: ColorDecision; names: string[] }>()
  for (const theme of chosen) {
    const decision = theme.roles[role]
    const key = canonicalJson(decision)
    groups.set(key, { decision, names: [...(groups.get(key)?.names ?? []), theme.name] })
  }
  const failing = chosen.flatMap((theme) => {
    const reading = themeReading(palette, theme, role)
    return reading && !reading.passes ? [{ theme, reading }] : []
  })
  const set = (decision: ColorDecision) => {
    const problem = editor.dispatch({
      type: 'setRole',
      themes: chosen.map(({ id }) => id),
      role,
      decision,
    })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  return (
    <div className="grid gap-3">
      <header>
        <h2 className="text-[15px] font-bold">{roleName(role)}</h2>
        <p className="text-soft">
          {chosen.length === themes.order.length
            ? 'in all themes'
            : chosen.map(({ name }) => name).join(', ')}
        </p>
      </header>
      <ul className="rounded-md border border-edge-strong/60 bg-raised">
        {[...groups.values()].map(({ decision, names }) => (
          <li
            key={canonicalJson(decision)}
            className="flex items-center gap-2 border-b border-edge px-2.5 py-1.5 last:border-b-0"
          >
            <Swatch color={decisionHex(palette, decision)} />
            <span className="flex-1 truncate font-semibold">{decisionWords(decision, docs)}</span>
            <span className="text-soft">
              {names.length === 1 ? names[0] : counted(names.length, 'theme')}
            </span>
          </li>
        ))}
      </ul>
      {failing.map(({ theme, reading }) => (
        <p key={theme.id} className="rounded-md border border-dashed border-ink px-2.5 py-1.5">
          <b>× {theme.name}</b> reads <span className="code">{writeRatio(reading.ratio)}</span> on{' '}
          {roleName(reading.on).toLowerCase()}, needs <span className="code">{reading.needs}</span>
        </p>
      ))}
      <ColorChooser
        key={`${role}/${chosen.map(({ id }) => id).join()}`}
        label={chosen.length > 1 ? `Set all ${chosen.length} to` : 'Set it to'}
        value={groups.size === 1 ? [...groups.values()][0]!.decision : undefined}
        onChoose={set}
      />
      {chosen.length < themes.order.length && (
        <Button
          className="justify-self-start"
          onClick={() => editor.store.setState({ sheetCells: { role, themes: themes.order } })}
        >
          Choose all {themes.order.length} themes
        </Button>
      )}
    </div>
  )
}
