'use client'

import { Plus } from 'lucide-react'
import { useState } from 'react'
import type { ShelfEntry, ShelfDeed } from '@/core/payloads'
import { Button, Fold, Folds, SearchField } from '../kit'
import { counted } from '../words'
import { BeginSite } from './begin-site'
import { DeedDialogs } from './deed-dialogs'
import { orders, shelved, type Order } from './order'
import { Colors, SiteCard } from './site-card'
import { useDeeds, type AskedDeed } from './use-deeds'

/** Sites above which they can be searched and put in order: more than a screen holds. */
const MANY = 8

/** All sites of the workspace, each as its home page in its present colours. */
export function Shelf({ sites }: { readonly sites: readonly ShelfEntry[] }) {
  const [search, setSearch] = useState('')
  const [order, setOrder] = useState<Order>('changed')
  const [beginning, setBeginning] = useState(false)
  const [asked, setAsked] = useState<AskedDeed>()
  const { orTell } = useDeeds()
  const all = shelved(sites, 'shelf')
  const shown = shelved(sites, 'shelf', search, order)
  const origins = all.filter(({ site }) => site !== 'unreadable')
  const ask = (next: AskedDeed) =>
    next.deed === 'put-away' ? void orTell(next.entry, { deed: 'put-away' }) : setAsked(next)
  return (
    <main className="mx-auto max-w-[1024px] px-8 py-10">
      <header className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-2xl font-bold">Ample Easel</h1>
        {all.length > MANY && (
          <>
            <SearchField label="Find a site" value={search} onChange={setSearch} />
            <select
              aria-label="Order of the shelf"
              value={order}
              onChange={(event) => setOrder(event.target.value as Order)}
              className="h-8 rounded-md border border-edge-strong/60 bg-raised px-2"
            >
              {Object.entries(orders).map(([key, words]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </select>
          </>
        )}
        <Button look="strong" onClick={() => setBeginning(true)}>
          <Plus size={15} /> Begin a site
        </Button>
      </header>
      {all.length === 0 && <EmptyShelf onBegin={() => setBeginning(true)} />}
      {all.length > 0 && shown.length === 0 && (
        <p className="mt-10 text-soft">No site is called that.</p>
      )}
      <ul
        aria-label="Sites"
        className="mt-7 grid grid-cols-[repeat(auto-fill,304px)] justify-between gap-x-4 gap-y-6"
      >
        {shown.map((entry) => (
          <li key={entry.id}>
            <SiteCard entry={entry} onAsk={ask} />
          </li>
        ))}
      </ul>
      <OffShelf
        title="Put away"
        sites={shelved(sites, 'away')}
        deed={{ deed: 'put-back' }}
        label="Put back"
      />
      <OffShelf
        title="Removed"
        sites={shelved(sites, 'removed')}
        deed={{ deed: 'bring-back' }}
        label="Bring back"
      />
      {beginning && <BeginSite sites={origins} onLeave={() => setBeginning(false)} />}
      {asked && <DeedDialogs asked={asked} sites={origins} onLeave={() => setAsked(undefined)} />}
    </main>
  )
}

function EmptyShelf({ onBegin }: { readonly onBegin: () => void }) {
  return (
    <div className="mt-10 grid justify-items-center gap-3 rounded-lg border border-dashed border-edge-strong p-10 text-center">
      <p className="max-w-md">
        <b>The shelf is empty.</b> A site begins with a name and, if you like, one colour; palette
        and section themes are made around it, and everything on it can be read from the start.
      </p>
      <Button look="strong" onClick={onBegin}>
        <Plus size={15} /> Begin a site
      </Button>
      <p className="text-soft">
        <span className="code">./easel demo</span> puts in two to try.
      </p>
    </div>
  )
}

interface OffShelfProps {
  readonly title: string
  readonly sites: readonly ShelfEntry[]
  readonly deed: ShelfDeed
  readonly label: string
}

/** Sites that do not stand on the shelf, and the way back for each. */
function OffShelf({ title, sites, deed, label }: OffShelfProps) {
  const { orTell } = useDeeds()
  if (sites.length === 0) return null
  return (
    <Folds className="mt-8">
      <Fold value="sites" title={`${title}, ${sites.length.toLocaleString('en-GB')}`}>
        <ul aria-label={title} className="mt-1 grid gap-1.5">
          {sites.map((entry) => (
            <li key={entry.id} className="flex items-center gap-3">
              <span className="w-24 overflow-hidden rounded">
                {entry.site !== 'unreadable' && <Colors colors={entry.site.colors} />}
              </span>
              <span className="min-w-0 flex-1 truncate">
                <b>{entry.name}</b>
                {entry.daysLeft !== undefined && (
                  <span className="text-soft">
                    , gone for good in {counted(entry.daysLeft, 'day')}
                  </span>
                )}
              </span>
              <Button onClick={() => void orTell(entry, deed)}>{label}</Button>
            </li>
          ))}
        </ul>
      </Fold>
    </Folds>
  )
}
