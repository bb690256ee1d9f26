'use client'

import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { mix, mixSpaces, writeHex } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { decisionColor } from '@/core/resolve'
import { mostStops, type ColorDecision, type GradientPaint } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { Amount, Button, Fold, Folds, Segments, SelectField } from '../kit'
import { GradientBar } from './gradient-bar'
import { withStopAt } from './gradient-moves'
import { useHeldGradient, type FilledPlace } from './held-gradient'
import { Recipes } from './recipes'

interface GradientWayProps {
  readonly value: GradientPaint
  readonly onDrag: (value: GradientPaint) => void
  readonly onChoose: (value: GradientPaint) => void
}

interface GradientEditorProps extends GradientWayProps {
  /** Where it is on the page, to be taken hold of there. */
  readonly place?: FilledPlace
}

/** A gradient while it is edited: what is dragged is shown at once, here and on the page, and kept when it is let go. */
function useGradient({ value, place, onDrag, onChoose }: GradientEditorProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [chosen, setChosen] = useState(0)
  const [dragged, setDragged] = useState<GradientPaint>()
  const shown = dragged ?? value
  const { stops } = shown
  const index = Math.min(chosen, stops.length - 1)
  const drag = (next: GradientPaint) => {
    setDragged(next)
    onDrag(next)
  }
  const choose = (next: GradientPaint) => {
    setDragged(undefined)
    onChoose(next)
  }
  /** A new stop stands half way to the next one, in the colour that is there. */
  const add = () => {
    const from = Math.min(index, stops.length - 2)
    const [a, b] = [stops[from]!, stops[from + 1]!]
    const [one, two] = [a, b].map(({ color }) => decisionColor(palette, color))
    const color = { value: writeHex(mix(one!, two!, 0.5, shown.space ?? 'srgb')) }
    const between = { at: Math.round((a.at + b.at) / 2), color }
    setChosen(from + 1)
    choose({ ...shown, stops: stops.toSpliced(from + 1, 0, between) })
  }
  useHeldGradient(
    place && {
      place,
      value: shown,
      chosen: index,
      onPick: setChosen,
      onDrag: drag,
      onChoose: choose,
    },
  )
  return { shown, index, pick: setChosen, drag, choose, add }
}

/** A gradient: its stops, its way, and recipes out of the palette. Every stop is a colour decision of its own. */
export function GradientEditor(props: GradientEditorProps) {
  const { shown, index, pick, drag, choose, add } = useGradient(props)
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { stops } = shown
  const stop = stops[index]!
  const withColor = (color: ColorDecision) => ({
    ...shown,
    stops: stops.with(index, { ...stop, color }),
  })
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <GradientBar value={shown} chosen={index} onPick={pick} onDrag={drag} onChoose={choose} />
      <div className="flex items-center gap-1.5">
        <span className="min-w-0 flex-1 truncate" title={writeDecision(palette, stop.color)}>
          {index + 1} of {stops.length}: <b>{writeDecision(palette, stop.color)}</b>
        </span>
        <Button
          className="h-7 px-1.5 text-xs"
          disabled={stops.length >= mostStops}
          title={stops.length >= mostStops ? `That is the most: ${mostStops}` : undefined}
          onClick={add}
        >
          <Plus size={13} aria-hidden /> Stop
        </Button>
        <Button
          className="h-7 px-1.5"
          aria-label="Take this stop away"
          title="Take this stop away"
          disabled={stops.length <= 2}
          onClick={() => choose({ ...shown, stops: stops.toSpliced(index, 1) })}
        >
          <Trash2 size={13} aria-hidden />
        </Button>
      </div>
      <Amount
        label="Place"
        value={stop.at}
        min={stops[index - 1]?.at ?? 0}
        max={stops[index + 1]?.at ?? 100}
        unit="%"
        onDrag={(at) => drag(withStopAt(shown, index, at))}
        onCommit={(at) => choose(withStopAt(shown, index, at))}
      />
      <ColorChooser
        key={index}
        label={`Colour of stop ${index + 1}`}
        value={stop.color}
        onChoose={(color) => choose(withColor(color))}
      />
      <GradientWay value={shown} onDrag={drag} onChoose={choose} />
      <Folds>
        <Fold value="recipes" title="Recipes out of the palette">
          <Recipes onChoose={choose} onPoint={(paint) => props.onDrag(paint ?? props.value)} />
        </Fold>
      </Folds>
    </div>
  )
}

const SPACES = { srgb: 'sRGB', oklab: 'OKLab', oklch: 'OKLCH, around' } as const

/** Which way a gradient goes: its kind, its angle or its centre, and the space that it mixes in. */
function GradientWay({ value, onDrag, onChoose }: GradientWayProps) {
  const { gradient, angle, center = { x: 50, y: 50 } } = value
  return (
    <>
      <Segments
        label="Kind of gradient"
        value={gradient}
        options={[
          ['linear', 'Linear'],
          ['radial', 'Radial'],
          ['conic', 'Conic'],
        ]}
        onChange={(kind) => onChoose({ ...value, gradient: kind })}
      />
      {gradient !== 'radial' && (
        <Amount
          label="Angle"
          value={angle}
          min={0}
          max={360}
          step={5}
          unit="°"
          onDrag={(to) => onDrag({ ...value, angle: to })}
          onCommit={(to) => onChoose({ ...value, angle: to })}
        />
      )}
      {gradient !== 'linear' &&
        (['x', 'y'] as const).map((axis) => (
          <Amount
            key={axis}
            label={axis === 'x' ? 'Across' : 'Down'}
            value={center[axis]}
            min={0}
            max={100}
            unit="%"
            onDrag={(to) => onDrag({ ...value, center: { ...center, [axis]: to } })}
            onCommit={(to) => onChoose({ ...value, center: { ...center, [axis]: to } })}
          />
        ))}
      <SelectField
        label="Mixed in"
        value={value.space ?? 'srgb'}
        onChange={(space) => onChoose({ ...value, space: space as (typeof mixSpaces)[number] })}
      >
        {mixSpaces.map((space) => (
          <option key={space} value={space}>
            {SPACES[space]}
          </option>
        ))}
      </SelectField>
    </>
  )
}
