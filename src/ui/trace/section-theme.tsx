'use client'

import { FlipVertical2 } from 'lucide-react'
import { flippedTheme } from '@/core/generate'
import type { Spot } from '@/core/resolve'
import type { ThemeId } from '@/core/site'
import { useEditor } from '../editor'
import { Button } from '../kit'
import { blendingOf, ThemeChoices } from '../rhythm'
import { previewTheme } from '../stage'

/** The themes a section can take: pointing at one shows it in place, choosing gives it; the header may blend instead. */
export function SectionTheme({ spot }: { readonly spot: Spot }) {
  const editor = useEditor()
  const { doc, section } = spot
  const flipped = flippedTheme(spot.docs.frame, section.theme)
  const give = (theme: ThemeId) => {
    previewTheme({ doc, section: section.id }, undefined)
    editor.carryOut({ type: 'setSectionTheme', sections: [{ doc, section: section.id }], theme })
  }
  return (
    <div className="grid gap-1.5">
      <h3 className="text-xs font-semibold text-soft">Theme of this section</h3>
      <ThemeChoices
        label="Theme of this section"
        value={section.blend ? undefined : section.theme}
        blending={blendingOf(editor, section)}
        onPoint={(theme) => previewTheme({ doc, section: section.id }, theme)}
        onChoose={give}
      />
      {flipped && (
        <Button
          className="justify-self-start"
          onPointerEnter={() => previewTheme({ doc, section: section.id }, flipped.id)}
          onPointerLeave={() => previewTheme({ doc, section: section.id }, undefined)}
          onClick={() => give(flipped.id)}
        >
          <FlipVertical2 size={15} /> Flip to {flipped.name}
        </Button>
      )}
    </div>
  )
}
