'use client'

import { useEffect, useMemo } from 'react'
import { toast } from 'sonner'
import { writeHex, writeRatio, type Color } from '@/core/color'
import { writeDecision, type Edit } from '@/core/edit'
import type { Facet } from '@/core/elements'
import { afterDark, remedyFor, type Remedy } from '@/core/generate'
import { spotsOnPage, type Spot, type Standing } from '@/core/resolve'
import { roleName } from '@/core/roles'
import {
  canonicalJson,
  type ColorDecision,
  type Palette,
  type SiteElement,
  type State,
} from '@/core/site'
import { ReadableChoice } from '../color'
import { isAfterDark, useEditor, useEditorState, type Selection } from '../editor'
import { previewColor } from '../stage'
import { editProblemWords } from '../words'
import { afterDarkEdit } from './after-dark-edit'
import { TintRemedy } from './tint-remedy'

interface RemediesProps {
  readonly spot: Spot
  readonly selection: Selection
  readonly element: SiteElement
  /** What does not read: the colour that is traced, or what stands on it. */
  readonly facet: Facet
  readonly state: State
  /** Where it stands, if what lies under it is not the same everywhere. */
  readonly standing?: Standing
  /** The element in words, for the samples. */
  readonly words: string
}

/** The spot in the site's other edition, where it has one. */
function useOtherEdition(spot: Spot): Spot | undefined {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const dark = useEditorState(isAfterDark)
  return useMemo(() => {
    if (docs.frame.edition === 'light') return undefined
    const other = dark ? docs : { ...docs, frame: afterDark(docs.frame) }
    return spotsOnPage(other, pageId).find(
      ({ doc, section }) => doc === spot.doc && section.id === spot.section.id,
    )
  }, [docs, pageId, dark, spot])
}

/** The nearest readable colours for something on the page that cannot be read; pointing at one shows it there. */
export function Remedies(props: RemediesProps) {
  const { spot, selection, element, facet, state, standing, words } = props
  const editor = useEditor()
  const dark = useEditorState(isAfterDark)
  const other = useOtherEdition(spot)
  const remedy = useMemo(
    () => remedyFor(other ? [spot, other] : [spot], element, facet, state, standing),
    [spot, other, element, facet, state, standing],
  )
  const show = (color?: string) => state === 'rest' && previewColor(selection, facet, color)
  useEffect(() => () => previewColor(selection, facet, undefined), [selection, facet])
  if (!remedy) return null
  const { role, reading, choices, tinted } = remedy
  const name = role ? `${roleName(role).toLowerCase()} in ${spot.theme.name}` : 'this element'
  const run = (edit: Edit) => {
    show()
    const problem = editor.dispatch(dark ? afterDarkEdit(edit, spot) : edit)
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  const take = (value: ColorDecision) => {
    const on = { doc: selection.doc, element: element.id }
    run(
      role
        ? { type: 'setRole', themes: [spot.theme.id], role, decision: value }
        : { type: 'setLooks', settings: [{ on, key: facet.key, state, value }] },
    )
  }
  if (choices.length === 0 && !tinted) {
    return (
      <p className="font-semibold">
        × No one colour of the palette can be read on all that lies under it. Change what lies under
        it, or give the section another theme.
      </p>
    )
  }
  return (
    <section
      aria-label="Colours that can be read here"
      className="grid gap-1 rounded-md border border-dashed border-ink p-2"
    >
      {choices.length > 0 ? (
        <p>
          The nearest that can be read, for <b>{name}</b>:
        </p>
      ) : (
        <p>No one colour of the palette can be read on all that lies under it.</p>
      )}
      {choices.map((choice) => (
        <ColorRemedy
          key={canonicalJson(choice.decision)}
          {...{ choice, name, words }}
          palette={spot.docs.frame.palette}
          ground={reading.ground}
          onTake={() => take(choice.decision)}
          onPoint={show}
        />
      ))}
      {tinted && (
        <TintRemedy spot={spot} tinted={tinted} reading={reading} words={words} onTake={run} />
      )}
    </section>
  )
}

interface ColorRemedyProps {
  readonly choice: Remedy['choices'][number]
  readonly palette: Palette
  /** Where it would be decided, in words. */
  readonly name: string
  /** What is to be read. */
  readonly words: string
  readonly ground: Color
  readonly onTake: () => void
  readonly onPoint: (color: string | undefined) => void
}

/** One colour that could be read, on what lies under it. */
function ColorRemedy(props: ColorRemedyProps) {
  const { choice, palette, name, words, ground, onTake, onPoint } = props
  const hex = writeHex(choice.color)
  const written = writeDecision(palette, choice.decision)
  return (
    <ReadableChoice
      label={`${written} for ${name}, ${writeRatio(choice.ratio)}`}
      words={`${written} · ${writeRatio(choice.ratio)}`}
      onChoose={onTake}
      onPoint={(pointed) => onPoint(pointed ? hex : undefined)}
      sample={
        <span
          aria-hidden
          className="truncate px-2 text-left leading-8"
          style={{ color: hex, background: writeHex(ground) }}
        >
          {words}
        </span>
      }
    />
  )
}
