'use client'

import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { mix, mixSpaces, writeHex } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { gradientRecipes } from '@/core/palette'
import { paintCss } from '@/core/render'
import { decisionColor, slotColor } from '@/core/resolve'
import { mostStops, slotsInOrder, type GradientPaint } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { Amount, Button, Fold, Segments, SelectField } from '../kit'
import { decisionHex } from '../look'
import { Accordion } from 'radix-ui'
import { GradientBar } from './gradient-bar'

interface GradientEditorProps {
  readonly value: GradientPaint
  readonly onDrag: (value: GradientPaint) => void
  readonly onChoose: (value: GradientPaint) => void
}

const SPACES = { srgb: 'sRGB', oklab: 'OKLab', oklch: 'OKLCH, around' } as const

/** A gradient: its stops, its way, and recipes out of the palette. Every stop is a colour decision of its own. */
export function GradientEditor({ value, onDrag, onChoose }: GradientEditorProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [chosen, setChosen] = useState(0)
  // What is dragged is shown here at once, and on the page; kept when it is let go.
  const [dragged, setDragged] = useState<GradientPaint>()
  const shown = dragged ?? value
  const { stops, gradient, angle, center = { x: 50, y: 50 } } = shown
  const index = Math.min(chosen, stops.length - 1)
  const stop = stops[index]!
  const drag = (next: GradientPaint) => {
    setDragged(next)
    onDrag(next)
  }
  const choose = (next: GradientPaint) => {
    setDragged(undefined)
    onChoose(next)
  }
  const withStop = (at: number, next: Partial<typeof stop>) => ({
    ...shown,
    stops: stops.with(at, { ...stops[at]!, ...next }),
  })
  /** A new stop stands half way to the next one, in the colour that is there. */
  const add = () => {
    const from = Math.min(index, stops.length - 2)
    const [a, b] = [stops[from]!, stops[from + 1]!]
    const [one, two] = [a, b].map(({ color }) => decisionColor(palette, color))
    const value = writeHex(mix(one!, two!, 0.5, shown.space ?? 'srgb'))
    const between = { at: Math.round((a.at + b.at) / 2), color: { value } }
    setChosen(from + 1)
    choose({ ...shown, stops: stops.toSpliced(from + 1, 0, between) })
  }
  const low = stops[index - 1]?.at ?? 0
  const high = stops[index + 1]?.at ?? 100
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <GradientBar
        value={shown}
        chosen={index}
        onPick={setChosen}
        onDrag={drag}
        onChoose={choose}
      />
      <div className="flex items-center gap-1.5">
        <span className="min-w-0 flex-1 truncate">
          Stop {index + 1} of {stops.length}: <b>{writeDecision(palette, stop.color)}</b>
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
        min={low}
        max={high}
        unit="%"
        onDrag={(at) => drag(withStop(index, { at }))}
        onCommit={(at) => choose(withStop(index, { at }))}
      />
      <ColorChooser
        key={index}
        label={`Colour of stop ${index + 1}`}
        value={stop.color}
        onChoose={(color) => choose(withStop(index, { color }))}
      />
      <Segments
        label="Kind of gradient"
        value={gradient}
        options={[
          ['linear', 'Linear'],
          ['radial', 'Radial'],
          ['conic', 'Conic'],
        ]}
        onChange={(kind) => choose({ ...shown, gradient: kind })}
      />
      {gradient !== 'radial' && (
        <Amount
          label="Angle"
          value={angle}
          min={0}
          max={360}
          step={5}
          unit="°"
          onDrag={(to) => drag({ ...shown, angle: to })}
          onCommit={(to) => choose({ ...shown, angle: to })}
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
            onDrag={(to) => drag({ ...shown, center: { ...center, [axis]: to } })}
            onCommit={(to) => choose({ ...shown, center: { ...center, [axis]: to } })}
          />
        ))}
      <SelectField
        label="Mixed in"
        value={shown.space ?? 'srgb'}
        onChange={(space) => choose({ ...shown, space: space as (typeof mixSpaces)[number] })}
      >
        {mixSpaces.map((space) => (
          <option key={space} value={space}>
            {SPACES[space]}
          </option>
        ))}
      </SelectField>
      <Accordion.Root type="single" collapsible>
        <Fold value="recipes" title="Recipes out of the palette">
          <Recipes onChoose={choose} onPoint={(paint) => onDrag(paint ?? value)} />
        </Fold>
      </Accordion.Root>
    </div>
  )
}

interface RecipesProps {
  readonly onChoose: (paint: GradientPaint) => void
  readonly onPoint: (paint: GradientPaint | undefined) => void
}

/** Gradients that the palette itself suggests; pointing at one shows it in place. */
export function Recipes({ onChoose, onPoint }: RecipesProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const colors = slotsInOrder(palette).flatMap(({ id, value }) =>
    value ? [{ id, color: slotColor(palette, id) }] : [],
  )
  const recipes = gradientRecipes(colors)
  if (recipes.length === 0) return <p className="text-soft">The palette has no colours yet.</p>
  return (
    <div role="group" aria-label="Recipes" className="grid grid-cols-4 gap-1.5">
      {recipes.map(({ id, label, paint }) => {
        const gradient = paint as GradientPaint
        return (
          <button
            key={id}
            type="button"
            title={label}
            aria-label={label}
            onClick={() => onChoose(gradient)}
            onPointerEnter={() => onPoint(gradient)}
            onPointerLeave={() => onPoint(undefined)}
            onFocus={() => onPoint(gradient)}
            onBlur={() => onPoint(undefined)}
            className="see-through h-9 overflow-hidden rounded border border-black/20"
          >
            <span
              className="block size-full"
              style={{
                background: paintCss(
                  gradient,
                  () => '',
                  (each) => decisionHex(palette, each),
                ),
              }}
            />
          </button>
        )
      })}
    </div>
  )
}
