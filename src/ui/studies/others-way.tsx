'use client'

import { ChevronLeft, ChevronRight, LayoutGrid } from 'lucide-react'
import { PageStack } from '../bands'
import { useEditorState, useShownPage, type Trial, type TrialWay } from '../editor'
import { Button, Choice, Choices, IconButton } from '../kit'
import { PaletteStrip } from './palette-strip'
import { newSeed, othersAt, trialOfOthers, valuesOfOthers, type OthersWay } from './others'
import { paletteWith } from './trial'

interface OthersWayProps {
  readonly from: Extract<TrialWay, { way: 'others' }>
  readonly onTrial: (trial: Trial) => void
}

/** Eight whole palettes at once, each as this very page in small; more of them, more like one, and back through all that were seen. */
export function OthersControls({ from, onTrial }: OthersWayProps) {
  const frame = useEditorState((state) => state.docs.frame)
  const siteId = useEditorState((state) => state.siteId)
  const page = useShownPage()
  const { palette } = frame
  const palettes = othersAt(palette, from)
  const { steps, at, chosen } = from
  const show = (next: Partial<OthersWay>) => onTrial(trialOfOthers(palette, { ...from, ...next }))
  const add = (like?: readonly string[]) => {
    const step = { seed: newSeed(), ...(like ? { like } : {}) }
    show({ steps: [...steps.slice(0, at + 1), step], at: at + 1, chosen: 0 })
  }
  const liked = palettes[chosen]
  return (
    <div className="grid gap-2">
      {palettes.length === 0 && (
        <p className="text-soft">
          With these slots staying, nothing else can be read. Let one of them go along.
        </p>
      )}
      <Choices
        label="Other palettes"
        value={String(chosen)}
        onChange={(next) => show({ chosen: Number(next) })}
        className="grid grid-cols-4 gap-1.5"
      >
        {palettes.map((colors, i) => (
          <Choice
            key={i}
            value={String(i)}
            label={`Palette ${i + 1}`}
            className="block self-start overflow-hidden rounded-md border border-edge-strong/60 bg-raised has-checked:outline-2 has-checked:outline-offset-1 has-checked:outline-ink"
          >
            {page && palette.order.length > 0 && (
              <span aria-hidden className="block">
                <PageStack
                  siteId={siteId}
                  frame={{
                    ...frame,
                    palette: paletteWith(palette, valuesOfOthers(palette, colors)),
                  }}
                  page={page}
                  band="h-2"
                  shared="h-1"
                />
              </span>
            )}
            <PaletteStrip colors={colors} className="h-3" />
          </Choice>
        ))}
      </Choices>
      <div className="flex items-center gap-1.5">
        <Button className="flex-1 px-1" onClick={() => add()}>
          <LayoutGrid size={15} /> Eight others
        </Button>
        <Button
          className="flex-1 px-1"
          disabled={!liked}
          onClick={() => liked && add(valuesOfOthers(palette, liked).map(({ value }) => value))}
        >
          More like this
        </Button>
      </div>
      <div className="flex items-center gap-1.5">
        <IconButton
          label="The eight before"
          disabled={at === 0}
          onClick={() => show({ at: at - 1, chosen: 0 })}
        >
          <ChevronLeft size={16} />
        </IconButton>
        <IconButton
          label="The eight after"
          disabled={at >= steps.length - 1}
          onClick={() => show({ at: at + 1, chosen: 0 })}
        >
          <ChevronRight size={16} />
        </IconButton>
        <span className="code text-soft">
          {at + 1} of {steps.length}
        </span>
      </div>
    </div>
  )
}
