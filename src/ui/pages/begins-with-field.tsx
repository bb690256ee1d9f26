'use client'

import { useEffect, useId, useState } from 'react'
import { designNames } from '@/core/designs/names'
import { pagesInOrder, type Page } from '@/core/site'
import type { BeginsWith } from './page-deeds'

interface OfDesign {
  readonly name: string
  readonly pages: readonly Page[]
}

/** The pages of all designs; they are fetched when somebody wants a page. */
async function pagesOfDesigns(): Promise<OfDesign[]> {
  const { designs, designSite } = await import('@/core/designs/ready')
  return designs.map((design) => {
    const name = designNames.find(({ id }) => id === design.id)?.name ?? design.id
    return { name, pages: pagesInOrder(designSite(design, name).docs) }
  })
}

interface BeginsWithFieldProps {
  readonly page: Page
  readonly onChange: (begins: BeginsWith) => void
}

/** What a new page begins with. */
export function BeginsWithField({ page, onChange }: BeginsWithFieldProps) {
  const id = useId()
  const [designs, setDesigns] = useState<readonly OfDesign[]>([])
  useEffect(() => {
    let isCurrent = true
    void pagesOfDesigns().then((found) => {
      if (isCurrent) setDesigns(found)
    })
    return () => {
      isCurrent = false
    }
  }, [])
  const choose = (value: string) => {
    if (value === 'nothing' || value === 'this') return onChange(value)
    const [design, at] = value.split('/').map(Number) as [number, number]
    onChange({ design: designs[design]!.pages[at]! })
  }
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-xs text-soft">
        It begins with
      </label>
      <select
        id={id}
        defaultValue="nothing"
        onChange={(event) => choose(event.target.value)}
        className="h-8.5 w-full rounded-md border border-edge-strong/60 bg-raised px-2"
      >
        <option value="nothing">Nothing but its title</option>
        <option value="this">All that {page.title} holds</option>
        {designs.map(({ name, pages }, i) => (
          <optgroup key={name} label={`In this site’s colours, from ${name}`}>
            {pages.map(({ id: pageId, title }, j) => (
              <option key={pageId} value={`${i}/${j}`}>
                {title} ({name})
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </div>
  )
}
