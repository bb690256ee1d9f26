import { memo } from 'react'
import type { PageBandsEntry } from '@/core/payloads'
import type { Frame } from '@/core/site'
import { bandsOnPage } from './bands'

interface PageStackProps {
  readonly siteId: string
  readonly frame: Frame
  readonly page: PageBandsEntry
  /** Class of one band: its height; header and footer are half of it. */
  readonly band: string
  readonly shared?: string
}

/** A page as a stack of its sections' grounds; header and footer too where they have a height. */
export const PageStack = memo(function PageStack(props: PageStackProps) {
  const { siteId, frame, page, band, shared } = props
  return bandsOnPage(siteId, frame, page)
    .filter(({ kind }) => kind === 'band' || shared)
    .map(({ doc, section, kind, background }) => (
      <span
        key={`${doc}/${section}`}
        className={`block ${kind === 'band' ? band : shared}`}
        style={{ background }}
      />
    ))
})
