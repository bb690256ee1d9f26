'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import { addOnPages, inEditor, pageCssLayer } from '@/core/render'
import type { AddOn, Page, SiteDocs } from '@/core/site'
import { useEditorState } from '../editor'
import { Segments } from '../kit'
import { createStageWriter, StageFrame, type StageWriter } from '../stage'

/** How wide what is shown is drawn, in pixels of the page. */
const WIDTH = 1000

interface AddOnPreviewProps {
  readonly addOn: AddOn | undefined
}

/** The add-on as visitors meet it: on the page that is open, or on a page of its own. */
export function AddOnPreview({ addOn }: AddOnPreviewProps) {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const pages = addOnPages(docs.frame).filter((page) => page.addOn === addOn?.id)
  const [name, setName] = useState(pages[0]?.name ?? '')
  const page = pages.find((each) => each.name === name)
  const title = docs.pages[pageId]?.title ?? ''
  return (
    <div className="flex min-h-0 min-w-0 flex-col bg-well">
      <div className="flex items-center gap-3 border-b border-edge bg-panel px-4 py-2">
        {pages.length > 0 ? (
          <Segments
            label="What is shown"
            value={page?.name ?? pages[0]!.name}
            options={pages.map((each) => [each.name, each.title] as const)}
            onChange={setName}
          />
        ) : (
          <span className="flex h-8 items-center font-semibold">{title}</span>
        )}
        <span className="min-w-0 flex-1 truncate text-right text-xs text-soft">
          {page
            ? 'A page beside the site, without its header'
            : 'As visitors meet it on every page'}
        </span>
      </div>
      {page ? (
        <OwnPage key={page.name} docs={docs} html={page.html} title={page.title} />
      ) : (
        <OnPage docs={docs} page={docs.pages[pageId]} />
      )}
    </div>
  )
}

/** A room of the size that is there, and what is drawn in it by its width. */
function useRoom() {
  const room = useRef<HTMLDivElement>(null)
  const [size, setSize] = useState({ scale: 1, height: 600 })
  useEffect(() => {
    const node = room.current
    if (!node) return undefined
    const fit = () => {
      const scale = Math.min(1, node.clientWidth / WIDTH)
      setSize({ scale, height: node.clientHeight / scale })
    }
    const observer = new ResizeObserver(fit)
    observer.observe(node)
    fit()
    return () => observer.disconnect()
  }, [])
  const { scale, height } = size
  return { room, style: { width: WIDTH, height, transform: `scale(${scale})` } }
}

interface DrawnProps {
  readonly title: string
  readonly onOpen: (document: Document) => void
}

function Drawn({ title, onOpen }: DrawnProps) {
  const { room, style } = useRoom()
  return (
    <div ref={room} className="min-h-0 flex-1 overflow-hidden" data-testid="add-on-preview">
      <StageFrame
        title={title}
        onOpen={onOpen}
        className="mx-auto origin-top-left bg-white"
        style={style}
      />
    </div>
  )
}

/** The page that is open, with what opens on it open. */
function OnPage({ docs, page }: { readonly docs: SiteDocs; readonly page: Page | undefined }) {
  const siteId = useEditorState((state) => state.siteId)
  const [held, setHeld] = useState<{ document: Document; writer: StageWriter }>()
  useEffect(() => {
    if (!held || !page) return
    held.writer.write(siteId, docs, page.id)
    for (const each of held.document.querySelectorAll<HTMLDetailsElement>('aside details')) {
      each.open = true
    }
  }, [held, siteId, docs, page])
  return (
    <Drawn
      title="The page"
      onOpen={(document) => setHeld({ document, writer: createStageWriter(document) })}
    />
  )
}

interface OwnPageProps {
  readonly docs: SiteDocs
  readonly html: string
  readonly title: string
}

/** A page that the add-on brings along: it knows the palette of the site, and nothing else of it. */
function OwnPage({ docs, html, title }: OwnPageProps) {
  const siteId = useEditorState((state) => state.siteId)
  const pageId = useEditorState((state) => state.pageId)
  const [document, setDocument] = useState<Document>()
  const css = useMemo(() => {
    const page = docs.pages[pageId]
    const where = inEditor(siteId, docs)
    return page
      ? (['palette', 'addOns'] as const)
          .map((layer) => pageCssLayer(layer, docs, page, where))
          .join('\n')
      : ''
  }, [docs, pageId, siteId])
  useEffect(() => {
    if (!document) return
    const style = document.head.querySelector('style') ?? document.createElement('style')
    document.head.append(style)
    style.textContent = css
    const written = new DOMParser().parseFromString(html, 'text/html').body
    document.body.replaceWith(document.adoptNode(written))
  }, [document, css, html])
  return <Drawn title={title} onOpen={setDocument} />
}
