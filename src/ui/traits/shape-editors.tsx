'use client'

import { lineStyles, pill, sides } from '@/core/traits'
import { Amount, Segments, Tick } from '../kit'
import type { TraitEditorProps } from './editor-props'

export function CornerEditor({ label, value = 0, onDrag, onChoose }: TraitEditorProps<'corner'>) {
  const shape = value === 0 ? 'square' : value >= pill ? 'pill' : 'round'
  return (
    <div className="grid gap-2">
      <Segments
        label={`Shape of the ${label.toLowerCase()}`}
        value={shape}
        options={[
          ['square', 'Square'],
          ['round', 'Rounded'],
          ['pill', 'Pill'],
        ]}
        onChange={(next) => onChoose(next === 'square' ? 0 : next === 'pill' ? pill : 8)}
      />
      <Amount
        label={label}
        hideLabel
        value={value}
        min={0}
        max={pill}
        upTo={48}
        unit="px"
        onDrag={onDrag}
        onCommit={onChoose}
      />
    </div>
  )
}

type LineWidth = TraitEditorProps<'lineWidth'>['value']

const each = (value: NonNullable<LineWidth>) =>
  typeof value === 'number' ? { top: value, right: value, bottom: value, left: value } : value

export function LineWidthEditor(props: TraitEditorProps<'lineWidth'>) {
  const { label, value = 0, onDrag, onChoose } = props
  const isSplit = typeof value !== 'number'
  const widths = each(value)
  const shared = { min: 0, max: 40, upTo: 12, step: 0.5, unit: 'px' }
  return (
    <div className="grid gap-2">
      {!isSplit && (
        <Amount
          label={label}
          hideLabel
          value={value}
          {...shared}
          onDrag={onDrag}
          onCommit={onChoose}
        />
      )}
      {isSplit &&
        sides.map((side) => (
          <Amount
            key={side}
            label={side.charAt(0).toUpperCase() + side.slice(1)}
            value={widths[side]}
            {...shared}
            onDrag={(width) => onDrag({ ...widths, [side]: width })}
            onCommit={(width) => onChoose({ ...widths, [side]: width })}
          />
        ))}
      <Tick
        checked={isSplit}
        onChange={(split) => onChoose(split ? widths : Math.max(...Object.values(widths)))}
      >
        Each side by itself
      </Tick>
    </div>
  )
}

export function LineStyleEditor({ label, value, onChoose }: TraitEditorProps<'lineStyle'>) {
  return (
    <Segments
      label={label}
      value={typeof value === 'string' ? value : ''}
      options={lineStyles.map((style) => [style, style] as const)}
      onChange={(next) => next && onChoose(next)}
    />
  )
}

export function PaddingEditor(props: TraitEditorProps<'padding'>) {
  const { value = { block: 0, inline: 0 }, onDrag, onChoose } = props
  const shared = { min: 0, max: 200, upTo: 64, step: 0.5, unit: 'px' }
  return (
    <div className="grid gap-1.5">
      <Amount
        label="Upright"
        value={value.block}
        {...shared}
        onDrag={(block) => onDrag({ ...value, block })}
        onCommit={(block) => onChoose({ ...value, block })}
      />
      <Amount
        label="Sideways"
        value={value.inline}
        {...shared}
        onDrag={(inline) => onDrag({ ...value, inline })}
        onCommit={(inline) => onChoose({ ...value, inline })}
      />
    </div>
  )
}

const amount = (range: {
  readonly min: number
  readonly max: number
  readonly upTo?: number
  readonly step?: number
  readonly unit?: string
  readonly start: number
}) =>
  function AmountEditor(props: {
    readonly label: string
    readonly value: number | undefined
    readonly onDrag: (value: number) => void
    readonly onChoose: (value: number) => void
  }) {
    const { start, ...shared } = range
    return (
      <Amount
        label={props.label}
        hideLabel
        value={props.value ?? start}
        {...shared}
        onDrag={props.onDrag}
        onCommit={props.onChoose}
      />
    )
  }

export const SpaceEditor = amount({ min: 0, max: 400, upTo: 240, unit: 'px', start: 0 })
export const WidthEditor = amount({
  min: 200,
  max: 2400,
  upTo: 1800,
  step: 10,
  unit: 'px',
  start: 1080,
})
export const DurationEditor = amount({
  min: 0,
  max: 5000,
  upTo: 1000,
  step: 10,
  unit: 'ms',
  start: 0,
})
export const WeightEditor = amount({ min: 1, max: 1000, upTo: 900, step: 10, start: 400 })
export const LeadingEditor = amount({ min: 0.7, max: 3, upTo: 2.2, step: 0.01, start: 1.5 })
export const SpacingEditor = amount({
  min: -0.2,
  max: 1,
  upTo: 0.4,
  step: 0.005,
  unit: 'em',
  start: 0,
})

export function OpacityEditor({ label, value = 1, onDrag, onChoose }: TraitEditorProps<'opacity'>) {
  return (
    <Amount
      label={label}
      hideLabel
      value={Math.round(value * 100)}
      min={0}
      max={100}
      unit="%"
      onDrag={(percent) => onDrag(percent / 100)}
      onCommit={(percent) => onChoose(percent / 100)}
    />
  )
}
