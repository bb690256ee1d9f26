'use client'

import { useEffect, useState, useSyncExternalStore } from 'react'
import { longestHref, safeHref } from '@/core/elements'
import type { PageEntry } from '@/core/payloads'
import { useEditor, useEditorState } from '../editor'
import { Button, Line } from '../kit'
import { problemWords } from '../words'

/** Pages that are offered at once; typing a part of a title finds the others. */
const OFFERED = 8

interface LinkTargetProps {
  readonly href: string | undefined
  /** Whether only a page is asked for. */
  readonly pagesOnly?: boolean
  /** Takes where it leads; nothing takes the link away. */
  readonly onChoose: (href: string | undefined) => void
}

/** An address as it is typed: a mail address, one without its beginning, or as it stands. */
export function hrefOfTyped(typed: string): { readonly href?: string; readonly wrong?: string } {
  const text = typed.trim()
  if (!text) return { wrong: 'Type an address, or choose a page.' }
  if (text.length > longestHref) return { wrong: 'That address is too long.' }
  if (/^[^\s@/:]+@[^\s@/:]+\.[^\s@/:]+$/.test(text)) return { href: `mailto:${text}` }
  const isBare = /^(?:www\.|[\w-]+(?:\.[\w-]+)*\.[a-z]{2,}(?:[/?#]|$))/i.test(text)
  const href = isBare ? `https://${text}` : text
  if (safeHref(href) !== href || /\s/.test(href)) {
    return { wrong: 'A link leads to a page, a web address, mail (mailto:) or a phone (tel:).' }
  }
  return { href }
}

/** Pages whose titles hold what is typed. */
function usePages(search: string) {
  const { client } = useEditor()
  const [pages, setPages] = useState<readonly PageEntry[]>([])
  const [problem, setProblem] = useState<string>()
  useEffect(() => {
    let isCurrent = true
    const timer = setTimeout(
      () =>
        void client.pages(0, OFFERED, search).then((result) => {
          if (!isCurrent) return
          if (result.ok) setPages(result.value.pages)
          setProblem(result.ok ? undefined : problemWords(result.problem))
        }),
      search ? 120 : 0,
    )
    return () => {
      isCurrent = false
      clearTimeout(timer)
    }
  }, [client, search])
  return { pages, problem }
}

/** Where something leads: a page of the site, found by its title, or an address. */
export function LinkTarget({ href, pagesOnly, onChoose }: LinkTargetProps) {
  const isPage = href?.startsWith('page:')
  const [typed, setTyped] = useState(isPage ? '' : (href ?? ''))
  const [wrong, setWrong] = useState<string>()
  const { pages, problem } = usePages(/[:/.@#]/.test(typed) ? '' : typed)
  const take = () => {
    const read = hrefOfTyped(typed)
    setWrong(read.wrong)
    if (read.href) onChoose(read.href)
  }
  return (
    <div className="grid gap-2">
      <Line
        label={pagesOnly ? 'A part of the page’s title' : 'Address, or a part of a page’s title'}
        value={typed}
        first
        wrong={wrong}
        onChange={(text) => {
          setTyped(text)
          setWrong(undefined)
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          event.preventDefault()
          const [page] = pages
          const isTitle = typed && page && !/[:/.@#]/.test(typed)
          if (isTitle) onChoose(`page:${page.id}`)
          else if (!pagesOnly) take()
        }}
      />
      {problem && <p role="alert">× {problem}</p>}
      <ul aria-label="Pages" className="grid max-h-52 gap-px overflow-y-auto">
        {pages.map(({ id, title, path }) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={href === `page:${id}`}
              onClick={() => onChoose(`page:${id}`)}
              className="flex w-full items-baseline justify-between gap-3 rounded px-2 py-1 text-left hover:bg-hover aria-pressed:font-bold"
            >
              <span className="truncate">{title}</span>
              <span className="code shrink-0 text-xs text-soft">{path}</span>
            </button>
          </li>
        ))}
      </ul>
      {!pagesOnly && (
        <div className="flex gap-2">
          <Button onClick={take}>Lead there</Button>
          {href && <Button onClick={() => onChoose(undefined)}>No link</Button>}
        </div>
      )}
    </div>
  )
}

/** Where something leads, in words: the title of a page at hand, or its address. */
export function useTargetWords(href: string | undefined): string {
  const { pages: list } = useEditor()
  const pages = useEditorState((state) => state.docs.pages)
  const { known, total } = useSyncExternalStore(list.subscribe, list.getState, list.getState)
  if (!href || href === '#') return 'nowhere yet'
  const id = /^page:(.+)$/.exec(href)?.[1]
  if (id === undefined) return href
  const found = [...Object.values(pages), ...known.values()].find((each) => each.id === id)
  return found?.title ?? (known.size >= total ? '× a page that is gone' : id)
}
