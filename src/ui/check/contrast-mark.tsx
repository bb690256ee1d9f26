'use client'

import Link from 'next/link'
import { useState } from 'react'
import type { Edition } from '@/core/site'
import { useContrast, useEditor, useEditorState, type MeasuredContrast } from '../editor'
import { Popover } from '../kit'
import { counted } from '../words'
import { includedWords } from './included'
import { LowList } from './low-list'

/** What the mark is about, so that nobody takes it for more. */
function coverWords({ page }: MeasuredContrast, edition: Edition): string {
  const unjudged = page.unmeasured
    ? `${counted(page.unmeasured, 'text')} over pictures or gradients, `
    : ''
  return `Checked: all theme pairs, the add-ons, and ${counted(page.measured, 'colour')} on this page, ${includedWords(edition)}. Not checked here: ${unjudged}custom CSS, snippets, other pages (Publish checks those).`
}

/** How many colours have too little contrast, quietly; lists them, and goes there. */
export function ContrastMark() {
  const { measured, isCurrent } = useContrast()
  const edition = useEditorState((state) => state.docs.frame.edition)
  const [open, setOpen] = useState(false)
  if (!measured) return <span className="px-1.5 text-xs text-soft">Contrast …</span>
  const { themes, addOns, page } = measured
  const count = themes.light.length + themes.dark.length + addOns.length + page.low.length
  return (
    <Popover
      label="Contrast"
      width={340}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          title={coverWords(measured, edition)}
          aria-busy={!isCurrent}
          className={`rounded px-1.5 py-0.5 text-xs whitespace-nowrap hover:bg-hover ${count && isCurrent ? 'font-semibold' : 'text-soft'}`}
        >
          {count === 0 ? '✓' : `× ${count.toLocaleString('en-GB')} low`}{' '}
          <span className="max-[1100px]:sr-only">contrast</span>
          {count === 0 && ' AA'}
        </button>
      }
    >
      <ContrastList measured={measured} onGo={() => setOpen(false)} />
    </Popover>
  )
}

interface ContrastListProps {
  readonly measured: MeasuredContrast
  readonly onGo: () => void
}

function ContrastList({ measured, onGo }: ContrastListProps) {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const edition = useEditorState((state) => state.docs.frame.edition)
  const { themes, addOns, page } = measured
  const pairs = themes.light.length + themes.dark.length
  const showPairs = () => {
    editor.show({
      sheetRows: 'failing',
      sheetCells: undefined,
      afterDark: themes.light.length === 0,
    })
    onGo()
  }
  return (
    <div className="grid gap-2 text-[13px]">
      {pairs > 0 && (
        <p>
          × {counted(pairs, 'theme pair')} with too little contrast.{' '}
          <Link href={`/sites/${siteId}/themes`} onClick={showPairs} className="underline">
            Show in Themes
          </Link>
        </p>
      )}
      {page.low.length > 0 && (
        <div>
          <h3 className="font-semibold">On this page</h3>
          <LowList low={page.low} onGo={onGo} />
        </div>
      )}
      {addOns.length > 0 && (
        <div>
          <h3 className="font-semibold">Add-ons</h3>
          <LowList low={addOns} onGo={onGo} />
        </div>
      )}
      {pairs + page.low.length + addOns.length === 0 && (
        <p>✓ All that was checked passes WCAG 2.2 AA.</p>
      )}
      <p className="text-xs text-soft">{coverWords(measured, edition)}</p>
    </div>
  )
}
