'use client'

import type { BrokenLinks } from '@/core/payloads'
import type { PageId } from '@/core/site'
import { openAndTell, useBrokenLinks, useEditor } from '../editor'
import { counted } from '../words'

/** Pages that are named where links are told. */
const NAMED = 5

const sum = (links: BrokenLinks, of: 'gone' | 'nowhere') =>
  links.reduce((total, each) => total + each[of], 0)

/** What visitors could not follow; it keeps nobody from publishing. */
export function Links({ onGo }: { readonly onGo: () => void }) {
  const editor = useEditor()
  const { value: links, failure } = useBrokenLinks()
  if (failure) return <p role="alert">× {failure}</p>
  if (!links) return <p>Looking for links that lead nowhere …</p>
  if (links.length === 0) return <p>✓ Every link leads somewhere.</p>
  const [gone, nowhere] = [sum(links, 'gone'), sum(links, 'nowhere')]
  const told = [
    ...(gone ? [`${counted(gone, 'link')} to pages that are gone`] : []),
    ...(nowhere ? [`${counted(nowhere, 'link')} that lead nowhere yet`] : []),
  ].join(', ')
  const go = async (id: PageId) => {
    onGo()
    await openAndTell(editor, id)
  }
  return (
    <p className="rounded-md border border-dashed border-ink px-2.5 py-1.5">
      <b>! {told}.</b> Look in{' '}
      {links.slice(0, NAMED).map(({ kind, id, title }, i) => (
        <span key={id}>
          {i > 0 && ', '}
          {kind === 'frame' ? (
            'header, footer or a part'
          ) : (
            <button type="button" className="underline" onClick={() => void go(id as PageId)}>
              {title}
            </button>
          )}
        </span>
      ))}
      {links.length > NAMED && `, and ${counted(links.length - NAMED, 'other page')}`}.
    </p>
  )
}
