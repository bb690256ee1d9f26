'use client'

import { useEffect, useMemo, useState } from 'react'
import { toast } from 'sonner'
import { type Edit } from '@/core/edit'
import { hasFollowers } from '@/core/generate'
import type { Spot } from '@/core/resolve'
import {
  isColor,
  paintKindsOf,
  type ColorDecision,
  type LookValue,
  type Paint,
  type SiteElement,
  type TraitValue,
} from '@/core/site'
import { ColorChooser, FollowersOffer } from '../color'
import {
  isAfterDark,
  useEditor,
  useEditorState,
  useReach,
  useSettingReach,
  useSiteLooks,
  type Selection,
} from '../editor'
import { Button, Choice, Choices } from '../kit'
import { FillChooser } from '../paint'
import { TraitEditor } from '../traits'
import { previewEdit } from '../stage'
import { editProblemWords } from '../words'
import { afterDarkEdit } from './after-dark-edit'
import { withFollowers } from './following'
import { LookDeeds } from './look-deeds'
import { reachOptions, roleOf, usualReach, type ReachOption } from './reaches'
import { isFeature } from '@/core/elements'
import type { Traced } from './traced'

interface ChangeForProps {
  readonly spot: Spot
  readonly selection: Selection
  readonly element?: SiteElement
  readonly trace: Traced
}

const NOBODY: readonly Selection[] = []

/** How far a change shall reach, with counts, and what to change it to. */
export function ChangeFor({ spot, selection, element, trace }: ChangeForProps) {
  const editor = useEditor()
  const reach = useReach()
  const settingReach = useSettingReach()
  const also = useEditorState((state) => state.also) ?? NOBODY
  const dark = useEditorState(isAfterDark)
  const along = useEditorState((state) => state.goAlong)
  const [wanted, setWanted] = useState<string>()
  const looks = useSiteLooks()
  const options = useMemo(
    () => reachOptions({ spot, selection, also, element, trace, reach, looks, settingReach }),
    [spot, selection, also, element, trace, reach, looks, settingReach],
  )
  const several = options.find(({ kind }) => kind === 'chosen')
  const option = options.find(({ key }) => key === wanted) ?? several ?? usualReach(options, trace)
  // What was tried on is gone with whoever tried it.
  useEffect(() => () => previewEdit(undefined), [])

  const whole = (edit: Edit) => {
    const followed = along && trace.color ? withFollowers(edit, spot, element, trace) : edit
    return dark ? afterDarkEdit(followed, spot) : followed
  }
  const run = (edit: Edit) => {
    previewEdit(undefined)
    const problem = editor.dispatch(whole(edit))
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  }
  /** What is no plain colour cannot be a theme's: it is decided for this thing alone. */
  const here = options.find(({ kind }) => kind === 'element')
  const reachFor = (value: LookValue) =>
    here && isThemes(option) && !isColor(value as Paint) ? here : option
  const choose = (value: LookValue) => {
    const goal = reachFor(value)
    if (goal !== option) setWanted(goal.key)
    run(goal.edit!(value))
  }
  const openSlot = () => editor.show({ openSlot: trace.color?.slot })

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2.5">
      <Choices
        label="Change it for"
        value={option.key}
        onChange={setWanted}
        className="overflow-hidden rounded-md border border-edge-strong/60"
      >
        {options.map((each) => (
          <Choice
            key={each.key}
            value={each.key}
            // By pointer the slot opens at once; arrow keys only pass by.
            onClick={(event) => {
              if (each.kind === 'slot' && event.detail > 0) openSlot()
            }}
            className="flex w-full items-center justify-between gap-2 border-b border-edge bg-raised px-2.5 py-1 text-left last:border-b-0 hover:bg-hover has-checked:bg-strong has-checked:text-on-strong"
          >
            <span className="min-w-0">{each.label}</span>
            <span className="shrink-0 whitespace-nowrap">
              <span className="code">{each.count.toLocaleString('en-GB')}</span>{' '}
              {each.count === 1 ? each.of : `${each.of}s`}
            </span>
          </Choice>
        ))}
      </Choices>
      {option.edit ? (
        <Setting
          key={option.key}
          option={option}
          trace={trace}
          spot={spot}
          selection={selection}
          element={element}
          onDrag={(value) => previewEdit(whole(reachFor(value).edit!(value)))}
          onChoose={choose}
        />
      ) : (
        <div className="grid justify-items-start gap-2">
          <p className="text-soft">All that the slot colours will follow.</p>
          <Button onClick={openSlot}>Open the slot in the tray</Button>
        </div>
      )}
      <LookDeeds option={option} options={options} trace={trace} element={element} onRun={run} />
    </div>
  )
}

/** Themes say which colour each role takes. */
const isThemes = ({ kind }: ReachOption) => kind === 'role' || kind === 'everywhere'

interface SettingProps {
  readonly option: ReachOption
  readonly trace: Traced
  readonly spot: Spot
  readonly selection: Selection
  readonly element?: SiteElement
  readonly onDrag: (value: LookValue) => void
  readonly onChoose: (value: LookValue) => void
}

/** What a property is set with: the palette for colours, an editor of its own for all else. */
function Setting(props: SettingProps) {
  const { option, trace, spot, selection, element, onDrag, onChoose } = props
  const [pointed, setPointed] = useState<ColorDecision>()
  const { property } = trace
  const place = useMemo(
    () => (isFeature(property) ? undefined : { selection, facet: property }),
    [selection, property],
  )
  if (isFeature(property)) {
    return (
      <TraitEditor
        trait={property.trait}
        label={property.label}
        value={(option.value ?? trace.value) as TraitValue | undefined}
        onDrag={onDrag}
        onChoose={onChoose}
      />
    )
  }
  const held = option.value as Paint | undefined
  const paint = trace.value as Paint
  const role = roleOf(trace, element)
  // What fills is often no plain colour; words seldom are, and wait until one looks at them alone.
  const kinds = isThemes(option) && property.paints !== 'fill' ? [] : paintKindsOf(property)
  return (
    <>
      {kinds.length > 1 ? (
        <FillChooser
          kinds={kinds}
          place={place}
          label={`Colour for ${option.label}`}
          value={held}
          present={paint}
          onPoint={setPointed}
          onDrag={onDrag}
          onChoose={onChoose}
        />
      ) : (
        <ColorChooser
          onPoint={setPointed}
          label={`Colour for ${option.label}`}
          value={held && isColor(held) ? held : undefined}
          present={isColor(paint) ? paint : undefined}
          onChoose={onChoose}
        />
      )}
      {element && hasFollowers(role) && (
        <FollowersOffer
          palette={spot.docs.frame.palette}
          theme={spot.theme}
          role={role}
          decision={pointed ?? (isColor(paint) ? paint : undefined)}
        />
      )}
    </>
  )
}
