'use client'

import { useCallback, useMemo, useState } from 'react'
import { toast } from 'sonner'
import type { PageId } from '@/core/site'
import { useEditor, useEditorState, usePageList, useShownDocs } from '../editor'
import { sectionKey, type SectionRef } from '../bands'
import { Button } from '../kit'
import { bandsOnPage, withThemes, type Band } from '../bands'
import { editProblemWords, problemWords } from '../words'
import { Chosen, type Given, type PickedSection } from './chosen'
import { Miniatures, type Miniature } from './miniatures'
import { ProposalPanel } from './proposal-panel'
import { useProposal } from './use-proposal'

/** All pages as stacks of their sections in their real colours: the rhythm of the whole site. */
export function RhythmView() {
  const { frame } = useShownDocs()
  const siteId = useEditorState((state) => state.siteId)
  const list = usePageList()
  const { drawn, shown, onRange } = usePagesInView(list)
  const { chosen, choose, chooseAll, pageOfChoice } = useChosenSections()
  const give = useGiving()

  const { proposal, propose, leave, give: giveProposed } = useProposal(shown)

  const at = (index: number): Miniature | undefined => {
    const page = list.at(index)
    if (!page) return undefined
    const bands = bandsOnPage(siteId, frame, page)
    const themed = withThemes(siteId, bands, frame, (band) =>
      proposal?.themes.get(sectionKey(band)),
    )
    return { id: page.id, title: page.title, bands: themed }
  }
  const pageOfPicked = drawn.find(({ id }) => id === pageOfChoice)
  // A section that is in view is told as it is now, another one as it was when it was chosen.
  const inView = new Map(
    drawn.flatMap((page) =>
      bandsOnPage(siteId, frame, page).map((band) => [sectionKey(band), band] as const),
    ),
  )
  const changing = [...(proposal?.themes ?? [])].flatMap(([key, theme]) =>
    inView.get(key)?.theme === theme ? [] : key,
  )
  const picked = [...chosen].map(([key, section]) => inView.get(key) ?? section)
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_300px]">
      <Miniatures
        total={list.total}
        at={at}
        chosen={chosen}
        changing={new Set(changing)}
        onChoose={choose}
        onRange={onRange}
      />
      <aside
        aria-label="Themes of sections"
        className="grid min-h-0 content-start gap-3 overflow-y-auto border-l border-edge p-4"
      >
        {proposal ? (
          <ProposalPanel sections={proposal.sections} onGive={giveProposed} onLeave={leave} />
        ) : (
          <>
            <Chosen picked={picked} onGive={give} onChoose={chooseAll} />
            {pageOfPicked && picked.length > 0 && (
              <Button className="mt-2" onClick={() => propose([pageOfPicked.id])}>
                Propose a rhythm for {pageOfPicked.title}
              </Button>
            )}
            <Button onClick={() => propose()}>Propose a rhythm for all pages</Button>
          </>
        )}
      </aside>
    </div>
  )
}

/** The sections that are chosen, by their keys, and the page on which one was chosen last. */
function useChosenSections() {
  const [chosen, setChosen] = useState<ReadonlyMap<string, PickedSection>>(new Map())
  const [pageOfChoice, setPageOfChoice] = useState<PageId>()
  const choose = (band: Band, page: PageId, more: boolean) => {
    const key = sectionKey(band)
    const next = new Map(more ? chosen : [])
    if (more && chosen.has(key)) next.delete(key)
    else next.set(key, band)
    setChosen(next)
    setPageOfChoice(page)
  }
  const chooseAll = (sections: readonly PickedSection[]) =>
    setChosen(new Map(sections.map((each) => [sectionKey(each), each])))
  return { chosen, choose, chooseAll, pageOfChoice }
}

/** The pages that are in view, and loads those that come into it. */
function usePagesInView({ at, need }: ReturnType<typeof usePageList>) {
  const [[from, to], setRange] = useState<readonly [from: number, to: number]>([0, 20])
  const onRange = useCallback(
    (first: number, last: number) => {
      need(first, last)
      setRange([first, last])
    },
    [need],
  )
  const drawn = Array.from({ length: to - from }, (_, i) => at(from + i)).flatMap(
    (page) => page ?? [],
  )
  const shownKey = drawn.map(({ id }) => id).join()
  const shown = useMemo(() => shownKey.split(',').filter(Boolean) as PageId[], [shownKey])
  return { drawn, shown, onRange }
}

/** Gives themes: at once where all that they go to is at hand, else where all pages are. */
function useGiving(): (given: readonly Given[], told: string) => void {
  const editor = useEditor()
  return (given, told) => {
    const { docs } = editor.store.getState()
    const isAtHand = ({ doc }: SectionRef) => doc === 'frame' || docs.pages[doc] !== undefined
    if (given.every(isAtHand)) {
      const problem = editor.dispatch({ type: 'setSectionThemes', told, sections: [...given] })
      if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
      return
    }
    void editor.wide({ type: 'giveThemes', told, sections: [...given] }).then((result) => {
      const isFine = result.ok || result.problem.code === 'nothing-to-sweep'
      if (!isFine) toast.error(problemWords(result.problem))
    })
  }
}
