'use client'

import { useEffect } from 'react'
import { writeHex, writeRatio } from '@/core/color'
import { writeDecision, type Edit, type LookTarget } from '@/core/edit'
import type { Tinted } from '@/core/generate'
import type { Ground, Reading, Spot } from '@/core/resolve'
import { ReadableChoice } from '../color'
import { useEditorState } from '../editor'
import { paintBackground } from '../look'
import { previewEdit } from '../stage'

/** Who decides a ground, in words and for an edit; nothing where it is a theme or a setting, which hold no pictures. */
function deciderOfGround({ doc, section, docs }: Spot, { trace }: Ground) {
  const decider = trace.chain[trace.decidedBy]!
  const told = (name: string, on: LookTarget) => ({ name, on, decider })
  switch (decider.at) {
    case 'section':
      return told(section.name, { doc, section: decider.section })
    case 'element':
      return told('the box around it', { doc, element: decider.element })
    case 'style':
    case 'base':
      return told(docs.frame.styles[decider.style]?.name ?? 'its style', { style: decider.style })
    default:
      return undefined
  }
}

interface TintRemedyProps {
  readonly spot: Spot
  readonly tinted: Tinted
  readonly reading: Reading
  /** What is to be read, in words. */
  readonly words: string
  readonly onTake: (edit: Edit) => void
}

/** A tint over the picture that something stands on; pointing at it shows it there. */
export function TintRemedy({ spot, tinted, reading, words, onTake }: TintRemedyProps) {
  const siteId = useEditorState((state) => state.siteId)
  useEffect(() => () => previewEdit(undefined), [])
  const { ground, paint, percent, ratio } = tinted
  const decided = deciderOfGround(spot, ground)
  if (!decided) return null
  const { name, on, decider } = decided
  const { palette } = spot.docs.frame
  const { key, state } = decider
  const edit: Edit = { type: 'setLooks', settings: [{ on, key, state, value: paint }] }
  const written = writeDecision(palette, paint.tint)
  return (
    <>
      <p>
        A tint over the picture, for <b>{name}</b>:
      </p>
      <ReadableChoice
        label={`A tint of ${percent} %, ${written}, over the picture, ${writeRatio(ratio)}`}
        words={`${percent} % · ${writeRatio(ratio)}`}
        onChoose={() => onTake(edit)}
        onPoint={(pointed) => previewEdit(pointed ? edit : undefined)}
        sample={
          <span
            aria-hidden
            className="truncate px-2 text-left leading-8"
            style={{
              color: writeHex(reading.color),
              background: paintBackground(siteId, palette, paint),
            }}
          >
            {words}
          </span>
        }
      />
    </>
  )
}
