import type { Frame, Page } from '../site'
import { places } from './places'
import type { Use } from './use'

/** Every use that the frame decides: themes, styles, header and footer, custom CSS, add-ons. */
export function usesInFrame(frame: Frame): Use[] {
  return places.flatMap((place) => place.read({ frame, doc: 'frame' }))
}

/** Every use that one page decides. */
export function usesOnPage(frame: Frame, page: Page): Use[] {
  return places.flatMap((place) => place.read({ frame, doc: page.id, page }))
}

export function usesInSite(frame: Frame, pages: readonly Page[]): Use[] {
  return [...usesInFrame(frame), ...pages.flatMap((page) => usesOnPage(frame, page))]
}
