'use client'

import { useMemo, useState } from 'react'
import { useStore } from 'zustand'
import { liesOver } from '@/core/resolve'
import { themesInOrder } from '@/core/site'
import { useEditor, useEditorState, useSpots } from '../editor'
import { themeLook } from '../look'
import { Popover } from '../kit'
import { ThemeChoices } from '../rhythm'
import { selectedNode } from './hit-test'
import { boxOf } from './outlines'
import { previewTheme } from './preview-theme'
import { stageStore } from './stage-access'

/** Each section carries its theme as a chip: pointing at another one shows it in place, choosing gives it. */
export function ThemeChips({ scale }: { readonly scale: number }) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const spots = useSpots()
  const stage = useStore(stageStore, (state) => state.stage)
  const drawing = useStore(stageStore, (state) => state.drawing)
  const [open, setOpen] = useState<string>()
  const chips = useMemo(() => {
    const boxed = spots.flatMap((spot) => {
      const { doc, section, theme } = spot
      const node = stage && selectedNode(stage.document, { doc, section: section.id })
      return node ? [{ spot, doc, section, theme, box: boxOf(node), drawing }] : []
    })
    // A section that a header lies over has its chip where the header ends.
    const covered = boxed.find(({ spot }) => liesOver(spot))?.box
    return boxed.map((each) => {
      const under = covered && each.box !== covered ? covered.y + covered.height : 0
      return { ...each, top: Math.max(each.box.y, under) }
    })
  }, [spots, stage, drawing])
  if (themesInOrder(frame.themes).length < 2) return null
  return chips.map(({ doc, section, theme, top }) => {
    const key = `${doc}/${section.id}`
    const look = themeLook(frame, theme.id)
    return (
      <div
        key={key}
        className="absolute right-1.5 z-10"
        style={{ top: top * scale - 12 }}
        onClick={(event) => event.stopPropagation()}
        onPointerMove={(event) => event.stopPropagation()}
      >
        <Popover
          label={`Theme of ${section.name}`}
          side="left"
          width={290}
          open={open === key}
          onOpenChange={(next) => {
            setOpen(next ? key : undefined)
            if (!next) previewTheme({ doc, section: section.id }, undefined)
          }}
          trigger={
            <button
              type="button"
              aria-label={`Theme of ${section.name}: ${section.blend ? 'blends' : look.name}`}
              className="flex h-6 items-center gap-1.5 rounded-full bg-black/80 pr-2.5 pl-1.5 text-[11px] font-semibold text-white opacity-70 ring-1 ring-white/70 hover:opacity-100 focus-visible:opacity-100 data-[state=open]:opacity-100"
            >
              <span
                aria-hidden
                className="size-3 rounded-full ring-1 ring-white/60"
                style={{ background: look.ground }}
              />
              {section.blend ? 'blends' : look.name}
            </button>
          }
        >
          <ThemeChoices
            label={`Theme of ${section.name}`}
            value={section.blend ? undefined : section.theme}
            onPoint={(next) => previewTheme({ doc, section: section.id }, next)}
            onChoose={(next) => {
              previewTheme({ doc, section: section.id }, undefined)
              editor.carryOut({
                type: 'setSectionTheme',
                sections: [{ doc, section: section.id }],
                theme: next,
              })
              setOpen(undefined)
            }}
          />
        </Popover>
      </div>
    )
  })
}
