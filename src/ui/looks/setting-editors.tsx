'use client'

import type { ComponentType } from 'react'
import { siteFonts } from '@/core/render'
import { isTaken, settings, type SettingId, type Settings } from '@/core/traits'
import { useEditorState } from '../editor'
import { Amount, SelectField } from '../kit'
import type { SettingEditorProps } from './editor-props'
import { ButtonFormEditor, ButtonIconEditor } from './form-editors'
import { CaseEditor, CornerEditor, PaddingEditor } from '../traits'

type Editor<K extends SettingId> = ComponentType<SettingEditorProps<Settings[K]>>

interface Range {
  readonly min: number
  readonly max: number
  readonly upTo?: number
  readonly step?: number
  readonly unit?: string
}

/** A number on a track, beneath its name. */
function numbered(range: Range) {
  return function NumberedSetting(props: SettingEditorProps<number>) {
    return (
      <Amount
        label={props.label}
        hideLabel
        value={props.value}
        {...range}
        onDrag={props.onDrag}
        onCommit={props.onChoose}
      />
    )
  }
}

/** The typefaces of a site as options of a list: its own, and those that ship with us. */
export function TypefaceOptions() {
  const fonts = useEditorState((state) => state.docs.fonts)
  const own = [...new Set(Object.values(fonts).map(({ family }) => family))]
  const shipped = siteFonts.map(({ family }) => family)
  return (
    <>
      {own.length > 0 && (
        <optgroup label="Of this site">
          {own.map((family) => (
            <option key={family}>{family}</option>
          ))}
        </optgroup>
      )}
      <optgroup label="Open typefaces that come along">
        {shipped.map((family) => (
          <option key={family}>{family}</option>
        ))}
      </optgroup>
    </>
  )
}

function TypefaceEditor({ label, value, onChoose }: SettingEditorProps<string>) {
  return (
    <SelectField label={label} hideLabel value={value} onChange={onChoose}>
      <TypefaceOptions />
    </SelectField>
  )
}

const weights = numbered({ min: 100, max: 900, step: 10 })
const line = numbered({ min: 0, max: 8, step: 0.5, unit: 'px' })

/** What each setting is edited with. */
const editors: { readonly [K in SettingId]: Editor<K> } = {
  titleFace: TypefaceEditor,
  titleWeight: weights,
  headingFace: TypefaceEditor,
  headingWeight: weights,
  bodyFace: TypefaceEditor,
  bodyWeight: weights,
  interactiveFace: TypefaceEditor,
  interactiveWeight: weights,
  textSize: numbered({ min: 12, max: 24, step: 0.5, unit: 'px' }),
  scale: numbered({ min: 1, max: 2, upTo: 1.6, step: 0.005 }),
  narrowScale: numbered({ min: 1, max: 2, upTo: 1.6, step: 0.005 }),
  textLeading: numbered({ min: 1, max: 2.4, step: 0.01 }),
  measure: numbered({ min: 20, max: 120, unit: 'ch' }),
  contentWidth: numbered({ min: 600, max: 1800, step: 10, unit: 'px' }),
  sectionSpace: numbered({ min: 0, max: 240, unit: 'px' }),
  sideSpace: numbered({ min: 0, max: 120, unit: 'px' }),
  density: numbered({ min: 0.5, max: 1.5, step: 0.01 }),
  buttonForm: ButtonFormEditor,
  buttonCorner: CornerEditor as Editor<'buttonCorner'>,
  buttonLine: line,
  buttonPad: PaddingEditor as Editor<'buttonPad'>,
  buttonCase: CaseEditor as Editor<'buttonCase'>,
  buttonSpacing: numbered({ min: -0.1, max: 0.5, upTo: 0.3, step: 0.005, unit: 'em' }),
  buttonIcon: ButtonIconEditor,
  cardCorner: numbered({ min: 0, max: 80, upTo: 48, unit: 'px' }),
  cardLine: line,
  cardPad: PaddingEditor as Editor<'cardPad'>,
  pictureCorner: numbered({ min: 0, max: 80, upTo: 48, unit: 'px' }),
  fieldCorner: numbered({ min: 0, max: 80, upTo: 32, unit: 'px' }),
  fieldLine: line,
}

interface SettingEditorOf {
  readonly id: SettingId
  readonly onDrag: (settings: Partial<Settings>) => void
  readonly onChoose: (settings: Partial<Settings>) => void
}

/** One site-wide setting with its name and what it is edited with. */
export function SettingEditor({ id, onDrag, onChoose }: SettingEditorOf) {
  const value = useEditorState((state) => state.docs.frame.settings[id])
  const Edit = editors[id] as unknown as Editor<SettingId>
  const isUsed = useEditorState(
    ({ docs }) => id === 'buttonForm' || isTaken(docs.frame.settings, id),
  )
  const { label } = settings[id]
  return (
    <div role="group" aria-label={label} data-setting={id} className="grid scroll-my-8 gap-1">
      <span aria-hidden className="text-xs text-soft">
        {label}
      </span>
      <Edit
        label={label}
        value={value}
        onDrag={(to) => onDrag({ [id]: to })}
        onChoose={(to) => onChoose({ [id]: to })}
      />
      {!isUsed && (
        <span className="text-xs text-soft">
          Kept for other forms of buttons; this one has its own.
        </span>
      )}
    </div>
  )
}
