import type { PageEntry } from '@/core/payloads'
import { isColor, type Frame } from '@/core/site'
import { decisionHex, themeLook } from '../editor/look'

interface PageStackProps {
  readonly frame: Frame
  readonly page: PageEntry
  /** Class of one band: its height. */
  readonly band: string
}

/** A page as a stack of its sections' grounds. */
export function PageStack({ frame, page, band }: PageStackProps) {
  return page.summary.bands.map(({ id, theme, fill }) => (
    <span
      key={id}
      className={`block ${band}`}
      style={{
        background:
          fill && isColor(fill) ? decisionHex(frame.palette, fill) : themeLook(frame, theme).ground,
      }}
    />
  ))
}
