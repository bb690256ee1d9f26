'use client'

import { isColor, sectionsInOrder } from '@/core/site'
import {
  decisionHex,
  themeLook,
  useEditor,
  useEditorState,
  useShownDocs,
  useSpots,
} from '../editor'
import { PageStack } from './page-stack'

/** The page as bands in their own colours, all pages as small stacks beneath. */
export function SiteMap() {
  const editor = useEditor()
  const { frame } = useShownDocs()
  const pages = useEditorState((state) => state.pages)
  const pageId = useEditorState((state) => state.pageId)
  const selection = useEditorState((state) => state.selection)
  const spots = useSpots()
  const title = pages.find(({ id }) => id === pageId)?.title ?? ''
  return (
    <nav aria-label="Map of the site" className="flex h-full flex-col gap-3 overflow-y-auto p-3">
      <div>
        <h2 className="mb-2 text-xs font-semibold text-soft">{title}, top to bottom</h2>
        <div className="overflow-hidden rounded border border-edge-strong/50">
          {spots.map(({ doc, section, theme, ownFill }) => {
            const look = themeLook(frame, theme.id)
            const ground =
              ownFill && isColor(ownFill) ? decisionHex(frame.palette, ownFill) : look.ground
            const chosen = selection?.doc === doc && selection.section === section.id
            return (
              <button
                key={`${doc}/${section.id}`}
                type="button"
                aria-pressed={chosen}
                onClick={() =>
                  editor.store.setState({ selection: { doc, section: section.id, facet: 'fill' } })
                }
                className="relative flex w-full items-center justify-between gap-2 px-2.5 py-[3px] text-left aria-pressed:z-10 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-ink"
                style={{ background: ground, color: look.text }}
              >
                <span className="min-w-0">
                  <span className="block truncate font-semibold">{section.name}</span>
                  <span className="block truncate text-[11px]">
                    {section.blend ? `blends, ${look.name}` : look.name}
                  </span>
                </span>
                <span
                  aria-hidden
                  className="h-2.5 w-6 shrink-0 rounded-[2px]"
                  style={{ background: look.chip }}
                />
              </button>
            )
          })}
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
                onClick={() => void editor.openPage(page.id)}
                className="block w-full rounded-sm aria-[current=page]:outline-2 aria-[current=page]:outline-offset-2 aria-[current=page]:outline-ink"
              >
                <span
                  className="block overflow-hidden rounded-sm border border-edge-strong/60"
                  aria-hidden
                >
                  <PageStack frame={frame} page={page} band="h-1.5" />
                  {sectionsInOrder(frame.body)
                    .filter(({ kind }) => kind === 'footer')
                    .map((footer) => (
                      <span
                        key={footer.id}
                        className="block h-1"
                        style={{ background: themeLook(frame, footer.theme).ground }}
                      />
                    ))}
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
