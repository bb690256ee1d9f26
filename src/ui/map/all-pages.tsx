'use client'

import { useCallback, useRef } from 'react'
import type { PageBandsEntry } from '@/core/payloads'
import { openAndTell, useEditor, useEditorState, usePageList, useShownDocsBehind } from '../editor'
import { useRowWindow } from '../kit'
import { PageStack } from '../bands'

/** Small pages beside one another. */
const ACROSS = 3
const ROW = 62

/** All pages as small stacks of their sections; of many, only those in view are asked for and drawn. */
export function AllPages() {
  const scroller = useRef<HTMLDivElement>(null)
  const { total, at, need } = usePageList()
  const onRange = useCallback(
    (from: number, to: number) => need(from * ACROSS, to * ACROSS),
    [need],
  )
  const count = Math.ceil(total / ACROSS)
  const { rows, total: height, measure } = useRowWindow({ scroller, count, height: ROW, onRange })
  return (
    <div ref={scroller} className="-mx-1 min-h-24 flex-1 overflow-y-auto px-1 pt-1">
      <ul className="relative" style={{ height }}>
        {rows.map(({ index, top }) => (
          <li
            key={index}
            ref={measure}
            data-index={index}
            className="absolute inset-x-0 top-0 grid grid-cols-3 gap-x-2.5 pb-2"
            style={{ transform: `translateY(${top}px)` }}
          >
            {Array.from({ length: Math.min(ACROSS, total - index * ACROSS) }, (_, i) => (
              <SmallPage key={i} page={at(index * ACROSS + i)} />
            ))}
          </li>
        ))}
      </ul>
    </div>
  )
}

function SmallPage({ page }: { readonly page: PageBandsEntry | undefined }) {
  const editor = useEditor()
  const { frame } = useShownDocsBehind()
  const siteId = useEditorState((state) => state.siteId)
  const isShown = useEditorState((state) => state.pageId === page?.id)
  if (!page) return <span className="h-12 rounded-sm bg-hover" />
  return (
    <button
      type="button"
      aria-current={isShown ? 'page' : undefined}
      title={page.title}
      onClick={() => void openAndTell(editor, page.id)}
      className="block w-full min-w-0 self-start rounded-sm aria-[current=page]:outline-2 aria-[current=page]:outline-offset-2 aria-[current=page]:outline-ink"
    >
      <span className="block overflow-hidden rounded-sm border border-edge-strong/60" aria-hidden>
        <PageStack siteId={siteId} frame={frame} page={page} band="h-1.5" shared="h-1" />
      </span>
      <span className="mt-0.5 block truncate text-[10px] tracking-tight text-soft">
        {page.title}
      </span>
    </button>
  )
}
