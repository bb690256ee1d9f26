'use client'

import type { ComponentProps } from 'react'
import { useEditorState } from '../editor'
import { AllPages } from './all-pages'
import { Outline } from './outline'

/** The page from top to bottom in its own colours, all pages as small stacks beneath. */
export function SiteMap({ onDeed }: ComponentProps<typeof Outline>) {
  const count = useEditorState((state) => state.pageCount)
  return (
    <nav aria-label="Map of the site" className="flex h-full flex-col gap-3 p-3">
      <div className="flex max-h-[64%] min-h-0 shrink-0 flex-col">
        <Outline onDeed={onDeed} />
      </div>
      <div className="flex min-h-0 flex-1 flex-col">
        <h2 className="mb-1 text-xs font-semibold text-soft">
          {count > 12 ? `All ${count.toLocaleString('en-GB')} pages` : 'All pages'}
        </h2>
        <AllPages />
      </div>
    </nav>
  )
}
