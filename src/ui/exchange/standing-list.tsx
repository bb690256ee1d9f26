'use client'

import { useMemo, useState } from 'react'
import type { ExchangeOf } from '@/core/exchange'
import { mostStanding, type StandingText } from '@/core/payloads'
import { useStanding } from '../editor'
import { Notice, SearchField } from '../kit'
import { counted } from '../words'
import { useTargetWords } from '../writing'
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

interface StandingRowProps {
  readonly of: ExchangeOf
  readonly entry: StandingText
  readonly isChosen: boolean
  readonly onChoose: () => void
}

function StandingRow({ of, entry, isChosen, onChoose }: StandingRowProps) {
  const { value, words, count } = entry
  const target = useTargetWords(of === 'link' ? value : undefined)
  const name = of === 'link' ? target : words
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      title={name}
      onClick={onChoose}
      className="flex w-full items-center gap-2.5 rounded px-2 py-1.5 text-left hover:bg-hover aria-pressed:bg-strong aria-pressed:text-on-strong"
    >
      <span className="min-w-0 flex-1 truncate">{name}</span>
      <span className="code text-xs" title={counted(count, 'place')}>
        {count.toLocaleString('en-GB')}
      </span>
    </button>
  )
}
