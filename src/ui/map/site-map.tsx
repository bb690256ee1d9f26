'use client'

import { openAndTell, useEditor, useEditorState, useShownDocs } from '../editor'
import { BandButton } from './band-button'
import { bandsOnPage } from './bands'
import { PageStack } from './page-stack'

/** The page as bands in their own colours, all pages as small stacks beneath. */
export function SiteMap() {
  const editor = useEditor()
  const { frame } = useShownDocs()
  const pages = useEditorState((state) => state.pages)
  const pageId = useEditorState((state) => state.pageId)
  const selection = useEditorState((state) => state.selection)
  const siteId = useEditorState((state) => state.siteId)
  const page = pages.find(({ id }) => id === pageId)
  const bands = page ? bandsOnPage(siteId, frame, page) : []
  return (
    <nav aria-label="Map of the site" className="flex h-full flex-col gap-3 overflow-y-auto p-3">
      <div>
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
                editor.store.setState({
                  selection: { doc: band.doc, section: band.section, facet: 'fill' },
                })
              }
            />
          ))}
        </div>
      </div>
      <div>
        <h2 className="mb-2 text-xs font-semibold text-soft">All pages</h2>
        <ul className="grid grid-cols-3 gap-x-2.5 gap-y-2">
          {pages.map((page) => (
            <li key={page.id}>
              <button
                type="button"
                aria-current={page.id === pageId ? 'page' : undefined}
                title={page.title}
                onClick={() => void openAndTell(editor, page.id)}
                className="block w-full rounded-sm aria-[current=page]:outline-2 aria-[current=page]:outline-offset-2 aria-[current=page]:outline-ink"
              >
                <span
                  className="block overflow-hidden rounded-sm border border-edge-strong/60"
                  aria-hidden
                >
                  <PageStack siteId={siteId} frame={frame} page={page} band="h-1.5" shared="h-1" />
                </span>
                <span className="mt-0.5 block truncate text-[10px] tracking-tight text-soft">
                  {page.title}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
    </nav>
  )
}
