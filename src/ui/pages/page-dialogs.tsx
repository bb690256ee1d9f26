'use client'

import { useEffect, useState, type FormEvent } from 'react'
import { homePath, type Page } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button, Dialog, Line, Notice, Tick } from '../kit'
import { readName } from '../names'
import { counted, problemWords } from '../words'
import { addressFor, wrongAddress } from './address'
import { BeginsWithField } from './begins-with-field'
import {
  addPage,
  headerNavigation,
  keepPage,
  navigationsTo,
  removePage,
  type BeginsWith,
  type Wrong,
} from './page-deeds'

interface PageDialogProps {
  readonly page: Page
  readonly onLeave: () => void
}

export type AskedOfPage = 'add' | 'settings' | 'remove'

/** What is asked before something is done to a page. */
export function PageDialogs({ asked, ...rest }: PageDialogProps & { readonly asked: AskedOfPage }) {
  if (asked === 'add') return <AddPage {...rest} />
  if (asked === 'settings') return <PageSettings {...rest} />
  return <RemovePage {...rest} />
}

/** A title and an address that follows it until somebody types another one; both read when they are wanted. */
function useSeat(first: { readonly title: string; readonly path: string }) {
  const [title, setTitle] = useState(first.title)
  const [typed, setTyped] = useState(first.path === '' ? undefined : first.path)
  const [wrong, setWrong] = useState<Wrong>()
  const path = typed ?? (title.trim() ? addressFor(title) : '')
  const read = () => {
    const name = readName(title)
    if (!name.ok) return void setWrong({ at: 'title', words: name.wrong })
    const words = wrongAddress(path)
    if (words) return void setWrong({ at: 'path', words })
    return { title: name.name, path }
  }
  return { title, setTitle, path, setTyped, wrong, setWrong, read }
}

interface SeatFieldsProps extends Pick<
  ReturnType<typeof useSeat>,
  'title' | 'setTitle' | 'path' | 'setTyped' | 'wrong'
> {
  readonly fixed?: boolean
}

function SeatFields({ title, setTitle, path, setTyped, wrong, fixed }: SeatFieldsProps) {
  return (
    <>
      {wrong?.at === 'all' && <Notice>{wrong.words}</Notice>}
      <Line
        label="Title"
        first
        value={title}
        onChange={setTitle}
        wrong={wrong?.at === 'title' ? wrong.words : undefined}
      />
      {fixed ? (
        <p className="text-soft">It stands at the address of the site itself.</p>
      ) : (
        <Line
          label="Address, the last part of it"
          mono
          value={path}
          onChange={setTyped}
          wrong={wrong?.at === 'path' ? wrong.words : undefined}
        />
      )}
    </>
  )
}

/** A page is added behind the one that is shown. */
function AddPage({ page, onLeave }: PageDialogProps) {
  const editor = useEditor()
  const seat = useSeat({ title: '', path: '' })
  const [begins, setBegins] = useState<BeginsWith>('nothing')
  const hasNavigation = useEditorState((state) => !!headerNavigation(state.docs.frame))
  const [linked, setLinked] = useState(true)
  const [busy, setBusy] = useState(false)
  const add = async (event: FormEvent) => {
    event.preventDefault()
    const wanted = seat.read()
    if (!wanted) return
    setBusy(true)
    const wrong = await addPage(editor, page, {
      ...wanted,
      begins,
      linked: hasNavigation && linked,
    })
    setBusy(false)
    if (wrong) seat.setWrong(wrong)
    else onLeave()
  }
  return (
    <Dialog open onOpenChange={onLeave} title="Add a page">
      <form className="grid gap-3" onSubmit={(event) => void add(event)}>
        <SeatFields {...seat} />
        <BeginsWithField page={page} onChange={setBegins} />
        {hasNavigation && (
          <Tick checked={linked} onChange={setLinked}>
            The navigation of the header leads to it
          </Tick>
        )}
        <Button type="submit" look="strong" disabled={busy}>
          Add it behind {page.title}
        </Button>
      </form>
    </Dialog>
  )
}

/** What a page is called, where it lies, what it is about. */
function PageSettings({ page, onLeave }: PageDialogProps) {
  const editor = useEditor()
  const isHome = page.path === homePath
  const seat = useSeat(page)
  const [description, setDescription] = useState(page.description)
  const isNamed = useEditorState((state) =>
    navigationsTo(state.docs.frame, page.id).some(({ content }) =>
      JSON.stringify(content).includes(JSON.stringify(page.title)),
    ),
  )
  const [renamed, setRenamed] = useState(true)
  const keep = async (event: FormEvent) => {
    event.preventDefault()
    const wanted = seat.read()
    if (!wanted) return
    const wrong = await keepPage(editor, page, {
      ...wanted,
      description: description.trim(),
      renamed: isNamed && renamed,
    })
    if (wrong) seat.setWrong(wrong)
    else onLeave()
  }
  return (
    <Dialog open onOpenChange={onLeave} title={`The page ${page.title}`}>
      <form className="grid gap-3" onSubmit={(event) => void keep(event)}>
        <SeatFields {...seat} fixed={isHome} />
        <div>
          <label htmlFor="page-description" className="mb-1 block text-xs text-soft">
            What it is about, for search engines ({400 - description.length} characters left)
          </label>
          <textarea
            id="page-description"
            rows={3}
            maxLength={400}
            value={description}
            onChange={(event) => setDescription(event.target.value)}
            className="w-full rounded-md border border-edge-strong/60 bg-raised px-2.5 py-1.5"
          />
        </div>
        {isNamed && (
          <Tick checked={renamed} onChange={setRenamed}>
            Header and footer call it by its new title
          </Tick>
        )}
        <p className="text-soft">Links to the page follow its address.</p>
        <Button type="submit" look="strong">
          Keep
        </Button>
      </form>
    </Dialog>
  )
}

/** Tells which links would lead nowhere, and then removes the page. */
function RemovePage({ page, onLeave }: PageDialogProps) {
  const editor = useEditor()
  const [links, setLinks] = useState<string>()
  const [wrong, setWrong] = useState<string>()
  const isLinked = useEditorState(({ docs }) => navigationsTo(docs.frame, page.id).length > 0)
  const [unlinked, setUnlinked] = useState(true)
  useEffect(() => {
    let current = true
    void editor.client.linksTo(page.id).then((result) => {
      if (current) setLinks(result.ok ? linksTold(result.value) : problemWords(result.problem))
    })
    return () => {
      current = false
    }
  }, [editor, page.id])
  const remove = async () => {
    const failed = await removePage(editor, page, isLinked && unlinked)
    if (failed) setWrong(failed.words)
    else onLeave()
  }
  return (
    <Dialog open onOpenChange={onLeave} title={`Remove ${page.title}`}>
      <div className="grid gap-3">
        {wrong && <Notice>{wrong}</Notice>}
        <p role="status">{links ?? 'Looking for links to it …'}</p>
        {isLinked && (
          <Tick checked={unlinked} onChange={setUnlinked}>
            Take it out of the navigation of header and footer
          </Tick>
        )}
        <Button look="strong" disabled={links === undefined} onClick={() => void remove()}>
          Remove {page.title}
        </Button>
      </div>
    </Dialog>
  )
}

function linksTold(pages: ReadonlyArray<string | null>): string {
  const titles = pages.flatMap((title) => title ?? [])
  const places = [
    ...(pages.includes(null) ? ['header or footer, on every page'] : []),
    ...titles.slice(0, 5),
    ...(titles.length > 5 ? [counted(titles.length - 5, 'other page')] : []),
  ]
  return places.length === 0
    ? 'Nothing links to it. Undo brings it back as it was.'
    : `Links to it would lead nowhere. They stand in: ${places.join('; ')}. Undo brings it back as it was.`
}
