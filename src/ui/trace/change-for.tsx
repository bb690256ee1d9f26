'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import type { Edit } from '@/core/edit'
import type { Spot, Trace } from '@/core/resolve'
import { hasFollowers } from '@/core/generate'
import { isColor, type ColorDecision, type SiteElement } from '@/core/site'
import { ColorChooser, FollowersOffer } from '../color'
import {
  isAfterDark,
  targetOf,
  useEditor,
  useEditorState,
  useReach,
  type Selection,
} from '../editor'
import { Button, Choice, Choices } from '../kit'
import { editProblemWords } from '../words'
import { afterDarkEdit } from './after-dark-edit'
import { withFollowers } from './following'
import { reachOptions, roleOf, type ReachOption } from './reaches'

interface ChangeForProps {
  readonly spot: Spot
  readonly selection: Selection
  readonly element?: SiteElement
  readonly trace: Trace
}

/** How far a change shall reach, with counts, and the palette to change it to. */
export function ChangeFor({ spot, selection, element, trace }: ChangeForProps) {
  const editor = useEditor()
  const reach = useReach()
  const dark = useEditorState(isAfterDark)
  const options = reachOptions(spot.docs, selection, spot.theme.id, element, trace, reach)
  const along = useEditorState((state) => state.goAlong)
  const [pointed, setPointed] = useState<ColorDecision>()
  const role = roleOf(trace, element)
  const [wanted, setWanted] = useState<ReachOption['key']>()
  const usual = options[trace.decidedBy === 0 ? 0 : options.findIndex(({ key }) => key === 'role')]!
  const option = options.find(({ key }) => key === wanted) ?? usual
  const own = trace.chain[0]?.set && trace.chain[0].state === trace.state

  const run = (edit: Edit) => {
    const whole = along ? withFollowers(edit, spot, element, trace) : edit
    const problem = editor.dispatch(dark ? afterDarkEdit(whole, spot) : whole)
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  const openSlot = () => editor.show({ openSlot: trace.slot })
  const backToTheme = () => {
    const { facet, state } = trace
    run({
      type: 'setLooks',
      settings: [{ on: targetOf(selection), key: facet.key, state, value: null }],
    })
  }

  return (
    <div className="grid gap-2.5">
      <h3 className="text-xs font-semibold text-soft">Change it for</h3>
      <Choices
        label="Change it for"
        value={option.key}
        onChange={(key) => setWanted(key as ReachOption['key'])}
        className="overflow-hidden rounded-md border border-edge-strong/60"
      >
        {options.map((each) => (
          <Choice
            key={each.key}
            value={each.key}
            // By pointer the slot opens at once; arrow keys only pass by.
            onClick={(event) => {
              if (each.key === 'slot' && event.detail > 0) openSlot()
            }}
            className="flex w-full items-center justify-between gap-2 border-b border-edge bg-raised px-2.5 py-1.5 text-left last:border-b-0 hover:bg-hover aria-checked:bg-strong aria-checked:text-on-strong"
          >
            <span className="truncate">{each.label}</span>
            <span className="code">{each.count}</span>
          </Choice>
        ))}
      </Choices>
      {option.edit ? (
        <ColorChooser
          key={option.key}
          onPoint={setPointed}
          label={`Colour for ${option.label}`}
          value={option.value}
          present={isColor(trace.paint) ? trace.paint : undefined}
          onChoose={(decision) => run(option.edit!(decision))}
        />
      ) : (
        <div className="grid justify-items-start gap-2">
          <p className="text-soft">All that the slot colours will follow.</p>
          <Button onClick={openSlot}>Open the slot in the tray</Button>
        </div>
      )}
      {option.edit && element && hasFollowers(role) && (
        <FollowersOffer
          palette={spot.docs.frame.palette}
          theme={spot.theme}
          role={role}
          decision={pointed ?? (isColor(trace.paint) ? trace.paint : undefined)}
        />
      )}
      {own && (
        <Button onClick={backToTheme} className="justify-self-start">
          Back to the theme
        </Button>
      )}
    </div>
  )
}
