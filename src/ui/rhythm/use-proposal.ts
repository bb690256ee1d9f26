'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import { toast } from 'sonner'
import type { PageId, ThemeId } from '@/core/site'
import { tellUndoable, useEditor } from '../editor'
import { sectionKey } from '../bands'
import { counted, problemWords } from '../words'

/** A rhythm that is proposed and not yet given; themes are known of the pages that came into view. */
export interface Proposal {
  /** The pages that are to get it; all where they are left out. */
  readonly pages?: readonly PageId[]
  /** Sections of all these pages. */
  readonly sections: number
  readonly themes: ReadonlyMap<string, ThemeId>
}

/** Pages that are asked for at once. */
const MOST = 200

/** Proposes rhythms: planned where all pages are, shown as far as pages are in view, given as one edit. */
export function useProposal(shown: readonly PageId[]) {
  const editor = useEditor()
  const [proposal, setProposal] = useState<Proposal>()
  const asked = useRef<ReadonlySet<PageId>>(new Set())

  const ask = useCallback(
    async (ids: readonly PageId[], pages: readonly PageId[] | undefined) => {
      const result = await editor.client.rhythms(ids.slice(0, MOST), pages)
      if (!result.ok) {
        toast.error(`No rhythm could be proposed. ${problemWords(result.problem)}`)
        return
      }
      const found = result.value.pages.flatMap(({ page: doc, themes }) =>
        themes.map(([section, theme]) => [sectionKey({ doc, section }), theme] as const),
      )
      setProposal((known) => ({
        ...(pages ? { pages } : {}),
        sections: result.value.sections,
        themes: new Map([...(known?.themes ?? []), ...found]),
      }))
    },
    [editor],
  )
  const propose = (pages?: readonly PageId[]) => {
    asked.current = new Set(shown)
    void ask(shown, pages)
  }
  const isOpen = proposal !== undefined
  const { pages } = proposal ?? {}
  useEffect(() => {
    const fresh = shown.filter((id) => !asked.current.has(id))
    if (!isOpen || fresh.length === 0) return
    asked.current = new Set([...asked.current, ...fresh])
    void ask(fresh, pages)
  }, [ask, isOpen, pages, shown])

  const leave = () => setProposal(undefined)
  const give = async () => {
    const result = await editor.wide({
      type: 'giveRhythm',
      ...(pages ? { pages: [...pages] } : {}),
    })
    if (result.ok) {
      const changed = counted(result.value.changed ?? 0, 'section')
      tellUndoable(editor, `Rhythm given: the theme of ${changed} is another one now.`)
      return leave()
    }
    if (result.problem.code !== 'nothing-to-sweep') {
      return void toast.error(problemWords(result.problem))
    }
    toast('Nothing changed: every section has the proposed theme already.')
    leave()
  }
  return { proposal, propose, leave, give }
}
