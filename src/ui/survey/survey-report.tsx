'use client'

import { Wrench, X } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { toast } from 'sonner'
import { useStore } from 'zustand'
import type { ElementId, PageId, SectionId } from '@/core/site'
import { deviceWidths, openAndTell, useEditor, useEditorState, type DeviceWidth } from '../editor'
import { Button, IconButton, Menu, MenuItem, MenuNote, Notice } from '../kit'
import { counted, editProblemWords, listed } from '../words'
import type { Fault, Finding, SurveyWidth } from './findings'
import { mendingsOf } from './mendings'
import { askAgain, putSurveyAway, surveyStore } from './survey-store'

const WIDTHS: Readonly<Record<SurveyWidth, readonly [words: string, device: DeviceWidth]>> = {
  [deviceWidths.desktop]: ['wide', 'desktop'],
  [deviceWidths.tablet]: ['on tablets', 'tablet'],
  [deviceWidths.phone]: ['on phones', 'phone'],
}

function faultWords({ kind, before, after, word }: Fault): string {
  switch (kind) {
    case 'out':
      return `sticks out by ${Math.round(after)} px`
    case 'cut':
      return `${Math.round(after)} px cut off`
    case 'torn':
      return `“${word}” is torn in two`
    case 'lines':
      return `${counted(before, 'line')} became ${after}`
  }
}

/** What is wrong, each once, with the widths where it is. */
function faultsInWords({ faults }: Finding): string[] {
  const told = new Map<string, string[]>()
  for (const fault of faults) {
    const words = faultWords(fault)
    told.set(words, [...(told.get(words) ?? []), WIDTHS[fault.width][0]])
  }
  return [...told].map(([words, where]) =>
    where.length === Object.keys(WIDTHS).length ? words : `${words} ${listed(where)}`,
  )
}

/** Opens the page that words stand on, in a width where they stand worse, with their element chosen. */
function useJump() {
  const editor = useEditor()
  const router = useRouter()
  const siteId = useEditorState((state) => state.siteId)
  return async ({ page, doc, section, element, faults }: Finding) => {
    if (editor.store.getState().pageId !== page) await openAndTell(editor, page as PageId)
    editor.show({
      width: WIDTHS[faults[0]!.width][1],
      selection: {
        doc: doc as PageId,
        section: section as SectionId,
        element: element as ElementId,
      },
    })
    router.push(`/sites/${siteId}`)
  }
}

function Mend({ finding }: { readonly finding: Finding }) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const isHere = docs.pages[finding.page as PageId] !== undefined
  const ways = isHere ? mendingsOf(docs, finding) : []
  return (
    <Menu
      align="end"
      onOpenChange={(open) => {
        if (open && !isHere) void openAndTell(editor, finding.page as PageId)
      }}
      trigger={
        <IconButton label={`Mend “${finding.words.slice(0, 40)}”`} className="size-7">
          <Wrench size={14} />
        </IconButton>
      }
    >
      {ways.map(({ label, edit }) => (
        <MenuItem
          key={label}
          onSelect={() => {
            const problem = editor.dispatch(edit)
            if (problem) toast.error(`Not kept: ${editProblemWords[problem]}.`)
            else askAgain(finding.page)
          }}
        >
          {label}
        </MenuItem>
      ))}
      {ways.length === 0 && (
        <MenuNote>{isHere ? 'Nothing to offer: go there.' : 'Opening its page …'}</MenuNote>
      )}
    </Menu>
  )
}

function Row({ finding, onGo }: { readonly finding: Finding; readonly onGo: () => void }) {
  return (
    <li className="flex items-center gap-2 border-b border-edge px-3 py-1.5 last:border-b-0">
      <button type="button" onClick={onGo} className="min-w-0 flex-1 text-left hover:underline">
        <span className="block truncate">
          <b className="font-semibold">{finding.words}</b>
        </span>
        <span className="block truncate text-xs text-soft">
          {finding.doc === 'frame' ? 'on all pages' : finding.pageTitle} ·{' '}
          {faultsInWords(finding).join(' · ')}
        </span>
      </button>
      <Mend finding={finding} />
    </li>
  )
}

/** Rows that are drawn before the rest is asked for. */
const FIRST = 60

/** What changes of looks did to the words of the site: on all pages, in every width. */
export function SurveyReport() {
  const state = useStore(surveyStore)
  const siteId = useEditorState((editor) => editor.siteId)
  const jump = useJump()
  const [all, setAll] = useState(false)
  const { asked, running, done, total, findings, missed, withoutFonts, failure } = state
  if (asked?.site !== siteId) return null
  const shown = all ? findings : findings.slice(0, FIRST)
  const found =
    findings.length === 0
      ? running
        ? ''
        : 'Words stand as they did.'
      : `Words stand otherwise in ${counted(findings.length, 'place')}.`
  return (
    <section
      aria-label="What it did to the words"
      className="flex max-h-[44%] min-h-0 flex-col border-t-2 border-strong bg-panel"
    >
      <div className="flex items-center gap-2 px-3 py-1.5">
        <p role="status" className="min-w-0 flex-1 font-semibold">
          {found}{' '}
          <span className="font-normal text-soft">
            {running || done < total || total === 0
              ? `Looking at page ${Math.min(done + 1, Math.max(total, 1))} of ${total || '…'}`
              : `${counted(total, 'page')}, three widths`}
          </span>
        </p>
        {!running && findings.length > 0 && <Button onClick={putSurveyAway}>It is fine so</Button>}
        <IconButton label="Put this away" onClick={putSurveyAway}>
          <X size={14} />
        </IconButton>
      </div>
      {failure && <Notice className="mx-3 mb-2">{failure}</Notice>}
      {missed.length > 0 && (
        <Notice look="caution" className="mx-3 mb-2">
          Not looked at, for they could not be opened: {listed(missed)}.
        </Notice>
      )}
      {withoutFonts && (
        <Notice look="caution" className="mx-3 mb-2">
          A typeface did not come in time, so what is told may be wrong.
        </Notice>
      )}
      <ul className="min-h-0 flex-1 overflow-y-auto border-t border-edge">
        {shown.map((finding) => (
          <Row key={finding.key} finding={finding} onGo={() => void jump(finding)} />
        ))}
        {shown.length < findings.length && (
          <li className="p-2">
            <Button onClick={() => setAll(true)}>Show {findings.length - shown.length} more</Button>
          </li>
        )}
      </ul>
    </section>
  )
}
