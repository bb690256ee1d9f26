'use client'

import { writeRatio } from '@/core/color'
import type { LowContrast, LowOnPage } from '@/core/check'
import type { PageId } from '@/core/site'
import { openAndTell, useEditor, type Editor } from '../editor'

/** What is listed before the rest is counted. */
const LISTED = 8

export type Listed = LowContrast | (LowOnPage & { readonly page?: PageId; readonly title?: string })

/** Chooses a colour of a thing on the page, in its state and edition, so that its trace opens. */
async function goTo(editor: Editor, low: LowOnPage & { readonly page?: PageId }): Promise<void> {
  if (low.page && low.page !== editor.store.getState().pageId) await openAndTell(editor, low.page)
  const { doc, section, element, facet, state, edition } = low
  editor.show({
    afterDark: edition === 'dark',
    selection: { doc, section, element, property: facet },
    state: state === 'rest' ? undefined : state,
  })
}

interface LowListProps {
  readonly low: readonly Listed[]
  /** How many there are, where not all are given. */
  readonly count?: number
  readonly onGo: () => void
}

/** Colours with too little contrast, each with its figures; one on a page is a way to it. */
export function LowList({ low, count = low.length, onGo }: LowListProps) {
  const editor = useEditor()
  const rest = count - Math.min(LISTED, low.length)
  return (
    <ul className="mt-1.5 grid gap-px">
      {low.slice(0, LISTED).map((each) => {
        const figures = `${writeRatio(each.ratio)}, needs ${each.needs}`
        const words = (
          <>
            <span className="min-w-0 flex-1">
              {each.what}
              {'title' in each && each.title && <span className="text-soft"> on {each.title}</span>}
            </span>
            <span className="code shrink-0">{figures}</span>
          </>
        )
        return (
          <li key={each.key}>
            {'element' in each ? (
              <button
                type="button"
                className="flex w-full items-baseline gap-2 rounded px-1.5 py-1 text-left hover:bg-hover"
                onClick={() => {
                  onGo()
                  void goTo(editor, each)
                }}
              >
                {words}
              </button>
            ) : (
              <span className="flex items-baseline gap-2 px-1.5 py-1">{words}</span>
            )}
          </li>
        )
      })}
      {rest > 0 && (
        <li className="px-1.5 py-1 text-soft">and {rest.toLocaleString('en-GB')} more</li>
      )}
    </ul>
  )
}
