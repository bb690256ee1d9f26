'use client'

import { Bold, Italic, Link2, Palette } from 'lucide-react'
import type { MouseEvent, ReactNode } from 'react'
import { writeHex } from '@/core/color'
import { isMarker, wordColors, wordFacets, type WordColor } from '@/core/elements'
import { traceFacet } from '@/core/resolve'
import { bodyOf } from '@/core/site'
import { spotOfSelection, useEditor, useEditorState, useSpots, type WordsPlace } from '../editor'
import { IconButton, Popover, Swatch } from '../kit'
import { LinkTarget } from './link-target'
import type { WordsSession } from './words-session'
import type { WordsState } from './words-view'

interface WordsBarProps {
  readonly place: WordsPlace
  readonly session: WordsSession
  readonly state: WordsState
  readonly asksLink: boolean
  readonly onAskLink: (asks: boolean) => void
}

/** A press on the bar leaves the caret where it is. */
const keepCaret = (event: MouseEvent) => event.preventDefault()

/** What can be done with words while they are written. */
export function WordsBar(props: WordsBarProps) {
  const { place, session, state, asksLink, onAskLink } = props
  const editor = useEditor()
  const { view, rich } = session
  return (
    <div
      role="toolbar"
      aria-label="Words"
      className="flex w-fit items-center gap-0.5 rounded-md border border-edge bg-raised p-1 shadow-lg"
      onMouseDown={keepCaret}
    >
      {rich && (
        <>
          <IconButton
            label="Strong (Ctrl B)"
            aria-pressed={state.strong}
            onClick={() => view.toggle('strong')}
          >
            <Bold size={15} />
          </IconButton>
          <IconButton
            label="Emphasis (Ctrl I)"
            aria-pressed={state.em}
            onClick={() => view.toggle('em')}
          >
            <Italic size={15} />
          </IconButton>
          <Popover
            label="Where these words lead"
            width={300}
            open={asksLink}
            onClosed={view.focus}
            onOpenChange={onAskLink}
            trigger={
              <IconButton
                label="Link (Ctrl K)"
                aria-pressed={!!state.href}
                disabled={!state.isChosen && !state.href}
              >
                <Link2 size={15} />
              </IconButton>
            }
          >
            <LinkTarget
              href={state.href}
              onChoose={(href) => {
                view.setLink(href)
                onAskLink(false)
              }}
            />
          </Popover>
          <WordColors place={place} session={session} state={state} />
          <Bar />
        </>
      )}
      <button
        type="button"
        className="h-8 rounded-md px-2.5 text-[13px] font-semibold hover:bg-hover"
        onClick={() => editor.show({ words: undefined })}
      >
        Done <kbd className="ml-1 font-normal text-soft">Esc</kbd>
      </button>
    </div>
  )
}

const Bar = () => <span aria-hidden className="mx-0.5 h-5 w-px bg-edge" />

/** The colours that a few words can have; what each is just now is shown, and traced once it is given. */
function WordColors({ place, session, state }: Omit<WordsBarProps, 'asksLink' | 'onAskLink'>) {
  const editor = useEditor()
  const spots = useSpots()
  const docs = useEditorState((held) => held.docs)
  const spot = spotOfSelection(spots, place)
  const element = bodyOf(docs, place.doc)?.elements[place.element]
  const paintOf = (key: string) => {
    const facet = wordFacets.find((each) => each.key === key)
    const color = spot && element && facet && traceFacet(spot, element, facet, 'rest').color
    return color ? writeHex(color) : 'transparent'
  }
  const give = (color: WordColor | undefined) => {
    session.view.setColor(color)
    session.save()
    const { doc, section, element: id } = place
    if (color) editor.show({ selection: { doc, section, element: id, property: color } })
  }
  return (
    <Popover
      label="Colour of these words"
      width={230}
      onClosed={session.view.focus}
      trigger={
        <IconButton
          label="Colour of these words"
          aria-pressed={!!state.color}
          disabled={!state.isChosen && !state.color}
        >
          <Palette size={15} />
        </IconButton>
      }
    >
      <ul className="grid gap-0.5">
        <Choice chosen={!state.color} onChoose={() => give(undefined)}>
          As the text around them
        </Choice>
        {wordColors.map((color) => (
          <Choice key={color} chosen={state.color === color} onChoose={() => give(color)}>
            {isMarker(color) ? (
              <span
                aria-hidden
                className="rounded-sm px-1 font-semibold"
                style={{ background: paintOf(color), color: paintOf(`${color}Words`) }}
              >
                Aa
              </span>
            ) : (
              <Swatch color={paintOf(color)} size={14} />
            )}
            {wordFacets.find(({ key }) => key === color)!.label}
          </Choice>
        ))}
      </ul>
      <p className="mt-2 border-t border-edge pt-2 text-xs text-soft">
        Each is a colour of this element: bind it in the trace, or drop a slot on it.
      </p>
    </Popover>
  )
}

interface ChoiceProps {
  readonly chosen: boolean
  readonly onChoose: () => void
  readonly children: ReactNode
}

function Choice({ chosen, onChoose, children }: ChoiceProps) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className="flex h-8 w-full items-center gap-2 rounded px-2 text-left hover:bg-hover aria-pressed:font-bold"
      >
        {children}
      </button>
    </li>
  )
}
