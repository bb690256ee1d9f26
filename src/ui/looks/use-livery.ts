'use client'

import { useMemo, useRef, useState } from 'react'
import type { Edit } from '@/core/edit'
import {
  clearLivery,
  fitLivery,
  liveryParts,
  type Fitting,
  type Lack,
  type Livery,
  type LiveryPart,
} from '@/core/livery'
import type { LiveryEntry } from '@/core/payloads'
import { siteFonts } from '@/core/render'
import { failingRoles } from '@/core/resolve'
import { themesInOrder, type Frame, type SiteDocs } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { problemWords } from '../words'

const shipped = siteFonts.map(({ family }) => family)

/** A livery that is tried on, and what would come of it. */
export interface TriedLivery {
  readonly entry: LiveryEntry
  readonly edit: Edit
  /** The site in it. */
  readonly docs: SiteDocs
  readonly lacks: readonly Lack[]
  readonly fitting: Fitting
  /** Pairs of colours that would be hard to read, now and then. */
  readonly hard: { readonly now: number; readonly then: number }
}

const hardIn = ({ palette, themes }: Frame) => failingRoles(palette, themesInOrder(themes)).length

function tried(
  docs: SiteDocs,
  entry: LiveryEntry,
  whole: Livery,
  parts: readonly LiveryPart[],
): TriedLivery {
  const own = Object.values(docs.fonts).map(({ family }) => family)
  const { livery, lacks } = clearLivery(whole, {
    settings: docs.frame.settings,
    pictures: docs.pictures,
    families: new Set([...shipped, ...own]),
  })
  const edit: Edit = {
    type: 'takeLivery',
    name: entry.name.slice(0, 60),
    livery,
    parts: [...parts],
  }
  const fitting = fitLivery(docs.frame, livery, parts)
  return {
    entry,
    edit,
    docs: { ...docs, frame: fitting.frame },
    lacks,
    fitting,
    hard: { now: hardIn(docs.frame), then: hardIn(fitting.frame) },
  }
}

/** Trying liveries on: which is chosen, which parts of it, and what the site would be in it. */
export function useLivery() {
  const { client } = useEditor()
  const docs = useEditorState((state) => state.docs)
  const [chosen, setChosen] = useState<{ readonly entry: LiveryEntry; readonly livery: Livery }>()
  const [parts, setParts] = useState<readonly LiveryPart[]>(liveryParts)
  const [failure, setFailure] = useState<string>()
  const [asked, setAsked] = useState<string>()
  const trial = useMemo(
    () => chosen && parts.length > 0 && tried(docs, chosen.entry, chosen.livery, parts),
    [docs, chosen, parts],
  )
  // Of several that are asked for, the last one counts, whichever comes last.
  const latest = useRef<LiveryEntry>(undefined)
  const choose = async (entry: LiveryEntry | undefined) => {
    latest.current = entry
    setFailure(undefined)
    setAsked(entry && keyOf(entry))
    if (!entry) return setChosen(undefined)
    const result = await client.livery(entry.from, entry.id)
    if (latest.current !== entry) return
    if (result.ok) setChosen({ entry, livery: result.value })
    else setFailure(problemWords(result.problem))
  }
  const toggle = (part: LiveryPart, isIn: boolean) =>
    setParts(liveryParts.filter((each) => (each === part ? isIn : parts.includes(each))))
  return { chosen, asked, trial: trial || undefined, parts, failure, choose, toggle }
}

export const keyOf = ({ from, id }: LiveryEntry) => `${from}/${id}`

export type Trying = ReturnType<typeof useLivery>
