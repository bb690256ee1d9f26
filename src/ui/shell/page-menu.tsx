'use client'

import { ChevronDown } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useEffect, useRef, useState } from 'react'
import type { PageEntry } from '@/core/payloads'
import { homePath, type PageId } from '@/core/site'
import { openAndTell, useEditor, useEditorState, usePage } from '../editor'
import { Menu, MenuChoice, MenuItem, MenuLine, MenuNote, SearchField } from '../kit'
import { movePage, PageDialogs, type AskedOfPage } from '../pages'
import { problemWords } from '../words'

/** Pages that the menu lists at once; a search finds the others. */
const LISTED = 40

type Found =
  | { readonly at: 'asking' }
  | { readonly at: 'found'; readonly pages: readonly PageEntry[]; readonly total: number }
  | { readonly at: 'failed'; readonly words: string }

/** The pages whose titles hold the words, asked for a little after they were typed. */
function useFound(search: string, open: boolean): Found {
  const { client } = useEditor()
  const generation = useEditorState((state) => state.pagesGeneration)
  const [found, setFound] = useState<Found>({ at: 'asking' })
  useEffect(() => {
    if (!open) return undefined
    let current = true
    const timer = setTimeout(
      () =>
        void client.pages(0, LISTED, search).then((result) => {
          if (!current) return
          setFound(
            result.ok
              ? { at: 'found', pages: result.value.pages, total: result.value.total }
              : { at: 'failed', words: problemWords(result.problem) },
          )
        }),
      search ? 120 : 0,
    )
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [client, search, open, generation])
  return found
}

/** Goes to any page of the site; where there are many, by a part of its title. */
export function PageMenu() {
  const pageId = useEditorState((state) => state.pageId)
  const title = usePage()?.title
  const [open, setOpen] = useState(false)
  const [asked, setAsked] = useState<AskedOfPage>()
  const page = useEditorState((state) => state.docs.pages[pageId])
  return (
    <>
      <Menu
        sideOffset={4}
        align="start"
        onOpenChange={setOpen}
        trigger={
          <button
            type="button"
            className="flex h-8 max-w-56 min-w-16 items-center gap-1 rounded-md px-2 text-soft hover:bg-hover"
          >
            <span className="sr-only">Page: </span>
            <span className="min-w-0 truncate" title={title}>
              {title}
            </span>
            <ChevronDown size={14} className="shrink-0" />
          </button>
        }
      >
        <Pages open={open} pageId={pageId} />
        <MenuLine />
        <PageDeeds onAsk={setAsked} />
      </Menu>
      {page && asked && (
        <PageDialogs asked={asked} page={page} onLeave={() => setAsked(undefined)} />
      )}
    </>
  )
}

/** What can be done with the page that is shown. */
function PageDeeds({ onAsk }: { readonly onAsk: (asked: AskedOfPage) => void }) {
  const editor = useEditor()
  const page = usePage()
  if (!page) return null
  return (
    <>
      <MenuItem onSelect={() => onAsk('add')}>Add a page …</MenuItem>
      <MenuItem onSelect={() => onAsk('settings')}>Title and address …</MenuItem>
      <MenuItem onSelect={() => void movePage(editor, page, -1)}>Move it forward</MenuItem>
      <MenuItem onSelect={() => void movePage(editor, page, 1)}>Move it back</MenuItem>
      <MenuItem disabled={page.path === homePath} onSelect={() => onAsk('remove')}>
        Remove it …
      </MenuItem>
    </>
  )
}

function Pages({ open, pageId }: { readonly open: boolean; readonly pageId: PageId }) {
  const editor = useEditor()
  const count = useEditorState((state) => state.pageCount)
  const field = useRef<HTMLInputElement>(null)
  const [search, setSearch] = useState('')
  const found = useFound(search, open)
  useEffect(() => field.current?.focus(), [])
  return (
    <>
      {count > LISTED / 2 && (
        <div
          className="p-1.5"
          onKeyDown={(event) => {
            // Letters are for the field; arrows and Escape are the menu's.
            if (event.key !== 'Escape' && event.key !== 'ArrowDown') event.stopPropagation()
          }}
        >
          <SearchField ref={field} label="Find a page" value={search} onChange={setSearch} />
        </div>
      )}
      <div className="max-h-[60vh] max-w-72 overflow-y-auto">
        {found.at === 'failed' && <MenuNote>× {found.words}</MenuNote>}
        {found.at === 'asking' && <MenuNote>Looking for pages …</MenuNote>}
        {found.at === 'found' && found.pages.length === 0 && (
          <MenuNote>No page is called that.</MenuNote>
        )}
        {found.at === 'found' && (
          <MenuChoice
            value={pageId}
            options={found.pages.map(({ id, title }) => [id, title])}
            onChoose={(id) => void openAndTell(editor, id)}
          />
        )}
      </div>
      {found.at === 'found' && found.total > found.pages.length && (
        <DropdownMenu.Label className="border-t border-edge px-2.5 py-1.5 text-xs font-normal text-soft">
          {(found.total - found.pages.length).toLocaleString('en-GB')} more; type a part of the
          title
        </DropdownMenu.Label>
      )}
    </>
  )
}
