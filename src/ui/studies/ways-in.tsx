'use client'

import {
  ClipboardList,
  Columns3,
  Image,
  LayoutGrid,
  Library,
  Sparkle,
  SunMedium,
} from 'lucide-react'
import { unshifted } from '@/core/palette'
import { slotsInOrder } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button, IconButton, WhereWide } from '../kit'
import { useBasis } from './basis'
import { firstOthers } from './others'
import {
  trialOfHarmony,
  trialOfEmptyList,
  trialOfPicture,
  trialOfReadyMade,
  trialOfShift,
  trialOfStudy,
} from './trial'

/** The ways to a palette, beside the tray: kept studies, a pasted list, one colour, others at once, all of it brighter. */
export function WaysIn() {
  const editor = useEditor()
  const basis = useBasis()
  const { palette } = basis
  const studies = useEditorState((state) => state.docs.frame.studies)
  const trial = useEditorState((state) => state.trial)
  const middle = useEditorState((state) => state.middle)
  const open = (next: typeof trial) => editor.show({ trial: next })
  const vivid = slotsInOrder(palette).find(({ id }) => id === palette.order[2])?.value ?? '#1d5955'
  return (
    <section
      aria-label="Studies and ways in"
      className="flex h-full flex-col gap-1.5 overflow-y-auto px-2.5 py-2"
    >
      <div className="flex items-center gap-1.5">
        <h2 className="mr-1 font-semibold">Studies</h2>
        <IconButton
          label="Palettes side by side"
          className="size-7"
          aria-pressed={middle === 'side'}
          onClick={() => editor.show({ middle: middle === 'side' ? 'page' : 'side' })}
        >
          <Columns3 size={15} />
        </IconButton>
        {studies.length === 0 && (
          <span className="text-soft">
            <WhereWide>none kept yet</WhereWide>
          </span>
        )}
        <div className="flex min-w-0 gap-1.5 overflow-x-auto p-0.5 [scrollbar-width:thin]">
          {studies.map((study) => (
            <button
              key={study.id}
              type="button"
              aria-pressed={trial?.from.way === 'study' && trial.from.study === study.id}
              onClick={() => open(trialOfStudy(basis, study))}
              className="flex h-7 shrink-0 items-center gap-2 rounded-md border border-edge-strong/60 bg-raised px-2 font-semibold hover:bg-hover aria-pressed:ring-2 aria-pressed:ring-strong"
            >
              {study.name}
              <span aria-hidden className="flex overflow-hidden rounded-[2px]">
                {study.colors.slice(0, 6).map(({ value }, i) => (
                  <span key={i} className="h-3.5 w-2.5" style={{ background: value }} />
                ))}
              </span>
            </button>
          ))}
        </div>
      </div>
      <div className="grid grid-cols-3 gap-1.5 [&_button]:h-7 [&_button]:gap-1 [&_button]:px-1 [&_button]:text-[11.5px]">
        <Button onClick={() => open(trialOfEmptyList(basis))}>
          <ClipboardList size={14} />
          <WhereWide>List or file</WhereWide>
        </Button>
        <Button
          onClick={() =>
            open(trialOfPicture(basis, undefined, [], Math.min(6, palette.order.length || 6)))
          }
        >
          <Image size={14} />
          <WhereWide>A picture</WhereWide>
        </Button>
        <Button onClick={() => open(trialOfHarmony(basis, vivid, 'complementary'))}>
          <Sparkle size={14} />
          <WhereWide>One colour</WhereWide>
        </Button>
        <Button onClick={() => open(trialOfReadyMade(basis))}>
          <Library size={14} />
          <WhereWide>Ready-made</WhereWide>
        </Button>
        <Button onClick={() => open(firstOthers(palette))}>
          <LayoutGrid size={14} />
          <WhereWide>Eight others</WhereWide>
        </Button>
        <Button
          disabled={palette.order.length === 0}
          onClick={() => open(trialOfShift(palette, unshifted, []))}
        >
          <SunMedium size={14} />
          <WhereWide>Brighter …</WhereWide>
        </Button>
      </div>
    </section>
  )
}
