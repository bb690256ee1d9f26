'use client'

import {
  isColor,
  paintKind,
  type ColorDecision,
  type GradientPaint,
  type Paint,
  type PaintKind,
  type PicturePaint,
} from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { Segments } from '../kit'
import { GradientEditor } from './gradient-editor'
import type { FilledPlace } from './held-gradient'
import { PicturePaintEditor } from './picture-paint-editor'
import { useRecipes } from './use-recipes'

interface FillChooserProps {
  readonly label: string
  /** The kinds of paint that it can be. */
  readonly kinds: readonly PaintKind[]
  /** What is decided where the change goes; absent where nothing is. */
  readonly value?: Paint
  /** What is seen now. */
  readonly present: Paint
  readonly onDrag: (paint: Paint) => void
  readonly onChoose: (paint: Paint) => void
  readonly onPoint: (decision: ColorDecision | undefined) => void
  /** Where a gradient is on the page, to be taken hold of there. */
  readonly place?: FilledPlace
}

const KINDS = { color: 'Colour', gradient: 'Gradient', picture: 'Picture' } as const

/** A fill: one colour, a gradient, or a picture; of words a colour or a gradient. */
export function FillChooser(props: FillChooserProps) {
  const { label, kinds, value, present, onDrag, onChoose, onPoint, place } = props
  const recipes = useRecipes()
  const pictures = useEditorState((state) => state.docs.pictures)
  const shown = value ?? present
  const [firstPicture] = Object.values(pictures)
  const under: ColorDecision = isColor(present) ? present : { value: '#808080' }
  const turnTo = (kind: PaintKind) => {
    if (kind === 'color') return onChoose(firstColor(shown))
    if (kind === 'picture' && firstPicture) {
      return onChoose({ picture: firstPicture.id, under } as PicturePaint)
    }
    onChoose(gradientFrom(shown) ?? (recipes[0]?.paint as GradientPaint) ?? plain)
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <Segments
        label="Kind of fill"
        value={paintKind(shown)}
        options={kinds
          .filter((kind) => kind !== 'picture' || firstPicture)
          .map((kind) => [kind, KINDS[kind]] as const)}
        onChange={turnTo}
      />
      {isColor(shown) && (
        <ColorChooser
          label={label}
          value={value && isColor(value) ? value : undefined}
          present={shown}
          onPoint={onPoint}
          onChoose={onChoose}
        />
      )}
      {'gradient' in shown && (
        <GradientEditor value={shown} place={place} onDrag={onDrag} onChoose={onChoose} />
      )}
      {'picture' in shown && (
        <PicturePaintEditor value={shown} onDrag={onDrag} onChoose={onChoose} />
      )}
    </div>
  )
}

/** From one grey to another: where a palette has no colours to begin with. */
const plain: GradientPaint = {
  gradient: 'linear',
  angle: 180,
  stops: [
    { at: 0, color: { value: '#808080' } },
    { at: 100, color: { value: '#404040' } },
  ],
}

/** A bound colour as a gradient from itself to a darker shade of it, top to bottom. */
function gradientFrom(paint: Paint): GradientPaint | undefined {
  if (!isColor(paint) || !('slot' in paint)) return undefined
  const lightness = Math.max(-100, (paint.shade?.lightness ?? 0) - 14)
  return {
    gradient: 'linear',
    angle: 180,
    space: 'oklab',
    stops: [
      { at: 0, color: paint },
      { at: 100, color: { slot: paint.slot, shade: { ...paint.shade, lightness } } },
    ],
  }
}

function firstColor(paint: Paint): ColorDecision {
  if (isColor(paint)) return paint
  return 'gradient' in paint ? paint.stops[0]!.color : paint.under
}
