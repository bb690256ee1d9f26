'use client'

import { toast } from 'sonner'
import { liveryParts, partLabels, type Lack } from '@/core/livery'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button, Notice, Tick } from '../kit'
import { askSurvey } from '../survey'
import { counted, editProblemWords, listed } from '../words'
import type { TriedLivery, Trying } from './use-livery'

const lackWords = (lack: Lack): string =>
  lack.what === 'typeface'
    ? `${lack.family} is a typeface of that site alone; ${lack.stays} stays.`
    : `${lack.style}: ${counted(lack.count, 'picture')} of that site cannot come along; what is there otherwise shows.`

/** What will not be as it is there, and what of the site goes its own way. */
function notesOn({ lacks, fitting, hard }: TriedLivery, hasCss: boolean): string[] {
  const { staying, sharing, without } = fitting
  return [
    ...lacks.map(lackWords),
    ...(without.length ? [`There is no room for ${listed(without)}.`] : []),
    ...(sharing.length
      ? [`It has fewer colours: ${listed(sharing)} will look like another slot.`]
      : []),
    ...(staying.slots.length ? [`It has nothing for ${listed(staying.slots)}: kept as now.`] : []),
    ...(staying.styles.length
      ? [`It has no style called ${listed(staying.styles)}: kept as now.`]
      : []),
    ...(hard.then > hard.now
      ? [`${counted(hard.then, 'theme pair')} would have too little contrast; ${hard.now} now.`]
      : []),
    ...(hasCss ? ['The custom CSS stays, and may still have the last word.'] : []),
  ]
}

/** Which parts of a livery are taken, what cannot follow, and taking it. */
export function LiveryTrial({
  trying,
  onDone,
}: {
  readonly trying: Trying
  readonly onDone: () => void
}) {
  const editor = useEditor()
  const hasCss = useEditorState((state) => state.docs.frame.customCss.trim() !== '')
  const { chosen, trial, parts, toggle } = trying
  const notes = trial ? notesOn(trial, hasCss) : []
  const take = () => {
    if (!trial) return
    const { siteId, docs } = editor.store.getState()
    const problem = editor.dispatch(trial.edit)
    if (problem) return void toast.error(`Not taken: ${editProblemWords[problem]}.`)
    askSurvey(siteId, docs.frame)
    tellUndoable(editor, `${trial.entry.name} applied to the site.`)
    onDone()
  }
  return (
    <section
      aria-label={`Trying on ${chosen?.entry.name}`}
      className="grid gap-2 rounded-md border-2 border-strong bg-raised p-2.5"
    >
      <h3 className="font-semibold">Trying on {chosen?.entry.name}</h3>
      <div className="grid grid-cols-2 gap-1">
        {liveryParts.map((part) => (
          <Tick key={part} checked={parts.includes(part)} onChange={(on) => toggle(part, on)}>
            {partLabels[part]}
          </Tick>
        ))}
      </div>
      {notes.length > 0 && (
        <Notice look="caution">
          <ul className="grid gap-1">
            {notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
        </Notice>
      )}
      <div className="flex gap-2">
        <Button look="strong" disabled={!trial} onClick={take}>
          Take it
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </section>
  )
}
