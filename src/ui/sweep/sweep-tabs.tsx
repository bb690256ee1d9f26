'use client'

import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { useEditorState } from '../editor'

/** What can be swept: colours, and whatever else stands in many places. */
const TABS = [
  ['', 'Colours'],
  ['/words', 'Words'],
  ['/font', 'Typefaces'],
  ['/picture', 'Pictures'],
  ['/link', 'Links'],
  ['/address', 'Addresses'],
] as const

/** Which sort of thing is replaced; colours come first. */
export function SweepTabs() {
  const siteId = useEditorState((state) => state.siteId)
  const path = usePathname()
  return (
    <nav
      aria-label="What is replaced"
      className="flex h-9 shrink-0 items-center gap-1 border-b border-edge px-3"
    >
      {TABS.map(([suffix, words]) => {
        const href = `/sites/${siteId}/sweep${suffix}`
        return (
          <Link
            key={suffix}
            href={href}
            aria-current={path === href ? 'page' : undefined}
            className="rounded px-2.5 py-1 text-xs font-semibold text-soft hover:bg-hover hover:text-ink aria-[current=page]:bg-well aria-[current=page]:text-ink"
          >
            {words}
          </Link>
        )
      })}
    </nav>
  )
}
