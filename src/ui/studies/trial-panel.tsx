'use client'

import { slotName, slotsInOrder } from '@/core/site'
import { useEditorState, type Trial } from '../editor'
import { Button, TextField, Tick } from '../kit'
import { counted, listed } from '../words'
import { ColorChip } from './color-chip'
import { SlotRow } from './slot-row'
import { hasOwnThemes } from './outlook'
import { freeSlots, leftOver, withFreeFilled, type NewName } from './trial'
import { useTrialDeeds } from './use-trial'
import { WayControls } from './way-controls'

/** A candidate palette beside the current one, live on the stage, until it is applied, kept or let go. */
export function TrialPanel({ trial }: { readonly trial: Trial }) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { name, changes, themes, renames, show, apply, keep, drop } = useTrialDeeds(trial)
  const { from } = trial
  return (
    <div className="flex min-h-full flex-col gap-3 p-4" data-testid="trial">
      <header>
        <h2 className="text-[15px] font-bold">{name}</h2>
        <p className="text-soft">Shown on the page, not yet applied.</p>
      </header>
      <WayControls trial={trial} onTrial={show} />
      {trial.colors.length > 0 && (
        <>
          <ul aria-label="Which colour goes to which slot" className="grid gap-px">
            {slotsInOrder(palette).map((slot, i) => (
              <SlotRow
                key={slot.id}
                trial={trial}
                index={i}
                slot={slot}
                newName={
                  trial.rename ? renames.find((each) => each.slot === slot.id)?.name : undefined
                }
                onTrial={show}
              />
            ))}
          </ul>
          <LeftOver trial={trial} onTrial={show} />
          {trial.colors.some((each) => each.name) && palette.order.length > 0 && (
            <Tick checked={trial.takeNames} onChange={(takeNames) => show({ ...trial, takeNames })}>
              Slots take the names of their colours
            </Tick>
          )}
        </>
      )}
      <span className="flex-1" />
      <div className="sticky bottom-0 z-10 -mx-4 -mb-4 grid gap-2 border-t border-edge bg-panel px-4 py-2.5">
        <Renames renames={renames} trial={trial} onTrial={show} />
        {(changes > 0 || from.way === 'original') && <Readable trial={trial} onTrial={show} />}
        <div className="flex gap-2">
          <Button
            look="strong"
            className="flex-1"
            disabled={changes === 0 && !themes}
            onClick={() => void apply()}
          >
            {changes === 0 && themes ? 'Apply the themes' : `Apply to ${counted(changes, 'slot')}`}
          </Button>
          <Button onClick={() => show(undefined)}>Let go</Button>
        </div>
        {trial.colors.length > 0 && from.way !== 'study' && (
          <TextField
            label="Or keep it as a study, by name"
            value=""
            placeholder="Kelp and rust"
            onCommit={keep}
          />
        )}
        {from.way === 'study' && (
          <Button className="justify-self-start" onClick={() => drop(from.study)}>
            Drop this study
          </Button>
        )}
      </div>
    </div>
  )
}

interface LeftOverProps {
  readonly trial: Trial
  readonly onTrial: (trial: Trial) => void
}

/** Colours that no slot takes: to be dragged onto one, or to become slots of their own. */
function LeftOver({ trial, onTrial }: LeftOverProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const rest = leftOver(trial)
  if (rest.length === 0) return null
  const free = freeSlots(trial).map((i) => slotName(palette, palette.order[i]!))
  return (
    <div className="grid gap-1.5">
      <h3 className="text-xs text-soft">
        {counted(rest.length, 'colour')} left over; drag one onto a slot
      </h3>
      <div className="flex flex-wrap gap-1">
        {rest.slice(0, 64).map((index) => (
          <ColorChip key={index} trial={trial} index={index} onTrial={onTrial} />
        ))}
      </div>
      <Tick checked={trial.addRest} onChange={(addRest) => onTrial({ ...trial, addRest })}>
        Add them as new slots
      </Tick>
      {free.length > 0 && (
        <div className="grid gap-1">
          <p className="text-xs text-soft">
            {listed(free)} would keep {free.length === 1 ? 'its colour' : 'their colours'}: none of
            these suits what {free.length === 1 ? 'it is' : 'they are'} for.
          </p>
          <Button onClick={() => onTrial(withFreeFilled(palette, trial))}>
            Use them there all the same
          </Button>
        </div>
      )}
    </div>
  )
}

interface RenamesProps extends LeftOverProps {
  readonly renames: readonly NewName[]
}

/** Slots that are named after a colour which they would no longer have take new names, which stand beside the old ones above. */
function Renames({ renames, trial, onTrial }: RenamesProps) {
  if (renames.length === 0) return null
  return (
    <Tick checked={trial.rename} onChange={(rename) => onTrial({ ...trial, rename })}>
      {renames.map(({ before, name }) => `${before} becomes ${name}`).join(', ')}
    </Tick>
  )
}

interface ReadableProps {
  readonly trial: Trial
  readonly onTrial: (trial: Trial) => void
}

/** How many pairs of the themes would be hard to read, against now, and whether the themes are made anew with it. */
function Readable({ trial, onTrial }: ReadableProps) {
  const frame = useEditorState((state) => state.docs.frame)
  const outlook = useEditorState((state) => state.outlook)
  if (!outlook) return null
  const { now, then, thenAnew, cells, anew } = outlook
  const hard = anew ? thenAnew : then
  const isWorse = hard > now
  return (
    <div className="grid gap-1.5" aria-busy={outlook.trial !== trial}>
      <p
        role="status"
        className={
          isWorse
            ? 'rounded-md border border-dashed border-ink px-2 py-1 font-semibold'
            : 'text-soft'
        }
      >
        {hard === 0
          ? '✓ All theme pairs would have enough contrast.'
          : `× ${counted(hard, 'theme pair')} would have too little contrast, ${hard === now ? 'as now' : `${now} now`}.`}
      </p>
      {cells > 0 && (
        <Tick checked={anew} onChange={(themesAnew) => onTrial({ ...trial, themesAnew })}>
          {hasOwnThemes(frame, trial)
            ? 'And the design’s own themes'
            : 'And generate the themes anew'}
          , {counted(cells, 'cell')}
          {anew
            ? ''
            : `: ${thenAnew === 0 ? 'then all theme pairs would pass' : `then ${counted(thenAnew, 'pair')} would fail`}`}
        </Tick>
      )}
    </div>
  )
}
