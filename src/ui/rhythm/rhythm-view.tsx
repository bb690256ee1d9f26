'use client'

import { useState, type MouseEvent } from 'react'
import { toast } from 'sonner'
import { proposeRhythm } from '@/core/generate'
import type { PageEntry } from '@/core/payloads'
import type { Frame, PageId, ThemeId } from '@/core/site'
import { sectionKey, themeLook, useEditor, useEditorState, type SectionRef } from '../editor'
import { Button } from '../kit'
import { counted, editProblemWords } from '../words'
import { bandsOf, sharedBands, type Band } from './bands'
import { ThemeChoices } from './theme-choices'

type Given = SectionRef & { readonly theme: ThemeId }

/** All pages as stacks of their sections in their real colours: the rhythm of the whole site. */
export function RhythmView() {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const pages = useEditorState((state) => state.pages)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [proposed, setProposed] = useState<ReadonlyMap<string, ThemeId>>()
  const bands = [
    ...sharedBands(frame, 'header'),
    ...pages.flatMap((page) => bandsOf(frame, page)),
    ...sharedBands(frame, 'footer'),
  ]
  const picked = bands.filter((band) => chosen.has(sectionKey(band)))

  const pick = (band: Band) => (event: MouseEvent) => {
    const key = sectionKey(band)
    const many = event.shiftKey || event.ctrlKey || event.metaKey
    const next = new Set(many ? chosen : [])
    if (many && chosen.has(key)) next.delete(key)
    else next.add(key)
    setChosen(next)
  }
  const give = async (sections: readonly Given[], told: string) => {
    const docs = [...new Set(sections.map(({ doc }) => doc))]
    const needed = docs.filter((doc): doc is PageId => doc !== 'frame')
    if (!(await editor.needPages(needed))) {
      toast.error('Not all pages could be loaded, so nothing was changed. Try again.')
      return
    }
    const problem = editor.dispatch({ type: 'setSectionThemes', told, sections: [...sections] })
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    else setProposed(undefined)
  }
  const propose = (wanted: readonly PageEntry[]) =>
    setProposed(
      new Map(
        wanted.flatMap((page) => {
          const rhythm = proposeRhythm(frame, page.summary.bands.length)
          return bandsOf(frame, page).map((band, i) => [sectionKey(band), rhythm[i]!] as const)
        }),
      ),
    )
  const applyProposed = () =>
    give(
      bands.flatMap((band) => {
        const theme = proposed?.get(sectionKey(band))
        return theme ? [{ doc: band.doc, section: band.section, theme }] : []
      }),
      `Rhythm given to ${counted(proposed?.size ?? 0, 'section')}`,
    )
  const looks = new Map(frame.themes.order.map((id) => [id, lookOf(frame, id)] as const))
  const sameName = picked.length === 1 ? bands.filter(({ name }) => name === picked[0]!.name) : []

  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_300px]">
      <div className="min-h-0 overflow-auto bg-well p-5">
        <ul className="flex flex-wrap gap-4">
          {pages.map((page) => (
            <li key={page.id} className="w-40">
              <div className="mb-1.5 flex items-center justify-between gap-2">
                <h2 className="truncate font-bold">{page.title}</h2>
                <button
                  type="button"
                  className="rounded text-xs text-ink underline"
                  onClick={() => propose([page])}
                >
                  propose
                </button>
              </div>
              <div className="overflow-hidden rounded-md shadow-sm">
                {[
                  ...sharedBands(frame, 'header'),
                  ...bandsOf(frame, page),
                  ...sharedBands(frame, 'footer'),
                ].map((band) => {
                  const key = sectionKey(band)
                  const theme = proposed?.get(key)
                  const look = theme ? looks.get(theme)! : band
                  return (
                    <button
                      key={key}
                      type="button"
                      aria-pressed={chosen.has(key)}
                      onClick={pick(band)}
                      className={`relative flex w-full items-center justify-between gap-2 px-2.5 text-left aria-pressed:z-10 aria-pressed:shadow-[inset_0_0_0_2px_#000,inset_0_0_0_4px_#fff] ${band.doc === 'frame' ? 'h-8' : 'h-14'}`}
                      style={{ background: look.ground, color: look.text }}
                    >
                      <span className="min-w-0">
                        <span className="block truncate font-semibold">{band.name}</span>
                        {band.doc !== 'frame' && (
                          <span className="block truncate text-[11px]">
                            {theme ? `→ ${look.themeName}` : band.themeName}
                          </span>
                        )}
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
            </li>
          ))}
        </ul>
      </div>
      <aside
        aria-label="Themes of sections"
        className="grid min-h-0 content-start gap-3 overflow-y-auto border-l border-edge p-4"
      >
        {proposed ? (
          <>
            <h2 className="text-[15px] font-bold">
              A rhythm for {counted(proposed.size, 'section')}
            </h2>
            <p className="text-soft">
              Pale grounds in turn, every fourth section dark, a vivid one once, near the end. Shown
              on the pages, not yet given.
            </p>
            <div className="flex gap-2">
              <Button look="strong" className="flex-1" onClick={() => void applyProposed()}>
                Give it
              </Button>
              <Button onClick={() => setProposed(undefined)}>Let go</Button>
            </div>
          </>
        ) : (
          <>
            <h2 className="text-[15px] font-bold">
              {picked.length === 0
                ? 'Rhythm of the site'
                : picked.length === 1
                  ? picked[0]!.name
                  : counted(picked.length, 'section')}
            </h2>
            {picked.length === 0 ? (
              <p className="text-soft">
                Click a section to give it a theme; with Ctrl or Shift, several. Header and footer
                stand on every page.
              </p>
            ) : (
              <ThemeChoices
                label="Theme of the chosen sections"
                value={
                  picked.every(({ theme }) => theme === picked[0]!.theme)
                    ? picked[0]!.theme
                    : undefined
                }
                onChoose={(theme) =>
                  void give(
                    picked.map(({ doc, section }) => ({ doc, section, theme })),
                    tell(frame, picked, theme),
                  )
                }
              />
            )}
            {sameName.length > 1 && (
              <Button onClick={() => setChosen(new Set(sameName.map((band) => sectionKey(band))))}>
                Choose all {sameName.length} called “{picked[0]!.name}”
              </Button>
            )}
            <Button className="mt-2" onClick={() => propose(pages)}>
              Propose a rhythm for all pages
            </Button>
          </>
        )}
      </aside>
    </div>
  )
}

function lookOf(frame: Frame, id: ThemeId) {
  const { ground, text, chip, name } = themeLook(frame, id)
  return { ground, text, chip, themeName: name }
}

function tell(frame: Frame, picked: readonly Band[], theme: ThemeId): string {
  const name = frame.themes.byId[theme]?.name ?? theme
  const what = picked.length === 1 ? picked[0]!.name : counted(picked.length, 'section')
  return `${what}: theme ${name}`
}
