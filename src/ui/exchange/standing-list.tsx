'use client'

import { useEffect, useMemo, useState } from 'react'
import { toast } from 'sonner'
import type { ExchangeOf } from '@/core/exchange'
import { mostStanding, type StandingText } from '@/core/payloads'
import { useEditor, useStanding } from '../editor'
import { Notice, SearchField } from '../kit'
import { counted, problemWords } from '../words'
import { PictureShown } from './picture-shown'
import { sortWords } from './sorts'

interface StandingListProps {
  readonly of: Exclude<ExchangeOf, 'words'>
  readonly chosen: string
  readonly onChoose: (value: string) => void
}

/** What of a sort stands on the site, the most frequent first; one of them is chosen to be exchanged. */
export function StandingList({ of, chosen, onChoose }: StandingListProps) {
  const { value, failure } = useStanding(of)
  const [search, setSearch] = useState('')
  const shown = useMemo(() => {
    const sought = search.trim().toLowerCase()
    return value?.filter(({ words }) => words.toLowerCase().includes(sought))
  }, [value, search])
  const { list, none } = sortWords[of]
  usePictures(of === 'picture' ? value : undefined)
  return (
    <div className="flex h-full flex-col">
      <div className="grid gap-2 p-3 pb-2">
        <SearchField
          label={`Find in: ${list}`}
          placeholder="Find"
          value={search}
          onChange={setSearch}
        />
        <p className="text-xs font-semibold text-soft">
          {list}
          {value && `: ${value.length.toLocaleString('en-GB')}`}
          {value?.length === mostStanding && ', the most frequent'}
        </p>
      </div>
      {failure && <Notice className="mx-3">{failure}</Notice>}
      <ul aria-label={list} className="min-h-0 flex-1 overflow-y-auto px-1.5 pb-3">
        {shown?.map((each) => (
          <li key={each.value}>
            <StandingRow
              of={of}
              entry={each}
              isChosen={each.value === chosen}
              onChoose={() => onChoose(each.value)}
            />
          </li>
        ))}
        {shown?.length === 0 && <li className="p-6 text-center text-soft">{none}</li>}
        {!value && !failure && <li className="p-3 text-soft">Looking through every page …</li>}
      </ul>
    </div>
  )
}

/** Pictures that are fetched at once. */
const PICTURES_AT_ONCE = 100

/** Has the pictures of a list at hand, all with one question. */
function usePictures(list: readonly StandingText[] | undefined): void {
  const editor = useEditor()
  useEffect(() => {
    if (!list?.length) return
    const ids = list.slice(0, PICTURES_AT_ONCE).map(({ value }) => value)
    void editor.client.picturesByIds(ids).then((found) => {
      if (found.ok) editor.holdPictures(found.value)
      else toast.error(problemWords(found.problem))
    })
  }, [editor, list])
}

interface StandingRowProps {
  readonly of: ExchangeOf
  readonly entry: StandingText
  readonly isChosen: boolean
  readonly onChoose: () => void
}

function StandingRow({ of, entry, isChosen, onChoose }: StandingRowProps) {
  const { value, words, count } = entry
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      title={words}
      onClick={onChoose}
      className="flex w-full items-center gap-2.5 rounded px-2 py-1.5 text-left hover:bg-hover aria-pressed:bg-strong aria-pressed:text-on-strong"
    >
      {of === 'picture' ? (
        <span className="min-w-0 flex-1">
          <PictureShown id={value} />
        </span>
      ) : (
        <span className="min-w-0 flex-1 truncate">{words}</span>
      )}
      <span className="code text-xs" title={counted(count, 'place')}>
        {count.toLocaleString('en-GB')}
      </span>
    </button>
  )
}
