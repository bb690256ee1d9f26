'use client'

import type { Spot } from '@/core/resolve'
import { useEditor } from '../editor'
import { blendingOf, ThemeChoices } from '../rhythm'
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
        blending={blendingOf(editor, section)}
        onPoint={(theme) => previewTheme({ doc, section: section.id }, theme)}
        onChoose={(theme) =>
          editor.carryOut({
            type: 'setSectionTheme',
            sections: [{ doc, section: section.id }],
            theme,
          })
        }
      />
    </div>
  )
}
