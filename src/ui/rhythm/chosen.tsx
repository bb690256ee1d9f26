'use client'

import { useEffect, useState } from 'react'
import type { NamedSections } from '@/core/payloads'
import type { ThemeId } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { type SectionRef } from '../bands'
import { Button } from '../kit'
import { counted } from '../words'
import { ThemeChoices } from './theme-choices'

export type Given = SectionRef & { readonly theme: ThemeId }

/** A section that was chosen; of those that were never in view only the name is known. */
export interface PickedSection extends SectionRef {
  readonly name: string
  readonly theme?: ThemeId
  readonly blends?: boolean
}

/** Every section of a name, on all pages; asked for where one section is chosen. */
function useNamesakes(name: string | undefined): NamedSections {
  const { client } = useEditor()
  const generation = useEditorState((state) => state.pagesGeneration)
  const [found, setFound] = useState<{ name: string; sections: NamedSections }>()
  useEffect(() => {
    if (name === undefined) return undefined
    let current = true
    void client.sectionsNamed(name).then((result) => {
      if (current && result.ok) setFound({ name, sections: result.value })
    })
    return () => {
      current = false
    }
  }, [client, name, generation])
  return found && found.name === name ? found.sections : []
}

interface ChosenProps {
  readonly picked: readonly PickedSection[]
  readonly onGive: (given: readonly Given[], told: string) => void
  readonly onChoose: (sections: readonly PickedSection[]) => void
}

/** The themes for the sections that are chosen, and the way to choose all of a kind. */
export function Chosen({ picked, onGive, onChoose }: ChosenProps) {
  const themes = useEditorState((state) => state.docs.frame.themes)
  const [first] = picked
  const namesakes = useNamesakes(picked.length === 1 ? first!.name : undefined)
  if (!first) {
    return (
      <>
        <h2 className="text-[15px] font-bold">Rhythm of the site</h2>
        <p className="text-soft">
          Click a section to give it a theme; with Ctrl or Shift, several. Arrow keys walk, Shift
          chooses on the way. Header, footer and parts are one wherever they stand.
        </p>
      </>
    )
  }
  const what = picked.length === 1 ? first.name : counted(picked.length, 'section')
  const isOne = picked.every(({ theme, blends }) => theme === first.theme && !blends)
  return (
    <>
      <h2 className="text-[15px] font-bold">{what}</h2>
      <ThemeChoices
        label="Theme of the chosen sections"
        value={isOne ? first.theme : undefined}
        onChoose={(theme) =>
          onGive(
            picked.map(({ doc, section }) => ({ doc, section, theme })),
            `${what}: theme ${themes.byId[theme]?.name ?? theme}`,
          )
        }
      />
      {namesakes.length > 1 && (
        <Button onClick={() => onChoose(namesakes.map((each) => ({ ...each, name: first.name })))}>
          Choose all {namesakes.length.toLocaleString('en-GB')} called “{first.name}”
        </Button>
      )}
    </>
  )
}
