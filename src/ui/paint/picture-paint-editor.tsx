'use client'

import { decisionWords } from '@/core/edit'
import type { PicturePaint } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { Amount, Segments, SelectField, Tick } from '../kit'

interface PicturePaintEditorProps {
  readonly value: PicturePaint
  readonly onDrag: (value: PicturePaint) => void
  readonly onChoose: (value: PicturePaint) => void
}

/** A picture as a ground: which one, how it fills, what stays in sight, and a colour over it. */
export function PicturePaintEditor({ value, onDrag, onChoose }: PicturePaintEditorProps) {
  const docs = useEditorState((state) => state.docs)
  const pictures = Object.values(docs.pictures)
  const { position = { x: 50, y: 50 }, tint } = value
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <SelectField
        label="Picture"
        value={value.picture}
        onChange={(picture) => onChoose({ ...value, picture: picture as PicturePaint['picture'] })}
      >
        {pictures.map(({ id, fileName }) => (
          <option key={id} value={id}>
            {fileName}
          </option>
        ))}
      </SelectField>
      <Segments
        label="How it fills"
        value={value.fit ?? 'cover'}
        options={[
          ['cover', 'Fills it'],
          ['contain', 'Whole'],
          ['repeat', 'Repeats'],
        ]}
        onChange={(fit) => onChoose({ ...value, fit })}
      />
      {(['x', 'y'] as const).map((axis) => (
        <Amount
          key={axis}
          label={axis === 'x' ? 'Across' : 'Down'}
          value={position[axis]}
          min={0}
          max={100}
          unit="%"
          onDrag={(to) => onDrag({ ...value, position: { ...position, [axis]: to } })}
          onCommit={(to) => onChoose({ ...value, position: { ...position, [axis]: to } })}
        />
      ))}
      <Tick
        checked={!!tint}
        onChange={(has) => {
          const { tint: _was, ...rest } = value
          const under = value.under
          onChoose(
            has
              ? {
                  ...rest,
                  tint: 'slot' in under ? { slot: under.slot, shade: { alpha: -50 } } : under,
                }
              : rest,
          )
        }}
      >
        A tint over it{tint ? `: ${decisionWords(tint, docs)}` : ''}
      </Tick>
      {tint && (
        <ColorChooser
          label="Colour of the tint"
          value={tint}
          onChoose={(color) => onChoose({ ...value, tint: color })}
        />
      )}
      <p className="text-xs text-soft">While it loads, and where it is clear:</p>
      <ColorChooser
        label="Colour under the picture"
        value={value.under}
        onChoose={(under) => onChoose({ ...value, under })}
      />
    </div>
  )
}
