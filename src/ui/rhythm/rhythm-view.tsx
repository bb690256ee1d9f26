'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import { proposeRhythms } from '@/core/generate'
import type { PageEntry } from '@/core/payloads'
import type { Frame, PageId, SectionId, ThemeId } from '@/core/site'
import { sectionKey, useEditor, useEditorState, useShownDocs, type SectionRef } from '../editor'
import { Button } from '../kit'
import { bandsOnPage, withThemes, type Band } from '../map'
import { counted, editProblemWords } from '../words'
import { Miniatures } from './miniatures'
import { ThemeChoices } from './theme-choices'

type Given = SectionRef & { readonly theme: ThemeId }

/** All pages as stacks of their sections in their real colours: the rhythm of the whole site. */
export function RhythmView() {
  const editor = useEditor()
  const { frame } = useShownDocs()
  const siteId = useEditorState((state) => state.siteId)
  const pages = useEditorState((state) => state.pages)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [pageOfChoice, setPageOfChoice] = useState<string>()
  const [proposed, setProposed] = useState<ReadonlyMap<string, ThemeId>>()
  const drawn = pages.map((page) => ({ page, bands: bandsOnPage(siteId, frame, page) }))
  // Header and footer stand on every page and are one section each.
  const sections = new Map(
    drawn.flatMap(({ bands }) => bands.map((band) => [sectionKey(band), band] as const)),
  )
  const picked = [...chosen].flatMap((key) => sections.get(key) ?? [])
  const pageOfPicked = pages.find(({ id }) => id === pageOfChoice)

  const choose = (band: Band, page: string, more: boolean) => {
    const key = sectionKey(band)
    const next = new Set(more ? chosen : [])
    if (more && chosen.has(key)) next.delete(key)
    else next.add(key)
    setChosen(next)
    setPageOfChoice(page)
  }
  const give = async (given: readonly Given[], told: string) => {
    const docs = [...new Set(given.map(({ doc }) => doc))]
    const needed = docs.filter((doc): doc is PageId => doc !== 'frame')
    if (!(await editor.needPages(needed))) {
      toast.error('Not all pages could be loaded, so nothing was changed. Try again.')
      return
    }
    const problem = editor.dispatch({ type: 'setSectionThemes', told, sections: [...given] })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    else setProposed(undefined)
  }
  const propose = (wanted: readonly PageEntry[]) => {
    const sectionsOf = ({ summary }: PageEntry) => summary.bands
    const others = pages.filter((page) => !wanted.includes(page)).map(sectionsOf)
    const rhythms = proposeRhythms(frame, wanted.map(sectionsOf), others)
    setProposed(
      new Map(
        wanted.flatMap(({ id: doc, summary }, page) =>
          summary.bands.map(({ id }, i) => {
            const key = sectionKey({ doc, section: id as SectionId })
            return [key, rhythms[page]![i]!] as const
          }),
        ),
      ),
    )
  }
  const giveProposed = () =>
    give(
      [...(proposed ?? [])].flatMap(([key, theme]) => {
        const band = sections.get(key)
        return band ? [{ doc: band.doc, section: band.section, theme }] : []
      }),
      `Rhythm given to ${counted(proposed?.size ?? 0, 'section')}`,
    )
  const miniatures = drawn.map(({ page: { id, title }, bands }) => ({
    id,
    title,
    bands: withThemes(bands, frame, (band) => proposed?.get(sectionKey(band))),
  }))

  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_300px]">
      <div className="min-h-0 overflow-auto bg-well p-5">
        <Miniatures
          pages={miniatures}
          chosen={chosen}
          proposed={new Set(proposed?.keys())}
          onChoose={choose}
        />
      </div>
      <aside
        aria-label="Themes of sections"
        className="grid min-h-0 content-start gap-3 overflow-y-auto border-l border-edge p-4"
      >
        {proposed ? (
          <Proposal
            count={proposed.size}
            onGive={() => void giveProposed()}
            onLeave={() => setProposed(undefined)}
          />
        ) : (
          <>
            <Chosen
              frame={frame}
              sections={[...sections.values()]}
              picked={picked}
              onGive={(given, told) => void give(given, told)}
              onChoose={setChosen}
            />
            {pageOfPicked && picked.length > 0 && (
              <Button className="mt-2" onClick={() => propose([pageOfPicked])}>
                Propose a rhythm for {pageOfPicked.title}
              </Button>
            )}
            <Button onClick={() => propose(pages)}>Propose a rhythm for all pages</Button>
          </>
        )}
      </aside>
    </div>
  )
}

interface ProposalProps {
  readonly count: number
  readonly onGive: () => void
  readonly onLeave: () => void
}

function Proposal({ count, onGive, onLeave }: ProposalProps) {
  return (
    <>
      <h2 className="text-[15px] font-bold">A rhythm for {counted(count, 'section')}</h2>
      <p className="text-soft">
        Pale grounds in turn, every fourth section dark, a vivid one once, near the end; sections of
        one name alike on all pages. Shown on the pages, not yet given.
      </p>
      <div className="flex gap-2">
        <Button look="strong" className="flex-1" onClick={onGive}>
          Give it
        </Button>
        <Button onClick={onLeave}>Let go</Button>
      </div>
    </>
  )
}

interface ChosenProps {
  readonly frame: Frame
  readonly sections: readonly Band[]
  readonly picked: readonly Band[]
  readonly onGive: (given: readonly Given[], told: string) => void
  readonly onChoose: (keys: ReadonlySet<string>) => void
}

/** The themes for the sections that are chosen, and the way to choose all of a kind. */
function Chosen({ frame, sections, picked, onGive, onChoose }: ChosenProps) {
  const [first] = picked
  if (!first) {
    return (
      <>
        <h2 className="text-[15px] font-bold">Rhythm of the site</h2>
        <p className="text-soft">
          Click a section to give it a theme; with Ctrl or Shift, several. Arrow keys walk, Shift
          chooses on the way. Header and footer stand on every page.
        </p>
      </>
    )
  }
  const what = picked.length === 1 ? first.name : counted(picked.length, 'section')
  const sameName = picked.length === 1 ? sections.filter(({ name }) => name === first.name) : []
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
            `${what}: theme ${frame.themes.byId[theme]?.name ?? theme}`,
          )
        }
      />
      {sameName.length > 1 && (
        <Button onClick={() => onChoose(new Set(sameName.map((band) => sectionKey(band))))}>
          Choose all {sameName.length} called “{first.name}”
        </Button>
      )}
    </>
  )
}
