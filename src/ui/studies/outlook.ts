import { applyEdit, type Edit } from '@/core/edit'
import { cellsAnew, cellsOfDesign, failingInSite, type AnewCell } from '@/core/generate'
import { siteDocs, type Frame } from '@/core/site'
import type { Names } from '../color'
import type { Outlook, Trial } from '../editor'
import { trialEdit } from './trial'

/** What slots would be called does not matter before they are there. */
const unnamed: Names = {
  namer: (_, taken = []) => `New ${[...taken].length}`,
  isOutdated: () => false,
}

const framed = (frame: Frame, edit: Edit): Frame => {
  const result = applyEdit(siteDocs(frame), edit)
  return result.ok ? result.docs.frame : frame
}
const countFailing = (frame: Frame): number => {
  const { light, dark } = failingInSite(frame)
  return light.length + dark.length
}

/** Whether a trial comes with themes of its own: the design's, as they came. */
export const hasOwnThemes = ({ themes }: Frame, { from }: Trial): boolean =>
  from.way === 'original' && themes.original !== undefined

const cellsFor = (frame: Frame, trial: Trial): AnewCell[] =>
  hasOwnThemes(frame, trial) ? cellsOfDesign(frame) : cellsAnew(frame)

function lookOut(frame: Frame, trial: Trial): Outlook {
  const plain = framed(frame, trialEdit(frame.palette, trial, 'Trial', unnamed))
  const cells = cellsFor(plain, trial)
  const made = framed(plain, { type: 'setCells', told: 'Trial', cells, hand: false })
  const [now, then, thenAnew] = [frame, plain, made].map(countFailing) as [number, number, number]
  // Back to the design means its themes too, unless somebody says otherwise.
  const usual = hasOwnThemes(frame, trial) || (then > now && thenAnew < then)
  const anew = cells.length > 0 && (trial.themesAnew ?? usual)
  return { trial, now, then, thenAnew, cells: cells.length, anew, frame: anew ? made : plain }
}

const known = new WeakMap<Trial, { readonly frame: Frame; readonly outlook: Outlook }>()

/** What applying a trial would lead to; worked out once. */
export function outlookOf(frame: Frame, trial: Trial): Outlook {
  const kept = known.get(trial)
  if (kept?.frame === frame) return kept.outlook
  const outlook = lookOut(frame, trial)
  known.set(trial, { frame, outlook })
  return outlook
}

/** The one edit that applying a trial is, the themes with it where they are to be generated anew. */
export function applyingEdit(frame: Frame, trial: Trial, told: string, names: Names): Edit {
  const edit = trialEdit(frame.palette, trial, told, names)
  if (edit.type !== 'setSlots' || !outlookOf(frame, trial).anew) return edit
  const cells = cellsFor(framed(frame, edit), trial)
  return cells.length ? { ...edit, cells } : edit
}
