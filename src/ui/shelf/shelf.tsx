import Link from 'next/link'
import type { ShelfEntry, SiteEntry } from '@/core/payloads'
import { slotsInOrder } from '@/core/site'
import { decisionHex } from '../look'
import { PageStack } from '../bands'
import { counted } from '../words'

/** All sites of the workspace, each as the rhythm of its pages over its palette. */
export function Shelf({ sites }: { readonly sites: readonly ShelfEntry[] }) {
  return (
    <main className="mx-auto max-w-5xl px-8 py-12">
      <h1 className="text-2xl font-bold">Ample Easel</h1>
      <p className="mt-1 text-soft">Choose a site to colour.</p>
      {sites.length === 0 && (
        <p className="mt-10 rounded-lg border border-dashed border-edge-strong p-10 text-center">
          No site is here yet. <span className="code">./easel demo</span> puts in two to try.
        </p>
      )}
      <ul className="mt-8 grid grid-cols-1 gap-6 md:grid-cols-2">
        {sites.map((site) => (
          <li key={site.id}>
            {'frame' in site ? <SiteCard site={site} /> : <Unreadable site={site} />}
          </li>
        ))}
      </ul>
    </main>
  )
}

/** A site that is there and cannot be opened. */
function Unreadable({ site: { name } }: { readonly site: ShelfEntry }) {
  return (
    <div className="flex h-full min-h-44 flex-col justify-between rounded-lg border border-dashed border-edge-strong bg-raised">
      <p className="px-5 pt-5">
        <b>× This site cannot be read.</b> It was stored in a form that this version does not know.
        Nothing of it is lost: start the version that it was last changed with, or a newer one.
      </p>
      <span className="px-5 py-3.5 text-[15px] font-bold">{name}</span>
    </div>
  )
}

function SiteCard({ site: { id, name, frame, pages, pageCount } }: { readonly site: SiteEntry }) {
  return (
    <Link
      href={`/sites/${id}`}
      className="block overflow-hidden rounded-lg border border-edge-strong/50 bg-raised hover:border-strong"
    >
      <span className="flex h-44 items-start gap-2.5 bg-well px-5 pt-5" aria-hidden>
        {pages.map((page) => (
          <span
            key={page.id}
            className="block max-w-16 flex-1 overflow-hidden rounded-t-sm shadow-sm"
          >
            <PageStack siteId={id} frame={frame} page={page} band="h-6" />
          </span>
        ))}
      </span>
      <span className="flex" aria-hidden>
        {slotsInOrder(frame.palette).map((slot) => (
          <span
            key={slot.id}
            className="h-7 flex-1"
            style={{ background: decisionHex(frame.palette, { slot: slot.id }) }}
          />
        ))}
      </span>
      <span className="flex items-baseline justify-between px-5 py-3.5">
        <span className="text-[15px] font-bold">{name}</span>
        <span className="text-soft">
          {counted(pageCount, 'page')}, {counted(frame.palette.order.length, 'slot')},{' '}
          {counted(frame.themes.order.length, 'theme')}
        </span>
      </span>
    </Link>
  )
}
