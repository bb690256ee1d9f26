import { toast } from 'sonner'
import type { Edit } from '@/core/edit'
import { idFromName } from '@/core/site'
import { loadNames, useNames } from '../color'
import { useEditor, useEditorState, type Trial } from '../editor'
import { readName } from '../names'
import { counted, editProblemWords } from '../words'
import { applyingEdit, hasOwnThemes, outlookOf } from './outlook'
import { leftOver, newNames, trialValues, wayName } from './trial'

/** What can be done with a trial: show another, apply it, keep it, drop the study it is. */
export function useTrialDeeds(trial: Trial) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const { palette } = frame
  const { studies } = frame
  const name = wayName(trial, studies)
  const show = (next: Trial | undefined) =>
    editor.show(next ? { trial: next } : { trial: next, middle: 'page', divider: undefined })
  const run = (edit: Edit): boolean => {
    const problem = editor.dispatch(edit)
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    return !problem
  }
  const changes = trialValues(palette, trial).length + (trial.addRest ? leftOver(trial).length : 0)
  /** Whether it changes themes though it may change no slot. */
  const themes = hasOwnThemes(frame, trial) && outlookOf(frame, trial).anew
  const names = useNames()
  const renames = names ? newNames(palette, trial, names) : []
  const apply = async () => {
    const outlook = outlookOf(frame, trial)
    if (run(applyingEdit(frame, trial, name, await loadNames()))) {
      show(undefined)
      const hard = outlook.anew ? outlook.thenAnew : outlook.then
      const reads = hard ? ` ${counted(hard, 'pair')} in the themes cannot be read well.` : ''
      toast(
        `${name} applied to ${changes === 0 && themes ? 'the themes' : counted(changes, 'slot')}.${reads} Undo brings back what was.`,
      )
    }
  }
  const keep = (typed: string) => {
    const read = readName(typed)
    if (!read.ok) return read.wrong
    const taken = studies.map(({ id }) => id)
    const id = idFromName(read.name, taken, 'study')
    const study = { id, name: read.name, colors: [...trial.colors] }
    if (run({ type: 'keepStudy', study })) toast(`Study “${read.name}” kept.`)
    return undefined
  }
  const drop = (study: string) => {
    if (run({ type: 'dropStudy', study })) show(undefined)
  }
  return { name, changes, themes, renames, show, apply, keep, drop }
}
