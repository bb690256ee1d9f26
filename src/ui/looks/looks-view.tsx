'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { toast } from 'sonner'
import { applyEdit, type Edit } from '@/core/edit'
import { themesInOrder, type Themes } from '@/core/site'
import type { Settings } from '@/core/traits'
import { useEditor, useEditorState, type LooksPane } from '../editor'
import { Segments, SelectField } from '../kit'
import { askSurvey, SurveyReport } from '../survey'
import { counted, editProblemWords } from '../words'
import { CssPane } from './css-pane'
import { LiveriesPanel } from './liveries-panel'
import { LiveryStage } from './livery-stage'
import { LooksStage, type TryOn } from './looks-stage'
import { overruledBy, settingsEdit } from './settings-edit'
import { ShapesPanel, TypePanel } from './setting-panels'
import { StylesPanel } from './styles-panel'
import { useLivery, type Trying } from './use-livery'

const PANES = [
  ['shapes', 'Shapes'],
  ['type', 'Type'],
  ['styles', 'Styles'],
  ['liveries', 'Liveries'],
  ['css', 'CSS'],
] as const satisfies ReadonlyArray<readonly [LooksPane, string]>

/** What stands beside the panel, in words. */
function told(pane: LooksPane, shown: string, { trial }: Trying): string {
  if (pane === 'styles') return 'Every element style by its name'
  if (pane === 'css') return 'This page, before and after what is typed'
  if (pane !== 'liveries' && shown === PAGE) return 'The open page, all of it'
  if (pane !== 'liveries') return 'Every kind of element, as it looks in this theme'
  return trial ? `Now, and in ${trial.entry.name}` : 'This page as it is'
}

const WIDTHS = { wide: 1000, phone: 390 } as const

/** Stands for the open page among the themes. */
const PAGE = 'page '

/** What is shown of all that could be: what is there no more gives way to the first. */
function shownOf(pane: LooksPane, wanted: string, { order, byId }: Themes): string {
  const isThere = wanted === 'all' || wanted in byId || (wanted === PAGE && pane !== 'styles')
  return isThere ? wanted : order[0]!
}

/** Brings the setting that one goes to into view, with the focus on what edits it. */
function useShownSetting(pane: LooksPane) {
  const editor = useEditor()
  const setting = useEditorState((state) => state.shownSetting)
  const panel = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const node = setting && panel.current?.querySelector<HTMLElement>(`[data-setting="${setting}"]`)
    if (!node) return
    node.scrollIntoView({ block: 'center' })
    node.querySelector<HTMLElement>('input, select, button, [role=slider]')?.focus()
    editor.show({ shownSetting: undefined })
  }, [editor, setting, pane])
  return panel
}

/** What shapes and type are set with: shown while they are dragged, kept once they are chosen. */
function useSettings() {
  const editor = useEditor()
  const tryOn = useRef<TryOn>(() => undefined)
  const open = useCallback((next: TryOn) => {
    tryOn.current = next
  }, [])
  const frameNow = () => editor.store.getState().docs.frame
  const preview = (edit: Edit | undefined) =>
    tryOn.current((docs) => {
      const result = edit && applyEdit(docs, edit)
      return result?.ok ? result.docs : docs
    })
  const onChoose = (settings: Partial<Settings>) => {
    preview(undefined)
    const before = frameNow()
    const edit = settingsEdit(before, settings)
    const problem = editor.dispatch(edit)
    if (problem) return void toast.error(`Not kept: ${editProblemWords[problem]}.`)
    askSurvey(editor.store.getState().siteId, before)
    const overruled = overruledBy(before, edit)
    if (overruled > 0) {
      toast(
        `${counted(overruled, 'colour')} of buttons that had been decided by hand made room for those of the new form. Undo brings them back.`,
      )
    }
  }
  const onDrag = (settings: Partial<Settings>) => preview(settingsEdit(frameNow(), settings))
  return { open, handlers: { onDrag, onChoose } }
}

/** The site with custom CSS that is typed; as it is while none is. */
function useTriedCss() {
  const [tried, setTried] = useState<string>()
  const docs = useEditorState((state) => state.docs)
  const withCss = useMemo(
    () =>
      tried === undefined ? undefined : { ...docs, frame: { ...docs.frame, customCss: tried } },
    [docs, tried],
  )
  return { withCss, setTried }
}

interface BarProps {
  /** The theme of the specimen, or the open page, where one can be chosen. */
  readonly theme: string | undefined
  readonly offersPage: boolean
  readonly onTheme: (theme: string) => void
  readonly width: keyof typeof WIDTHS
  readonly onWidth: (width: keyof typeof WIDTHS) => void
  readonly told: string
}

/** Over what is shown: in which theme, how wide, and what it is. */
function Bar({ theme, offersPage, onTheme, width, onWidth, told: words }: BarProps) {
  const themes = useEditorState((state) => state.docs.frame.themes)
  return (
    <div className="flex items-center gap-3 border-b border-edge bg-panel px-4 py-2">
      {theme !== undefined && (
        <SelectField label="What is shown" hideLabel value={theme} onChange={onTheme}>
          {offersPage && <option value={PAGE}>The open page</option>}
          <option value="all">All themes</option>
          {themesInOrder(themes).map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      )}
      <Segments
        label="Width of the specimen"
        value={width}
        options={[
          ['wide', 'Wide'],
          ['phone', 'Phone'],
        ]}
        onChange={onWidth}
      />
      <span className="min-w-0 flex-1 truncate text-right text-xs text-soft">{words}</span>
    </div>
  )
}

/** How the site looks beside its colours: shapes, type, element styles; seen on every kind of element while it is set. */
export function LooksView() {
  const editor = useEditor()
  const themes = useEditorState((state) => state.docs.frame.themes)
  const pane = useEditorState((state) => state.looksPane)
  const setPane = (looksPane: LooksPane) => editor.show({ looksPane })
  const panel = useShownSetting(pane)
  const [theme, setTheme] = useState<string>(PAGE)
  const trying = useLivery()
  const { withCss, setTried } = useTriedCss()
  const { open, handlers } = useSettings()
  const showsPage = pane === 'liveries' || pane === 'css'
  const [width, setWidth] = useState<keyof typeof WIDTHS>('wide')
  const shown = shownOf(pane, theme, themes)
  return (
    <div
      className={`grid h-full ${pane === 'css' ? 'grid-cols-[520px_minmax(0,1fr)]' : 'grid-cols-[320px_minmax(0,1fr)]'}`}
    >
      <div className="flex min-h-0 flex-col border-r border-edge bg-panel">
        <div className="border-b border-edge px-4 py-2.5">
          <Segments label="Looks" value={pane} options={PANES} onChange={setPane} />
        </div>
        <div ref={panel} className="min-h-0 flex-1 overflow-y-auto px-4 py-3">
          {pane === 'shapes' && <ShapesPanel {...handlers} />}
          {pane === 'type' && <TypePanel {...handlers} />}
          {pane === 'styles' && <StylesPanel />}
          {pane === 'liveries' && <LiveriesPanel trying={trying} />}
          {pane === 'css' && <CssPane onTry={setTried} />}
        </div>
      </div>
      <div className="flex min-h-0 min-w-0 flex-col bg-well">
        <Bar
          theme={showsPage ? undefined : shown}
          offersPage={pane !== 'styles'}
          onTheme={setTheme}
          width={width}
          onWidth={setWidth}
          told={told(pane, shown, trying)}
        />
        <div className="min-h-0 flex-1">
          {showsPage ? (
            <LiveryStage
              after={pane === 'css' ? withCss : trying.trial?.docs}
              width={WIDTHS[width]}
            />
          ) : (
            <LooksStage
              shows={pane === 'styles' ? 'styles' : shown === PAGE ? 'page' : 'kinds'}
              theme={shown}
              width={WIDTHS[width]}
              onOpen={open}
            />
          )}
        </div>
        <SurveyReport />
      </div>
    </div>
  )
}
