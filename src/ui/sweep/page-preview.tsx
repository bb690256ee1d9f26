'use client'

import { useState } from 'react'
import type { PlannedPictures } from '@/core/render'
import type { PageId, SiteDocs } from '@/core/site'
import { Button, Notice, SelectField } from '../kit'
import { PagePair } from '../stage'

/** How wide a page is drawn, in its own pixels. */
const WIDTH = 1100

interface PagePreviewProps {
  readonly page: PageId
  /** The pages that can be looked at, by title. */
  readonly pages: ReadonlyArray<readonly [page: PageId, title: string]>
  readonly before: SiteDocs | undefined
  readonly after: SiteDocs | undefined
  /** The vector pictures that it changes. */
  readonly planned: PlannedPictures | undefined
  readonly failure: string | undefined
  readonly onPage: (page: PageId) => void
}

/** Any page that a sweep touches, as it is and as it would be: parted by a divider, or in turn. */
export function PagePreview(props: PagePreviewProps) {
  const { page, pages, before, after, planned, failure, onPage } = props
  const [divider, setDivider] = useState(0.5)
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="flex items-center gap-3">
        <div className="w-56">
          <SelectField
            label="Page"
            hideLabel
            value={page}
            options={pages}
            onChange={(next) => onPage(next as PageId)}
          />
        </div>
        <Button
          aria-pressed={divider === 1}
          title="Shows the page as it is, then as it would be: press again and again"
          onClick={() => setDivider(divider === 0 ? 1 : 0)}
        >
          Flick
        </Button>
        <span className="truncate text-xs text-soft">
          {divider === 0 ? 'After' : divider === 1 ? 'Before' : 'Before and after'}
        </span>
      </div>
      {failure && <Notice>{failure}</Notice>}
      <div className="min-h-0 flex-1 bg-well">
        {before && (
          <PagePair
            page={page}
            before={before}
            after={after}
            planned={planned}
            width={WIDTH}
            divider={divider}
            onDivider={setDivider}
            testId="sweep-stage"
          />
        )}
      </div>
    </div>
  )
}
