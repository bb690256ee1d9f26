'use client'

import { useState } from 'react'
import { writeHex } from '@/core/color'
import type { Inventory } from '@/core/payloads'
import type { InventoryEntry } from '@/core/sweep'
import { useEditorState } from '../editor'
import { SearchField, Swatch } from '../kit'
import { counted } from '../words'
import { entryName, matchingEntries } from './draft'

interface InventoryListProps {
  readonly inventory: Inventory
  readonly chosen: ReadonlySet<string>
  readonly onChoose: (entry: InventoryEntry) => void
}

/** All colours in use with their counts; bound ones carry a full bar, loose ones a broken one and a mark. */
export function InventoryList({ inventory, chosen, onChoose }: InventoryListProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [search, setSearch] = useState('')
  const { entries, uses, bound } = inventory
  const shown = matchingEntries(palette, entries, search)
  const most = Math.max(1, ...entries.map(({ count }) => count))
  return (
    <div className="flex h-full flex-col">
      <div className="p-3 pb-2">
        <SearchField
          label="Find a colour"
          placeholder="Find #1c5a54, teal, rgb() …"
          value={search}
          onChange={setSearch}
          className="w-full"
        />
        <p
          className="mt-2 text-xs font-semibold text-soft"
          title="A use is one place where a colour is decided: a role in a theme, an element, a line of CSS. One use may colour many things, or none yet; the tray counts the things."
        >
          {counted(entries.length, 'colour')}, {counted(uses, 'use')},{' '}
          {uses ? Math.floor((bound / uses) * 100) : 100} % bound to slots
        </p>
      </div>
      <ul aria-label="Colours in use" className="min-h-0 flex-1 overflow-y-auto px-1.5 pb-3">
        {shown.map((entry) => (
          <li key={entry.key}>
            <button
              type="button"
              data-entry={entry.key}
              aria-pressed={chosen.has(entry.key)}
              onClick={() => onChoose(entry)}
              className="grid w-full grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-2.5 rounded-md px-2 py-1.5 text-left hover:bg-hover aria-pressed:outline-2 aria-pressed:-outline-offset-1 aria-pressed:outline-ink"
            >
              <Swatch color={writeHex(entry.color)} size={28} className="w-[34px]!" />
              <span className="min-w-0">
                <span className="flex items-baseline gap-1.5">
                  <span className="truncate font-semibold">{entryName(palette, entry)}</span>
                  {entry.slot ? (
                    <span className="text-xs text-soft">bound</span>
                  ) : (
                    <span className="rounded-sm border border-ink px-1 text-[10.5px] font-semibold">
                      loose
                    </span>
                  )}
                </span>
                <span className="code block truncate text-soft">
                  {entry.slot
                    ? writeHex(entry.color)
                    : `${entry.notations[0]}${entry.notations.length > 1 ? `, ${entry.notations.length} notations` : ''}`}
                </span>
                <span
                  aria-hidden
                  className={`mt-0.5 block h-[3px] min-w-[3px] ${entry.slot ? 'bg-ink' : 'bg-[repeating-linear-gradient(90deg,var(--ink)_0_3px,transparent_3px_6px)]'}`}
                  style={{ width: `${(entry.count / most) * 100}%` }}
                />
              </span>
              <span className="code">{entry.count.toLocaleString('en-GB')}</span>
            </button>
          </li>
        ))}
        {shown.length === 0 && (
          <li className="p-6 text-center text-soft">No colour in use is like that.</li>
        )}
      </ul>
    </div>
  )
}
