'use client'

import { useMemo } from 'react'
import { useEditor, useEditorState, useShownDocsBehind, useShownPage } from '../editor'
import { AllPages } from './all-pages'
import { BandButton } from './band-button'
import { bandsOnPage } from '../bands'

/** The page as bands in their own colours, all pages as small stacks beneath. */
export function SiteMap() {
  const editor = useEditor()
  const { frame } = useShownDocsBehind()
  const page = useShownPage()
  const selection = useEditorState((state) => state.selection)
  const siteId = useEditorState((state) => state.siteId)
  const count = useEditorState((state) => state.pageCount)
  const bands = useMemo(() => (page ? bandsOnPage(siteId, frame, page) : []), [siteId, frame, page])
  return (
    <nav aria-label="Map of the site" className="flex h-full flex-col gap-3 p-3">
      <div className="max-h-[60%] shrink-0 overflow-y-auto">
        <h2 className="mb-2 text-xs font-semibold text-soft">{page?.title}, top to bottom</h2>
        <div className="overflow-hidden rounded border border-edge-strong/50">
          {bands.map((band) => (
            <BandButton
              key={`${band.doc}/${band.section}`}
              band={band}
              chosen={selection?.doc === band.doc && selection.section === band.section}
              told={band.blends ? `blends, ${band.themeName}` : band.themeName}
              className="py-[3px]"
              onClick={() =>
                editor.show({
                  selection: { doc: band.doc, section: band.section, facet: 'fill' },
                })
              }
            />
          ))}
        </div>
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
