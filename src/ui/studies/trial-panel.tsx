'use client'

import { ArrowRight, Lock, LockOpen } from 'lucide-react'
import { toast } from 'sonner'
import { failingRoles } from '@/core/resolve'
import { idFromName, nameText, slotsInOrder, themesInOrder, type SlotId } from '@/core/site'
import type { Edit } from '@/core/edit'
import { decisionHex, useEditor, useEditorState, type Trial } from '../editor'
import { Button, IconButton, Swatch, TextField } from '../kit'
import { counted, editProblemWords } from '../words'
import { exchange, paletteWith, trialOfSeed, trialValues, wayName } from './trial'
import { WayControls } from './way-controls'

/** A candidate palette beside the current one, live on the stage, until it is applied, kept or let go. */
export function TrialPanel({ trial }: { readonly trial: Trial }) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const studies = useEditorState((state) => state.docs.frame.studies)
  const values = trialValues(palette, trial)
  const name = wayName(trial, studies)
  const show = (next: Trial | undefined) => editor.store.setState({ trial: next })
  const run = (edit: Edit): boolean => {
    const problem = editor.dispatch(edit)
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    return !problem
  }
  const apply = () => {
    if (run({ type: 'setSlots', told: name, values })) {
      show(undefined)
      toast(
        `${name} applied to ${counted(values.length, 'slot')}. Undo brings the old palette back.`,
      )
    }
  }
  const keep = (typed: string) => {
    const parsed = nameText.safeParse(typed)
    if (!parsed.success) return 'A name has 1 to 60 characters.'
    const id = idFromName(
      parsed.data,
      studies.map((study) => study.id),
      'study',
    )
    const colors = trial.colors.map(({ value, name: own }) => ({
      value,
      ...(own ? { name: own } : {}),
    }))
    if (run({ type: 'keepStudy', study: { id, name: parsed.data, colors } }))
      toast(`Study “${parsed.data}” kept.`)
    return undefined
  }
  return (
    <div className="flex flex-col gap-3 p-4" data-testid="trial">
      <header>
        <h2 className="text-[15px] font-bold">{name}</h2>
        <p className="text-soft">Shown on the page, not yet applied.</p>
      </header>
      <WayControls trial={trial} onTrial={show} />
      {trial.colors.length > 0 && (
        <ul aria-label="Which colour goes to which slot" className="grid gap-px">
          {slotsInOrder(palette).map((slot, i) => (
            <SlotRow
              key={slot.id}
              trial={trial}
              index={i}
              slot={slot.id}
              name={slot.name}
              before={decisionHex(palette, { slot: slot.id })}
              onTrial={show}
            />
          ))}
        </ul>
      )}
      {values.length > 0 && <Readable trial={trial} />}
      <div className="sticky bottom-0 z-10 -mx-4 flex gap-2 border-t border-edge bg-panel px-4 py-2.5">
        <Button look="strong" className="flex-1" disabled={values.length === 0} onClick={apply}>
          Apply to {counted(values.length, 'slot')}
        </Button>
        <Button onClick={() => show(undefined)}>Let go</Button>
      </div>
      {trial.colors.length > 0 && trial.from.way !== 'study' && (
        <TextField
          label="Or keep it as a study, by name"
          value=""
          placeholder="Kelp and rust"
          onCommit={keep}
        />
      )}
      {trial.from.way === 'study' && (
        <Button
          className="justify-self-start"
          onClick={() => {
            if (trial.from.way === 'study' && run({ type: 'dropStudy', study: trial.from.study }))
              show(undefined)
          }}
        >
          Drop this study
        </Button>
      )}
    </div>
  )
}

/** How many pairs of the themes would be hard to read, against now. */
function Readable({ trial }: { readonly trial: Trial }) {
  const { palette, themes } = useEditorState((state) => state.docs.frame)
  const all = themesInOrder(themes)
  const now = failingRoles(palette, all).length
  const then = failingRoles(paletteWith(palette, trialValues(palette, trial)), all).length
  return (
    <p
      role="status"
      className={
        then > now
          ? 'rounded-md border border-dashed border-ink px-2.5 py-1.5 font-semibold'
          : 'text-soft'
      }
    >
      {then === 0
        ? '✓ Everything in every theme would read well.'
        : `${then > now ? '×' : '✓'} ${counted(then, 'pair')} in the themes would be hard to read; ${now} now.`}
    </p>
  )
}

interface SlotRowProps {
  readonly trial: Trial
  readonly index: number
  readonly slot: SlotId
  readonly name: string
  readonly before: string
  readonly onTrial: (trial: Trial) => void
}

function SlotRow({ trial, index, slot, name, before, onTrial }: SlotRowProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const given = trial.given[index] ?? -1
  const after = trial.colors[given]?.value
  const { from } = trial
  const toggleLock = () => {
    if (from.way !== 'reshuffle') return
    const locked = from.locked.includes(slot)
      ? from.locked.filter((id) => id !== slot)
      : [...from.locked, slot]
    onTrial(trialOfSeed(palette, from.seeds, from.at, locked))
  }
  const locked = from.way === 'reshuffle' && from.locked.includes(slot)
  return (
    <li className="grid grid-cols-[28px_16px_28px_minmax(0,1fr)_auto] items-center gap-2 py-0.5">
      <Swatch color={before} size={26} />
      <ArrowRight size={13} aria-hidden />
      <Swatch color={after ?? before} size={26} />
      <span className="truncate">{name}</span>
      {from.way === 'reshuffle' ? (
        <IconButton
          label={locked ? `Unlock ${name}` : `Lock ${name}`}
          aria-pressed={locked}
          onClick={toggleLock}
        >
          {locked ? <Lock size={14} /> : <LockOpen size={14} />}
        </IconButton>
      ) : (
        <select
          aria-label={`Colour for ${name}`}
          value={given}
          onChange={(event) => onTrial(exchange(trial, index, Number(event.target.value)))}
          className="code h-7 max-w-28 rounded border border-edge-strong/60 bg-raised px-1"
        >
          <option value={-1}>as it is</option>
          {trial.colors.map(({ value, name: own }, i) => (
            <option key={i} value={i}>
              {own ? `${own} ${value}` : value}
            </option>
          ))}
        </select>
      )}
    </li>
  )
}
