import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import type { PageId, SiteDocs } from '@/core/site'
import type { SweepRequest } from '@/core/sweep'
import type { LowContrast } from '@/core/check'
import { sweptDocs, withLooks, wouldBeHardToRead } from '@/core/wide'
import { useEditor, useEditorState } from '../editor'
import { problemWords } from '../words'

interface OnPage {
  /** The documents with the page among them; undefined while that is on its way. */
  readonly docs?: SiteDocs
  readonly failure?: string
}

/** The documents with a page that need not be open. */
export function useDocsWith(page: PageId): OnPage {
  const { client } = useEditor()
  const docs = useEditorState((state) => state.docs)
  const isOpen = docs.pages[page] !== undefined
  const [fetched, setFetched] = useState<{ page: PageId; docs?: SiteDocs; failure?: string }>()
  useEffect(() => {
    if (isOpen) return undefined
    let current = true
    void client.page(page).then((result) => {
      if (!current) return
      if (!result.ok) return setFetched({ page, failure: problemWords(result.problem) })
      const { page: loaded, pictures } = result.value
      const more = {
        pages: { ...docs.pages, [page]: loaded },
        pictures: { ...docs.pictures, ...pictures },
      }
      setFetched({ page, docs: { ...docs, ...more } })
    })
    return () => {
      current = false
    }
  }, [client, page, isOpen, docs])
  if (isOpen) return { docs }
  return fetched?.page === page ? fetched : {}
}

export interface SweepOutlook {
  /** The documents now, with a sample of each look of the pages that are not at hand. */
  readonly before?: SiteDocs
  readonly after?: SiteDocs
  readonly hard: readonly LowContrast[]
}

/** A page as a sweep would leave it, and what would be hard to read then and is not now, on other pages too. */
export function useOutlook(
  before: SiteDocs | undefined,
  request: SweepRequest | undefined,
  page: PageId,
): SweepOutlook {
  const asked = useDeferredValue(request)
  const looks = useDeferredValue(useEditorState((state) => state.otherLooks))
  const whole = useMemo(() => before && withLooks(before, looks), [before, looks])
  return useMemo(() => {
    const after = whole && asked && sweptDocs(whole, asked)
    if (!after) return { hard: [] }
    return { before: whole, after, hard: wouldBeHardToRead(whole, after, page) }
  }, [whole, asked, page])
}
