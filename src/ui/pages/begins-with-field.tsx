'use client'

import { useEffect, useState } from 'react'
import { designNames } from '@/core/designs/names'
import { pagesInOrder, type Page } from '@/core/site'
import { SelectField } from '../kit'
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
  const [value, setValue] = useState('nothing')
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
  const choose = (next: string) => {
    setValue(next)
    if (next === 'nothing' || next === 'this') return onChange(next)
    const [design, at] = next.split('/').map(Number) as [number, number]
    onChange({ design: designs[design]!.pages[at]! })
  }
  return (
    <SelectField label="It begins with" value={value} onChange={choose}>
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
    </SelectField>
  )
}
