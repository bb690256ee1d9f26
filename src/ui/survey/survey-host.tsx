'use client'

import { useEffect, useRef, useState } from 'react'
import { useStore } from 'zustand'
import type { LoadedPage, PageEntry, Result } from '@/core/payloads'
import type { Frame, SiteDocs } from '@/core/site'
import { useEditor, useEditorState, type Editor } from '../editor'
import { StageFrame } from '../stage'
import { problemWords } from '../words'
import { inOrderOfGravity } from './findings'
import { survey, type SurveyFrame } from './survey'
import { putSurveyAway, surveyStore } from './survey-store'

/** Pages asked for at once, and how long changes rest before they are looked at, in milliseconds. */
const [AT_ONCE, REST] = [60, 500]

/** What of a frame words stand by: as long as none of it changes, nothing has to be looked at. */
const layoutOf = ({ settings, styles, customCss }: Frame) => ({ settings, styles, customCss })

const sameLayout = (one: Frame, other: Frame) => {
  const [a, b] = [layoutOf(one), layoutOf(other)]
  return a.settings === b.settings && a.styles === b.styles && a.customCss === b.customCss
}

async function allPages({ client }: Editor): Promise<Result<PageEntry[]>> {
  const pages: PageEntry[] = []
  for (;;) {
    const window = await client.pages(pages.length, AT_ONCE)
    if (!window.ok) return window
    pages.push(...window.value.pages)
    if (pages.length >= window.value.total || window.value.pages.length === 0) {
      return { ok: true, value: pages }
    }
  }
}

const FAILED =
  'The pages could not be looked at to the end. Change something once more, or put this away.'

interface Running {
  readonly editor: Editor
  readonly frames: readonly [SurveyFrame, SurveyFrame]
  readonly before: Frame
  /** The one page that is looked at; all of them where absent. */
  readonly only?: string
  readonly signal: AbortSignal
}

async function run({ editor, frames, before, only, signal }: Running): Promise<void> {
  const set = (state: Partial<ReturnType<typeof surveyStore.getState>>) =>
    signal.aborted ? undefined : surveyStore.setState(state)
  const { siteId } = editor.store.getState()
  const pages = await allPages(editor)
  if (!pages.ok) {
    set({ running: false, failure: problemWords(pages.problem) })
    return
  }
  const some = pages.value.filter(({ id }) => only === undefined || id === only)
  const others = surveyStore.getState().findings.filter(({ page }) => only && page !== only)
  const total = pages.value.length
  set({ running: true, done: total - some.length, total, failure: undefined })
  const load = async (page: PageEntry): Promise<readonly [SiteDocs, SiteDocs] | undefined> => {
    const { docs } = editor.store.getState()
    const held = docs.pages[page.id]
    const loaded: Result<Pick<LoadedPage, 'page' | 'pictures'>> = held
      ? { ok: true, value: { page: held, pictures: docs.pictures } }
      : await editor.client.page(page.id)
    if (!loaded.ok) return undefined
    const { page: whole, pictures } = loaded.value
    const after: SiteDocs = {
      ...docs,
      pages: { [page.id]: whole } as SiteDocs['pages'],
      pictures: { ...docs.pictures, ...pictures },
    }
    return [{ ...after, frame: { ...docs.frame, ...layoutOf(before) } }, after]
  }
  const found = await survey({
    siteId,
    frames,
    pages: some,
    load,
    signal,
    onProgress: (done, findings) =>
      set({
        done: total - some.length + done,
        ...(only ? {} : { findings }),
      }),
  })
  set({ running: false, ...found, findings: inOrderOfGravity([...others, ...found.findings]) })
}

/** Looks at all pages in the background, whenever looks change that somebody asked to be told about. */
export function SurveyHost() {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const frame = useEditorState((state) => state.docs.frame)
  const asked = useStore(surveyStore, (state) => state.asked)
  const [one, setOne] = useState<SurveyFrame>()
  const [two, setTwo] = useState<SurveyFrame>()
  const before = asked?.site === siteId ? asked.before : undefined
  const again = useStore(surveyStore, (state) => state.again)
  const { settings, styles, customCss } = frame
  const isSame = before !== undefined && sameLayout(before, frame)
  // The page that was looked at once more; whatever else changes has all of them looked at.
  const last = useRef<{ readonly again: typeof again; readonly frame: Frame }>(undefined)
  useEffect(() => {
    if (!before || !one || !two) return undefined
    const { frame: now } = editor.store.getState().docs
    const isElsewhere = last.current && sameLayout(last.current.frame, now)
    const isAsked = again !== last.current?.again && !surveyStore.getState().running
    const only = isElsewhere && isAsked ? again : undefined
    last.current = { again, frame: now }
    const ending = new AbortController()
    // There is one pair of frames: what was begun before is broken off.
    const timer = setTimeout(() => {
      if (isSame && !only) return putSurveyAway()
      const work = {
        editor,
        frames: [one, two] as const,
        before,
        only: only?.page,
        signal: ending.signal,
      }
      run(work).catch((error: unknown) => {
        console.error(error)
        if (!ending.signal.aborted) surveyStore.setState({ running: false, failure: FAILED })
      })
    }, REST)
    return () => {
      clearTimeout(timer)
      ending.abort()
    }
  }, [editor, before, one, two, isSame, settings, styles, customCss, again])
  if (!before) return null
  return (
    <div
      aria-hidden
      className="pointer-events-none invisible fixed top-0 left-0 size-0 overflow-hidden"
    >
      {([setOne, setTwo] as const).map((set, i) => (
        <StageFrame
          key={i}
          title={i ? 'Pages as they are' : 'Pages as they were'}
          onOpen={(document) =>
            set({ document, frame: document.defaultView!.frameElement as HTMLIFrameElement })
          }
          className="h-[900px] w-[1280px]"
        />
      ))}
    </div>
  )
}
