'use client'

import { ArrowRight } from 'lucide-react'
import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { writeDecision } from '@/core/edit'
import {
  afterChanges,
  planDarkEdition,
  planRegeneration,
  withDark,
  type CellChange,
} from '@/core/generate'
import { failingRoles } from '@/core/resolve'
import { roleName } from '@/core/roles'
import { themesInOrder, type ColorDecision, type Frame, type Palette } from '@/core/site'
import { isAfterDark, useEditor, useEditorState } from '../editor'
import { Button, Dialog, Swatch, Tick } from '../kit'
import { decisionHex } from '../look'
import { counted, editProblemWords } from '../words'
import { useShownFrame } from './use-sheet'

interface RegenerateDialogProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** Generates the themes from the palette; shows first what would change, and what stays because a person decided it. */
export function RegenerateDialog({ open, onOpenChange }: RegenerateDialogProps) {
  const what = useEditorState(isAfterDark) ? 'dark edition' : 'themes'
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`Generate the ${what} from the palette`}>
      {open && <Plan onDone={() => onOpenChange(false)} />}
    </Dialog>
  )
}

function Plan({ onDone }: { readonly onDone: () => void }) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const shown = useShownFrame()
  const dark = useEditorState(isAfterDark)
  const [adding, setAdding] = useState(true)
  const [overrule, setOverrule] = useState(false)
  const planning = dark ? planDarkEdition : planRegeneration
  const plan = useMemo(() => planning(frame), [planning, frame])
  const { changes } = useMemo(
    () => (overrule ? planning(frame, { overrule }) : plan),
    [planning, frame, plan, overrule],
  )
  const add = adding ? plan.add : []
  const isEmpty = Object.values(frame.palette.slots).every(({ value }) => value === null)
  if (isEmpty) {
    return (
      <p>
        The palette holds no colour yet, so there is nothing to generate from. Fill a slot first, or
        take one of the ways in beside the tray.
      </p>
    )
  }
  const apply = () => {
    const problem = editor.dispatch({
      type: 'setCells',
      told: `${dark ? 'Dark edition' : 'Themes'} generated: ${counted(changes.length, 'cell')}${add.length ? `, ${counted(add.length, 'new theme')}` : ''}`,
      cells: changes.map(({ theme, role, after }) => ({
        theme,
        role,
        decision: after,
        ...(dark ? { dark: true as const } : {}),
      })),
      hand: false,
      ...(add.length ? { add: withDark(frame, add) } : {}),
    })
    if (problem) return void toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    onDone()
    toast(
      `The ${dark ? 'dark edition is' : 'themes are'} generated. Undo brings the ${dark ? 'one' : 'ones'} before back.`,
    )
  }
  const nothing = changes.length === 0 && add.length === 0
  return (
    <div className="grid gap-3">
      <p>
        {nothing
          ? `The ${dark ? 'dark edition is' : 'themes are'} just what the palette gives; nothing would change.`
          : `${counted(changes.length, 'cell')} would change.`}{' '}
        <Readable frame={shown} changes={changes} />
      </p>
      <ChangeList frame={shown} changes={changes} />
      {plan.add.length > 0 && (
        <Tick checked={adding} onChange={setAdding}>
          Add {plan.add.map(({ name }) => name).join(', ')}
        </Tick>
      )}
      {plan.kept.length > 0 && (
        <Tick checked={overrule} onChange={setOverrule}>
          Also change {counted(plan.kept.length, 'cell')} decided by hand, which stay otherwise
        </Tick>
      )}
      <Button look="strong" disabled={nothing} onClick={apply}>
        Generate
      </Button>
    </div>
  )
}

/** Tells what cannot be read before and after; what is decided by hand may leave nothing that can. */
function Readable({ frame: { palette, themes }, changes }: Changes) {
  const [before, after] = useMemo(
    () => [
      failingRoles(palette, themesInOrder(themes)),
      failingRoles(palette, afterChanges(themes, changes)),
    ],
    [palette, themes, changes],
  )
  if (before.length === 0 && after.length === 0) return null
  const now = `${counted(before.length, 'pair')} cannot be read now`
  if (after.length === 0) return `${now}; then all can.`
  const named = after
    .slice(0, 3)
    .map(({ theme, role }) => `${roleName(role).toLowerCase()} in ${theme.name}`)
  const more = after.length > named.length ? ` and ${after.length - named.length} more` : ''
  return `${now}. ${counted(after.length, 'pair')} would still not be: what is decided by hand leaves no colour that can (${named.join(', ')}${more}).`
}

interface Changes {
  readonly frame: Frame
  readonly changes: readonly CellChange[]
}

function ChangeList({ frame: { palette, themes }, changes }: Changes) {
  if (changes.length === 0) return null
  const changed = themesInOrder(themes).flatMap((theme) => {
    const own = changes.filter((change) => change.theme === theme.id)
    return own.length ? [{ theme, own }] : []
  })
  return (
    <div
      role="group"
      aria-label="What would change"
      // It scrolls, and nothing in it takes the focus.
      tabIndex={0}
      className="max-h-64 overflow-y-auto rounded-md border border-edge-strong/60"
    >
      {changed.map(({ theme: { id, name }, own }) => (
        <section key={id} aria-label={name}>
          <h3 className="sticky top-0 border-b border-edge bg-raised px-2 py-1 font-bold">
            {name} <span className="font-normal text-soft">{counted(own.length, 'cell')}</span>
          </h3>
          <ul>
            {own.map(({ role, before, after }) => (
              <li
                key={role}
                className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)_14px_minmax(0,1fr)] items-center gap-2 border-b border-edge px-2 py-1"
              >
                {roleName(role)}
                <Decided palette={palette} decision={before} />
                <ArrowRight size={12} aria-label="becomes" />
                <Decided palette={palette} decision={after} />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  )
}

function Decided(props: { readonly palette: Palette; readonly decision: ColorDecision }) {
  const { palette, decision } = props
  return (
    <span className="code flex items-center gap-1.5 truncate">
      <Swatch color={decisionHex(palette, decision)} size={14} />
      {writeDecision(palette, decision)}
    </span>
  )
}
