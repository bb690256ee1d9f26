'use client'

import type { ReactNode } from 'react'
import { colorOf, writeHex, type Color } from '@/core/color'
import { castColors, paletteFaults } from '@/core/palette'
import { failingRoles } from '@/core/resolve'
import { themesInOrder, type Study } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button, TextField } from '../kit'
import { readName } from '../names'
import { counted, paletteFaultWords } from '../words'
import { useBasis } from './basis'
import { filledColors, triedColors } from './shown-colors'
import { ThingDrawing, things } from './things/things'
import { paletteWith, trialOfStudy, trialValues, wayName } from './trial'

/** The present palette, what is tried, and every study, side by side on the same things. */
export function SideView() {
  const editor = useEditor()
  const { palette, themes, studies } = useEditorState((state) => state.docs.frame)
  const basis = useBasis()
  const trial = useEditorState((state) => state.trial)
  const all = themesInOrder(themes)
  const unread = (values: ReturnType<typeof trialValues>) =>
    failingRoles(paletteWith(palette, values), all).length
  const isStudy = trial?.from.way === 'study'
  return (
    <div className="h-full overflow-auto bg-well p-5">
      <ul className="flex w-max gap-4">
        <Column
          title={<h3 className="flex h-8 items-center font-bold">The present palette</h3>}
          colors={filledColors(palette)}
          unread={unread([])}
        />
        {trial && !isStudy && trial.colors.length > 0 && (
          <Column
            title={<h3 className="flex h-8 items-center font-bold">{wayName(trial, studies)}</h3>}
            colors={triedColors(palette, trial)}
            unread={unread(trialValues(palette, trial))}
            chosen
          />
        )}
        {studies.map((study) => {
          const shown = trialOfStudy(basis, study)
          const chosen = trial?.from.way === 'study' && trial.from.study === study.id
          return (
            <Column
              key={study.id}
              title={<StudyName study={study} />}
              colors={study.colors.map(({ value }) => colorOf(value)!)}
              unread={unread(trialValues(palette, shown))}
              chosen={chosen}
            >
              <Button aria-pressed={chosen} onClick={() => editor.show({ trial: shown })}>
                Try it
              </Button>
            </Column>
          )
        })}
      </ul>
      {studies.length === 0 && (
        <p className="mt-4 max-w-md text-soft">
          No study is kept yet. Try a palette from the ways in below and keep it by name; it then
          stands here beside the present one.
        </p>
      )}
    </div>
  )
}

function StudyName({ study }: { readonly study: Study }) {
  const editor = useEditor()
  return (
    <TextField
      label="Name of the study"
      hideLabel
      value={study.name}
      onCommit={(name) => {
        const read = readName(name)
        if (!read.ok) return read.wrong
        editor.carryOut({ type: 'keepStudy', study: { ...study, name: read.name } })
        return undefined
      }}
    />
  )
}

interface ColumnProps {
  readonly title: ReactNode
  readonly colors: readonly Color[]
  readonly unread: number
  readonly chosen?: boolean
  readonly children?: ReactNode
}

function Column({ title, colors, unread, chosen, children }: ColumnProps) {
  const cast = castColors(colors)
  const faults = paletteFaults(colors)
  return (
    <li
      className={`grid w-56 content-start gap-2 rounded-md bg-raised p-3 shadow-sm ${chosen ? 'outline-2 outline-ink' : ''}`}
    >
      {title}
      <span aria-hidden className="see-through flex h-9 overflow-hidden rounded">
        {colors.map((color, i) => (
          <span key={i} className="flex-1" style={{ background: writeHex(color) }} />
        ))}
      </span>
      {things.slice(0, 3).map((thing) => (
        <span key={thing.id} className="block overflow-hidden rounded">
          <ThingDrawing thing={thing} cast={cast} />
        </span>
      ))}
      <p className={unread ? 'font-semibold' : 'text-soft'}>
        {unread
          ? `× ${counted(unread, 'theme pair')} with too little contrast`
          : '✓ All theme pairs pass AA'}
      </p>
      {faults.length > 0 && (
        <p className="text-xs text-soft">
          {faults.map((fault) => paletteFaultWords[fault]).join('; ')}
        </p>
      )}
      {children}
    </li>
  )
}
