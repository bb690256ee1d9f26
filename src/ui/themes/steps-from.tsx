import { useState } from 'react'
import { tidyShade } from '@/core/color'
import { fanOf, stepShade } from '@/core/palette'
import { roleIds, roleName, type RoleId } from '@/core/roles'
import { isBound, shadeScaleOf, type Frame } from '@/core/site'
import { useEditor } from '../editor'
import { Button } from '../kit'
import { counted } from '../words'
import { decideCells, shownFrame, type CellDecision } from './use-sheet'

interface StepsFromProps {
  readonly frame: Frame
  readonly all: ReadonlyArray<Omit<CellDecision, 'decision'>>
}

/** “Two steps darker than the link”: each theme by its own decision for another role. */
export function StepsFrom({ frame, all }: StepsFromProps) {
  const editor = useEditor()
  const [role, setRole] = useState<RoleId>('link')
  const [steps, setSteps] = useState(-2)
  const { palette } = frame
  const run = () => {
    const { byId } = shownFrame(editor).themes
    decideCells(
      editor,
      all.flatMap((cell): CellDecision[] => {
        const from = byId[cell.theme]?.roles[role]
        if (!from || !isBound(from)) return []
        const points = steps * shadeScaleOf(palette, from.slot).step
        const shade = tidyShade(stepShade(from.shade, points))
        return [{ ...cell, decision: shade ? { slot: from.slot, shade } : { slot: from.slot } }]
      }),
      {
        told: `${counted(all.length, 'cell')}: ${counted(Math.abs(steps), 'step')} ${steps < 0 ? 'darker' : 'lighter'} than ${roleName(role).toLowerCase()}`,
      },
    )
  }
  const most = fanOf(palette, palette.order[0]!).length + 2
  const choices = Array.from({ length: most * 2 + 1 }, (_, i) => i - most).filter(Boolean)
  const SELECT = 'h-8 min-w-0 rounded-md border border-edge-strong/60 bg-raised px-1.5'
  return (
    <div className="flex flex-wrap items-center gap-1.5 border-t border-edge pt-3">
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
      <p className="w-full text-xs text-soft">
        A copy of that colour as it is now: bound to the same slot, it follows the slot, not the
        role.
      </p>
    </div>
  )
}
