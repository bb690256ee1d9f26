'use client'

import Link from 'next/link'
import type { ReactNode } from 'react'
import type { SiteCheck } from '@/core/payloads'
import { lowInAddOns } from '@/core/check'
import {
  openAndTell,
  useEditor,
  useEditorState,
  useFailing,
  useSiteCheck,
  type Editor,
} from '../editor'
import { counted, listed } from '../words'
import { includedWords } from './included'
import { LowList } from './low-list'

const Box = ({ children }: { readonly children: ReactNode }) => (
  <div className="rounded-md border border-dashed border-ink px-2.5 py-1.5">{children}</div>
)

interface SiteCheckProps {
  readonly onGo: () => void
}

/** What visitors would stumble over on any page: contrast, links without a name, forms, alt texts. It keeps nobody from publishing. */
export function SiteCheckReport({ onGo }: SiteCheckProps) {
  const { value: check, failure } = useSiteCheck()
  return (
    <>
      <ThemePairs onGo={onGo} />
      {failure && <p role="alert">× {failure}</p>}
      {!check && !failure && <p>Checking all pages …</p>}
      {check && (
        <>
          <Pages check={check} onGo={onGo} />
          <Faults check={check} onGo={onGo} />
          <StaleAlts check={check} />
        </>
      )}
    </>
  )
}

function ThemePairs({ onGo }: SiteCheckProps) {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const frame = useEditorState((state) => state.docs.frame)
  const { light, dark } = useFailing()
  const count = light.length + dark.length
  const addOns = lowInAddOns(frame)
  const show = () => {
    editor.show({ sheetRows: 'failing', sheetCells: undefined, afterDark: light.length === 0 })
    onGo()
  }
  return (
    <>
      {count === 0 ? (
        <p>✓ All theme pairs have enough contrast (WCAG 2.2 AA).</p>
      ) : (
        <Box>
          <b>× {counted(count, 'theme pair')} with too little contrast.</b>{' '}
          <Link href={`/sites/${siteId}/themes`} onClick={show} className="underline">
            Show in Themes
          </Link>
        </Box>
      )}
      {addOns.length > 0 && (
        <Box>
          <b>× {counted(addOns.length, 'add-on colour')} with too little contrast.</b>
          <LowList low={addOns} onGo={onGo} />
        </Box>
      )}
    </>
  )
}

/** What the check of the pages leaves out, in words. */
const leftOut = ({ unmeasured }: SiteCheck) =>
  `Not judged: ${unmeasured ? `${counted(unmeasured, 'text')} over pictures or gradients, ` : ''}custom CSS and snippets.`

function Pages({ check, onGo }: SiteCheckProps & { readonly check: SiteCheck }) {
  const edition = useEditorState((state) => state.docs.frame.edition)
  const { pages, measured, count, low } = check
  const checked = `${counted(measured, 'colour')} on ${counted(pages, 'page')}, ${includedWords(edition)}`
  if (count === 0) {
    return (
      <p>
        ✓ Enough contrast: {checked}. <span className="text-soft">{leftOut(check)}</span>
      </p>
    )
  }
  return (
    <Box>
      <b>× {counted(count, 'colour')} with too little contrast on pages</b>, of {checked}.
      <LowList low={low} count={count} onGo={onGo} />
      <p className="text-soft">{leftOut(check)}</p>
    </Box>
  )
}

const FAULTS = {
  'link-without-name': [
    'link has no text or alt text, so screen readers can’t name it',
    'links have no text or alt text, so screen readers can’t name them',
  ],
  'form-goes-nowhere': [
    'form or search field sends to nowhere yet: what visitors type is lost',
    'forms and search fields send to nowhere yet: what visitors type is lost',
  ],
} as const

type Fault = SiteCheck['faults'][number]

async function show(editor: Editor, { page, doc, section, element }: Fault): Promise<void> {
  if (page !== editor.store.getState().pageId) await openAndTell(editor, page)
  editor.show({ selection: { doc, section, element } })
}

function Faults({ check, onGo }: SiteCheckProps & { readonly check: SiteCheck }) {
  const editor = useEditor()
  return (Object.keys(FAULTS) as Array<keyof typeof FAULTS>).map((rule) => {
    const found = check.faults.filter((each) => each.rule === rule)
    if (found.length === 0) return null
    return (
      <Box key={rule}>
        <b>
          ! {found.length} {FAULTS[rule][found.length === 1 ? 0 : 1]}:
        </b>{' '}
        {found.slice(0, 5).map((each, i) => (
          <span key={each.key}>
            {i > 0 && ', '}
            <button
              type="button"
              className="underline"
              onClick={() => {
                onGo()
                void show(editor, each)
              }}
            >
              {each.what}
            </button>
          </span>
        ))}
        {found.length > 5 && ` and ${found.length - 5} more`}.
      </Box>
    )
  })
}

function StaleAlts({ check: { staleAlts } }: { readonly check: SiteCheck }) {
  if (staleAlts.length === 0) return null
  const named = staleAlts.map(({ fileName, word }) => `${fileName} (“${word}”)`)
  return (
    <Box>
      <b>! {counted(staleAlts.length, 'alt text')} may name a colour that’s gone:</b>{' '}
      {listed(named)}. Click the picture on the page to read its alt text.
    </Box>
  )
}
