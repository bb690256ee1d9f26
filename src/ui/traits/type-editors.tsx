'use client'

import {
  easings,
  faces,
  fluidSize,
  leastStep,
  letterCases,
  hyphenations,
  mostStep,
  underlines,
  written,
} from '@/core/traits'
import { slotsInOrder } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { Amount, Segments, SelectField, Tick } from '../kit'
import type { TraitEditorProps } from './editor-props'

const FACES = {
  title: 'Titles',
  heading: 'Headings',
  body: 'Text',
  interactive: 'Buttons',
} as const

export function FaceEditor({ label, value, onChoose }: TraitEditorProps<'face'>) {
  return (
    <Segments
      label={label}
      value={value ?? ''}
      options={faces.map((face) => [face, FACES[face]] as const)}
      onChange={(next) => next && onChoose(next)}
    />
  )
}

const signed = (step: number) => (step === 0 ? 'text' : step > 0 ? `+${step}` : `−${-step}`)

/** A step of the site's scale, with what it comes to; or a size of its own, which may be another on phones. */
export function SizeEditor({ label, value, onDrag, onChoose }: TraitEditorProps<'size'>) {
  const settings = useEditorState((state) => state.docs.frame.settings)
  const size = value ?? { step: 0 }
  const isStep = 'step' in size
  const { narrow, wide } = fluidSize(settings, size)
  const shared = { min: 6, max: 240, upTo: 96, unit: 'px' }
  return (
    <div className="grid gap-2">
      <Segments
        label={`${label} by`}
        value={isStep ? 'step' : 'own'}
        options={[
          ['step', 'A step of the scale'],
          ['own', 'Its own'],
        ]}
        onChange={(by) =>
          onChoose(
            by === 'step' ? { step: 0 } : { px: Math.round(wide), narrow: Math.round(narrow) },
          )
        }
      />
      {isStep ? (
        <>
          <SelectField
            label="Step"
            value={String(size.step)}
            onChange={(step) => onChoose({ step: Number(step) })}
          >
            {Array.from({ length: mostStep - leastStep + 1 }, (_, i) => mostStep - i).map(
              (step) => {
                const ends = fluidSize(settings, { step })
                return (
                  <option key={step} value={step}>
                    {signed(step)} · {written(ends.narrow, 1)} to {written(ends.wide, 1)} px
                  </option>
                )
              },
            )}
          </SelectField>
        </>
      ) : (
        <>
          <Amount
            label="Wide"
            value={size.px}
            {...shared}
            onDrag={(px) => onDrag({ ...size, px })}
            onCommit={(px) => onChoose({ ...size, px })}
          />
          <Amount
            label="On phones"
            value={size.narrow ?? size.px}
            {...shared}
            onDrag={(px) => onDrag({ ...size, narrow: px })}
            onCommit={(px) => onChoose({ ...size, narrow: px })}
          />
        </>
      )}
    </div>
  )
}

const CASES = { none: 'As is', uppercase: 'AA', lowercase: 'aa', capitalize: 'Aa' } as const

export function CaseEditor({ label, value, onChoose }: TraitEditorProps<'case'>) {
  return (
    <Segments
      label={label}
      value={value ?? 'none'}
      options={letterCases.map((each) => [each, CASES[each]] as const)}
      onChange={onChoose}
    />
  )
}

const HYPHENS = { manual: 'Kept whole', auto: 'Broken with a hyphen' } as const

export function HyphensEditor({ label, value, onChoose }: TraitEditorProps<'hyphens'>) {
  return (
    <Segments
      label={label}
      value={value ?? 'manual'}
      options={hyphenations.map((each) => [each, HYPHENS[each]] as const)}
      onChange={onChoose}
    />
  )
}

export function MeasureEditor({ label, value, onDrag, onChoose }: TraitEditorProps<'measure'>) {
  const width = typeof value === 'number' ? value : 62
  return (
    <div className="grid gap-2">
      <Tick checked={typeof value === 'number'} onChange={(has) => onChoose(has ? width : 'none')}>
        No wider than so many characters
      </Tick>
      {typeof value === 'number' && (
        <Amount
          label={label}
          hideLabel
          value={value}
          min={8}
          max={200}
          upTo={100}
          unit="ch"
          onDrag={onDrag}
          onCommit={onChoose}
        />
      )}
    </div>
  )
}

const LINES = {
  none: 'None',
  solid: 'Plain',
  dotted: 'Dots',
  dashed: 'Dashes',
  wavy: 'Wave',
} as const

export function UnderlineEditor(props: TraitEditorProps<'underline'>) {
  const { label, value = { line: 'none' }, onDrag, onChoose } = props
  const palette = useEditorState((state) => state.docs.frame.palette)
  const slots = slotsInOrder(palette)
  // The middle of the palette is seldom a ground.
  const accent = slots[Math.floor(slots.length / 2)]
  const ownColor = accent ? { slot: accent.id } : { value: '#808080' }
  const hasLine = value.line !== 'none'
  return (
    <div className="grid gap-2">
      <Segments
        label={label}
        value={value.line}
        options={underlines.map((line) => [line, LINES[line]] as const)}
        onChange={(line) => onChoose(line === 'none' ? { line } : { ...value, line })}
      />
      {hasLine && (
        <>
          <Amount
            label="Thick"
            value={value.thickness ?? 1}
            min={0}
            max={20}
            upTo={8}
            step={0.5}
            unit="px"
            onDrag={(thickness) => onDrag({ ...value, thickness })}
            onCommit={(thickness) => onChoose({ ...value, thickness })}
          />
          <Amount
            label="Below"
            value={value.offset ?? 0.1}
            min={-1}
            max={2}
            upTo={0.6}
            step={0.01}
            unit="em"
            onDrag={(offset) => onDrag({ ...value, offset })}
            onCommit={(offset) => onChoose({ ...value, offset })}
          />
          <Tick
            checked={!!value.color}
            onChange={(has) => {
              const { color: _was, ...rest } = value
              onChoose(has ? { ...rest, color: ownColor } : rest)
            }}
          >
            In a colour of its own
          </Tick>
          {value.color && (
            <ColorChooser
              label="Colour of the underline"
              value={value.color}
              onChoose={(color) => onChoose({ ...value, color })}
            />
          )}
        </>
      )}
    </div>
  )
}

const EASINGS = {
  linear: 'Even',
  ease: 'Gentle',
  'ease-in': 'Slow start',
  'ease-out': 'Slow end',
  'ease-in-out': 'Slow start and end',
} as const

export function EasingEditor({ label, value, onChoose }: TraitEditorProps<'easing'>) {
  return (
    <SelectField
      label={label}
      value={value ?? 'ease'}
      onChange={(next) => onChoose(next as (typeof easings)[number])}
    >
      {easings.map((easing) => (
        <option key={easing} value={easing}>
          {EASINGS[easing]}
        </option>
      ))}
    </SelectField>
  )
}
