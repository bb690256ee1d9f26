'use client'

import { memo, useState } from 'react'
import { writeDecision } from '@/core/edit'
import { explainRole, hasFollowers } from '@/core/generate'
import { roleMeetings } from '@/core/resolve'
import { roleName } from '@/core/roles'
import {
  canonicalJson,
  type ColorDecision,
  type Frame,
  type Palette,
  type Theme,
} from '@/core/site'
import { ColorChooser, FollowersOffer, readsOnOf } from '../color'
import { useEditor, useEditorState, type SheetCells } from '../editor'
import { Button, Swatch } from '../kit'
import { decisionHex } from '../look'
import { counted } from '../words'
import { Disagreements } from './disagreement-list'
import { LackingThemes } from './lacking-themes'
import { FailingChosen, FailingThemes, type Failing } from './failing'
import { StepsFrom } from './steps-from'
import {
  backToGenerated,
  cellsOf,
  decideCells,
  shiftCells,
  tellDecided,
  withAlong,
} from './use-sheet'

interface SheetPanelProps {
  readonly frame: Frame
  readonly columns: readonly Theme[]
  readonly failing: Failing
}

/** What is decided in the chosen cells, and the palette to decide anew. */
export const SheetPanel = memo(function SheetPanel({ frame, columns, failing }: SheetPanelProps) {
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
        <LackingThemes />
        <Disagreements frame={frame} />
        <FailingThemes frame={frame} failing={failing} />
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
})

interface Alike {
  readonly decision: ColorDecision
  readonly count: number
}

/** Decisions by what they decide, in the order in which they come. */
function alike(decisions: readonly ColorDecision[]): Alike[] {
  const groups = new Map<string, Alike>()
  for (const decision of decisions) {
    const key = canonicalJson(decision)
    groups.set(key, { decision, count: (groups.get(key)?.count ?? 0) + 1 })
  }
  return [...groups.values()]
}

/** Most decisions that are told one by one. */
const MOST_TOLD = 6

interface DecidedProps {
  readonly palette: Palette
  readonly groups: readonly Alike[]
}

/** What is decided in the chosen cells, and in how many. */
function Decided({ palette, groups }: DecidedProps) {
  return (
    <ul className="rounded-md border border-edge-strong/60 bg-raised">
      {groups.slice(0, MOST_TOLD).map(({ decision, count }) => (
        <li
          key={canonicalJson(decision)}
          className="flex items-center gap-2 border-b border-edge px-2.5 py-1.5 last:border-b-0"
        >
          <Swatch color={decisionHex(palette, decision)} />
          <span className="flex-1 truncate font-semibold">{writeDecision(palette, decision)}</span>
          <span className="text-soft">{counted(count, 'cell')}</span>
        </li>
      ))}
      {groups.length > MOST_TOLD && (
        <li className="px-2.5 py-1.5 text-soft">and {groups.length - MOST_TOLD} more</li>
      )}
    </ul>
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
  const groups = alike(all.map(decisionAt))
  const only = all.length === 1 ? all[0] : undefined
  const [pointed, setPointed] = useState<ColorDecision>()
  const [role] = cells.roles
  const set = (decision: ColorDecision) =>
    decideCells(
      editor,
      withAlong(
        editor,
        all.map((cell) => ({ ...cell, decision })),
      ),
      { told: tellDecided(editor, all, decision) },
    )
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
      <Decided palette={palette} groups={groups} />
      {only && (
        <p className="text-soft">
          {explainRole(palette, chosen[0]!, only.role, writeDecision(palette, decisionAt(only)))}
          {chosen[0]!.hand.includes(only.role) ? ', decided by hand' : ''}
        </p>
      )}
      <ColorChooser
        label={all.length > 1 ? `Set all ${all.length} to` : 'Set it to'}
        value={groups.length === 1 ? groups[0]!.decision : undefined}
        present={groups[0]?.decision}
        onChoose={set}
        onPoint={setPointed}
        readsOn={
          cells.roles.length === 1
            ? readsOnOf(chosen.flatMap((theme) => roleMeetings(palette, theme, cells.roles[0]!)))
            : []
        }
      />
      {cells.roles.length === 1 && hasFollowers(role!) && (
        <FollowersOffer
          palette={palette}
          theme={chosen[0]!}
          role={role!}
          decision={pointed ?? groups[0]?.decision}
        />
      )}
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => shiftCells(editor, all, -4)}>Darker</Button>
        <Button onClick={() => shiftCells(editor, all, 4)}>Lighter</Button>
        <Button onClick={() => backToGenerated(editor, all, cells.roles)}>Back to generated</Button>
        {chosen.length < columns.length && (
          <Button
            onClick={() =>
              editor.show({
                sheetCells: { roles: cells.roles, themes: columns.map(({ id }) => id) },
              })
            }
          >
            Choose all {columns.length} themes
          </Button>
        )}
      </div>
      {/* Below the palette, which so stays under the pointer. */}
      <FailingChosen frame={frame} chosen={chosen} roles={cells.roles} />
      <StepsFrom frame={frame} all={all} />
    </div>
  )
}
