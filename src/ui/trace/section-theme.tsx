'use client'

import type { Spot } from '@/core/resolve'
import { themesInOrder } from '@/core/site'
import { themeLook, useEditor, useEditorState } from '../editor'

/** The themes a section can take, drawn as they look; the header may blend instead. */
export function SectionTheme({ spot }: { readonly spot: Spot }) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const { doc, section } = spot
  return (
    <div className="grid gap-1.5">
      <h3 className="text-xs font-semibold text-soft">Theme of this section</h3>
      <div
        role="radiogroup"
        aria-label="Theme of this section"
        className="grid grid-cols-2 gap-1.5"
      >
        {themesInOrder(frame.themes).map((theme) => {
          const look = themeLook(frame, theme.id)
          return (
            <button
              key={theme.id}
              type="button"
              role="radio"
              aria-checked={!section.blend && section.theme === theme.id}
              onClick={() =>
                editor.dispatch({
                  type: 'setSectionTheme',
                  sections: [{ doc, section: section.id }],
                  theme: theme.id,
                })
              }
              className="flex h-9 items-center justify-between rounded-md border border-edge-strong/60 px-2.5 font-semibold aria-checked:outline-2 aria-checked:outline-offset-1 aria-checked:outline-ink"
              style={{ background: look.ground, color: look.text }}
            >
              {look.name}
              <span
                aria-hidden
                className="h-2.5 w-5 rounded-[2px]"
                style={{ background: look.chip }}
              />
            </button>
          )
        })}
      </div>
      {section.kind === 'header' && (
        <label className="mt-1 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--strong)"
            checked={section.blend ?? false}
            onChange={(event) =>
              editor.dispatch({
                type: 'setBlend',
                section: section.id,
                blend: event.target.checked,
              })
            }
          />
          Blend into the section under it
        </label>
      )}
    </div>
  )
}
