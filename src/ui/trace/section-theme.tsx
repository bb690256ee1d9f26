'use client'

import type { Spot } from '@/core/resolve'
import { useEditor } from '../editor'
import { ThemeChoices } from '../rhythm'
import { previewTheme } from '../stage'

/** The themes a section can take: pointing at one shows it in place, choosing gives it; the header may blend instead. */
export function SectionTheme({ spot }: { readonly spot: Spot }) {
  const editor = useEditor()
  const { doc, section } = spot
  return (
    <div className="grid gap-1.5">
      <h3 className="text-xs font-semibold text-soft">Theme of this section</h3>
      <ThemeChoices
        label="Theme of this section"
        value={section.blend ? undefined : section.theme}
        onPoint={(theme) => previewTheme({ doc, section: section.id }, theme)}
        onChoose={(theme) =>
          editor.carryOut({
            type: 'setSectionTheme',
            sections: [{ doc, section: section.id }],
            theme,
          })
        }
      />
      {section.kind === 'header' && (
        <label className="mt-1 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--strong)"
            checked={section.blend ?? false}
            onChange={(event) =>
              editor.carryOut({
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
