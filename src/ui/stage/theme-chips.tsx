'use client'

import { memo, useMemo, useState } from 'react'
import { useStore } from 'zustand'
import { liesOver } from '@/core/resolve'
import { themesInOrder } from '@/core/site'
import { useEditor, useEditorState, useSpots } from '../editor'
import { themeLook } from '../look'
import { Popover } from '../kit'
import { blendingOf, ThemeChoices } from '../rhythm'
import { selectedNode } from './hit-test'
import { boxOf } from './outlines'
import { previewTheme } from './preview-theme'
import { stageStore } from './stage-access'

/**
 * Each section carries its theme as a chip beside the page, which covers nothing:
 * pointing at it, or the key T, shows its name; pointing at another theme shows it
 * in place, choosing gives it.
 */
export const ThemeChips = memo(function ThemeChips({ scale }: { readonly scale: number }) {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const frame = useEditorState((state) => state.docs.frame)
  const spots = useSpots()
  const stage = useStore(stageStore, (state) => state.stage)
  const drawing = useStore(stageStore, (state) => state.drawing)
  const named = useEditorState((state) => state.chipNames)
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
    const look = themeLook(siteId, frame, theme.id)
    return (
      <div
        key={key}
        className="absolute left-full z-10 ml-[22px]"
        style={{ top: top * scale + 2 }}
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
              // It grows from its mark to the left, so that the pointer stays on it.
              className={`group absolute right-0 flex h-5 flex-row-reverse items-center rounded-full text-[11px] font-semibold whitespace-nowrap text-white hover:bg-black/85 hover:pl-2.5 focus-visible:bg-black/85 focus-visible:pl-2.5 data-[state=open]:bg-black/85 data-[state=open]:pl-2.5 ${named ? 'bg-black/85 pl-2.5' : ''}`}
            >
              <span aria-hidden className="grid size-5 place-items-center">
                <span
                  className={`size-3.5 border border-black/60 ring-1 ring-white ${section.blend ? 'rounded-full' : 'rounded-[3px]'}`}
                  style={{ background: look.ground }}
                />
              </span>
              <span
                className={
                  named
                    ? ''
                    : 'hidden group-hover:inline group-focus-visible:inline group-data-[state=open]:inline'
                }
              >
                {section.blend ? 'blends' : look.name}
              </span>
            </button>
          }
        >
          <ThemeChoices
            label={`Theme of ${section.name}`}
            value={section.blend ? undefined : section.theme}
            blending={blendingOf(editor, section)}
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
})
