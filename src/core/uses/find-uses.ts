import { decisionColor } from '../resolve'
import {
  isBound,
  own,
  type Frame,
  type Page,
  type Picture,
  type Palette,
  type RecordRef,
  type SiteRecord,
} from '../site'
import { noPictures, type PictureReader } from './held-pictures'
import { places, type Reading, type UsePart } from './places'
import type { Use } from './use'

const readers = Object.values(places)

/** What a kind of record gives the readers; nothing for kinds that hold no colours. */
function readingOf(
  { kind, id }: RecordRef,
  record: SiteRecord,
  pictures: PictureReader,
  svg?: string,
): Reading | undefined {
  if (kind === 'frame') return { doc: 'frame', frame: record as Frame, pictures }
  if (kind === 'page') return { doc: id as Page['id'], page: record as Page, pictures }
  if (kind === 'picture' && svg) return { picture: record as Picture, svg, pictures }
  return undefined
}

/** The uses that one record decides, by what decides them. */
export function usePartsIn(
  ref: RecordRef,
  record: SiteRecord,
  pictures: PictureReader,
  svg?: string,
): UsePart[] {
  const reading = readingOf(ref, record, pictures, svg)
  return reading ? readers.flatMap((read) => read(reading)) : []
}

/**
 * Every use that one record decides. It follows from the record alone, so it can
 * be kept beside it: a reference to a slot is one whether there is such a slot or not. Of a
 * vector picture, the text of its file must be given.
 */
export function usesIn(
  ref: RecordRef,
  record: SiteRecord,
  pictures: PictureReader,
  svg?: string,
): Use[] {
  return usePartsIn(ref, record, pictures, svg).flatMap(({ uses }) => uses())
}

/** Uses with the colours that a palette gives them; references to slots that it does not have are left out. */
export function usesUnder<T extends Pick<Use, 'decision' | 'color'>>(
  palette: Palette,
  uses: readonly T[],
): T[] {
  return uses.flatMap((use) => {
    const { decision } = use
    if (!isBound(decision)) return use.color ? [use] : []
    if (!own(palette.slots, decision.slot)) return []
    return [{ ...use, color: decisionColor(palette, decision) }]
  })
}

/** Every use that the frame decides: themes, styles, header and footer, custom CSS, add-ons. */
export function usesInFrame(frame: Frame, pictures: PictureReader = noPictures): Use[] {
  return usesUnder(frame.palette, usesIn({ kind: 'frame', id: 'frame' }, frame, pictures))
}

/** Every use that one page decides. */
export function usesOnPage(frame: Frame, page: Page, pictures: PictureReader = noPictures): Use[] {
  return usesUnder(frame.palette, usesIn({ kind: 'page', id: page.id }, page, pictures))
}

export function usesInSite(
  frame: Frame,
  pages: readonly Page[],
  pictures: PictureReader = noPictures,
): Use[] {
  return [
    ...usesInFrame(frame, pictures),
    ...pages.flatMap((page) => usesOnPage(frame, page, pictures)),
  ]
}
