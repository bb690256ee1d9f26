'use client'

import { useState } from 'react'
import { fanOf, stepShade } from '@/core/palette'
import { explainRole, fixesFor, generatedRoles } from '@/core/generate'
import { roleMeetings } from '@/core/resolve'
import { writeDecision } from '@/core/edit'
import {
  canonicalJson,
  isBound,
  shadeScaleOf,
  type ColorDecision,
  type Frame,
  type Theme,
} from '@/core/site'
import { tidyShade } from '@/core/color'
import { roleIds, roleName, type RoleId } from '@/core/theme'
import { ColorChooser, readsOnOf } from '../color'
import { decisionHex, useEditor, useEditorState, type SheetCells } from '../editor'
import { Button, Swatch } from '../kit'
import { counted } from '../words'
import { cellView } from './cell-view'
import { Disagreements } from './disagreement-list'
import { FixList } from './fix-list'
import { cellsOf, decideCells, type CellDecision } from './use-sheet'

type Failing = ReadonlyArray<{ readonly theme: Theme; readonly role: RoleId }>

interface SheetPanelProps {
  readonly frame: Frame
  readonly columns: readonly Theme[]
  readonly failing: Failing
}

/** What is decided in the chosen cells, and the palette to decide anew. */
export function SheetPanel({ frame, columns, failing }: SheetPanelProps) {
  const cells = useEditorState((state) => state.sheetCells)
  const chosen = columns.filter(({ id }) => cells?.themes.includes(id))
  if (!cells || chosen.length === 0) {
    return (
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
        <header>
          <h2 className="text-[15px] font-bold">Theme sheet</h2>
          <p className="mt-2 text-soft">
            Choose a cell to decide its colour, a role’s name for a row, a theme’s name for a
            column. Shift widens the choice, arrow keys walk, typing decides: “Ink −8”, #1d5955.
            Copy and paste work as in a spreadsheet.
          </p>
        </header>
        <Disagreements frame={frame} />
        {columns.map((theme) =>
          failing.some((each) => each.theme.id === theme.id) ? (
            <FixList key={theme.id} frame={frame} theme={theme} />
          ) : null,
        )}
      </div>
    )
  }
  return (
    <ChosenCells
      key={canonicalJson(cells)}
      frame={frame}
      columns={columns}
      cells={cells}
      chosen={chosen}
    />
  )
}

interface ChosenCellsProps extends Pick<SheetPanelProps, 'frame' | 'columns'> {
  readonly cells: SheetCells
  readonly chosen: readonly Theme[]
}

function ChosenCells({ frame, columns, cells, chosen }: ChosenCellsProps) {
  const editor = useEditor()
  const { palette } = frame
  const all = cellsOf({ ...cells, themes: chosen.map(({ id }) => id) })
  const decisionAt = ({ theme, role }: (typeof all)[number]) =>
    frame.themes.byId[theme]!.roles[role]
  const groups = new Map<string, { decision: ColorDecision; count: number }>()
  for (const cell of all) {
    const decision = decisionAt(cell)
    const key = canonicalJson(decision)
    groups.set(key, { decision, count: (groups.get(key)?.count ?? 0) + 1 })
  }
  const only = all.length === 1 ? all[0] : undefined
  const set = (decision: ColorDecision) =>
    decideCells(
      editor,
      all.map((cell) => ({ ...cell, decision })),
    )
  const shift = (points: number) =>
    decideCells(
      editor,
      all.flatMap((cell): CellDecision[] => {
        const decision = decisionAt(cell)
        if (!isBound(decision)) return []
        const shade = tidyShade(stepShade(decision.shade, points))
        return [
          { ...cell, decision: shade ? { slot: decision.slot, shade } : { slot: decision.slot } },
        ]
      }),
      {
        told: `${counted(all.length, 'cell')} ${Math.abs(points)} ${points < 0 ? 'darker' : 'lighter'}`,
      },
    )
  const regenerate = () => {
    const made = new Map(chosen.map((theme) => [theme.id, generatedRoles(palette, theme)]))
    const back = all.flatMap((cell): CellDecision[] => {
      const decision = made.get(cell.theme)?.[cell.role]
      return decision ? [{ ...cell, decision }] : []
    })
    decideCells(editor, back, {
      hand: false,
      told: `${counted(back.length, 'cell')} back to generated`,
    })
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <header>
        <h2 className="text-[15px] font-bold">
          {cells.roles.length === 1
            ? roleName(cells.roles[0]!)
            : counted(cells.roles.length, 'role')}
        </h2>
        <p className="text-soft">
          {chosen.length === columns.length
            ? 'in all themes'
            : chosen.map(({ name }) => name).join(', ')}
        </p>
      </header>
      <ul className="rounded-md border border-edge-strong/60 bg-raised">
        {[...groups.values()].slice(0, 6).map(({ decision, count }) => (
          <li
            key={canonicalJson(decision)}
            className="flex items-center gap-2 border-b border-edge px-2.5 py-1.5 last:border-b-0"
          >
            <Swatch color={decisionHex(palette, decision)} />
            <span className="flex-1 truncate font-semibold">
              {writeDecision(palette, decision)}
            </span>
            <span className="text-soft">{counted(count, 'cell')}</span>
          </li>
        ))}
        {groups.size > 6 && <li className="px-2.5 py-1.5 text-soft">and {groups.size - 6} more</li>}
      </ul>
      {only && (
        <p className="text-soft">
          {explainRole(palette, chosen[0]!, only.role, writeDecision(palette, decisionAt(only)))}
          {chosen[0]!.hand.includes(only.role) ? ', decided by hand' : ''}
        </p>
      )}
      <FailingChosen frame={frame} chosen={chosen} cells={cells} />
      <ColorChooser
        label={all.length > 1 ? `Set all ${all.length} to` : 'Set it to'}
        value={groups.size === 1 ? [...groups.values()][0]!.decision : undefined}
        onChoose={set}
        readsOn={
          cells.roles.length === 1
            ? readsOnOf(chosen.flatMap((theme) => roleMeetings(palette, theme, cells.roles[0]!)))
            : []
        }
      />
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => shift(-4)}>Darker</Button>
        <Button onClick={() => shift(4)}>Lighter</Button>
        <Button onClick={regenerate}>Back to generated</Button>
        {chosen.length < columns.length && (
          <Button
            onClick={() =>
              editor.store.setState({
                sheetCells: { roles: cells.roles, themes: columns.map(({ id }) => id) },
              })
            }
          >
            Choose all {columns.length} themes
          </Button>
        )}
      </div>
      <StepsFrom frame={frame} all={all} />
    </div>
  )
}

/** Themes whose fixes are offered one by one; in more of them they are only counted. */
const FEW = 3

/** What cannot be read among the chosen cells, with what could take its place. */
function FailingChosen({
  frame,
  chosen,
  cells,
}: Pick<ChosenCellsProps, 'frame' | 'chosen' | 'cells'>) {
  const editor = useEditor()
  const failing = chosen.filter((theme) =>
    cells.roles.some((role) => !cellView(frame.palette, theme, role).passes),
  )
  if (failing.length <= FEW) {
    return failing.map((theme) => (
      <FixList key={theme.id} frame={frame} theme={theme} only={cells.roles} />
    ))
  }
  const fix = () => {
    const fixed = failing.flatMap((theme) =>
      fixesFor(frame.palette, theme)
        .filter(({ role }) => cells.roles.includes(role))
        .map(({ role, after }) => ({ theme: theme.id, role, decision: after })),
    )
    decideCells(editor, fixed, { told: `${counted(fixed.length, 'cell')} made readable` })
  }
  return (
    <div className="grid gap-2 rounded-md border border-dashed border-ink p-2">
      <p className="font-semibold">× Cannot be read in {counted(failing.length, 'theme')}</p>
      <Button className="justify-self-start" onClick={fix}>
        Take the nearest that can, in each
      </Button>
    </div>
  )
}

interface StepsFromProps {
  readonly frame: Frame
  readonly all: ReadonlyArray<Omit<CellDecision, 'decision'>>
}

/** “Two steps darker than the link”: each theme by its own decision for another role. */
function StepsFrom({ frame, all }: StepsFromProps) {
  const editor = useEditor()
  const [role, setRole] = useState<RoleId>('link')
  const [steps, setSteps] = useState(-2)
  const { palette } = frame
  const run = () =>
    decideCells(
      editor,
      all.flatMap((cell): CellDecision[] => {
        const from = frame.themes.byId[cell.theme]!.roles[role]
        if (!isBound(from)) return []
        const points = steps * shadeScaleOf(palette, from.slot).step
        const shade = tidyShade(stepShade(from.shade, points))
        return [{ ...cell, decision: shade ? { slot: from.slot, shade } : { slot: from.slot } }]
      }),
      {
        told: `${counted(all.length, 'cell')}: ${counted(Math.abs(steps), 'step')} ${steps < 0 ? 'darker' : 'lighter'} than ${roleName(role).toLowerCase()}`,
      },
    )
  const most = fanOf(palette, palette.order[0]!).length + 2
  const choices = Array.from({ length: most * 2 + 1 }, (_, i) => i - most).filter(Boolean)
  const SELECT = 'h-8 min-w-0 rounded-md border border-edge-strong/60 bg-raised px-1.5'
  return (
    <div className="flex items-center gap-1.5 border-t border-edge pt-3">
      <select
        aria-label="Steps"
        value={steps}
        onChange={(event) => setSteps(Number(event.target.value))}
        className={`${SELECT} w-24`}
      >
        {choices.map((each) => (
          <option key={each} value={each}>
            {Math.abs(each)} {each < 0 ? 'darker' : 'lighter'}
          </option>
        ))}
      </select>
      <span className="text-soft">than</span>
      <select
        aria-label="Than which role"
        value={role}
        onChange={(event) => setRole(event.target.value as RoleId)}
        className={`${SELECT} flex-1`}
      >
        {roleIds.map((each) => (
          <option key={each} value={each}>
            {roleName(each)}
          </option>
        ))}
      </select>
      <Button onClick={run}>Set</Button>
    </div>
  )
}
