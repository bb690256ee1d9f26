import { orderBetween, type Frame, type Page } from '../site'
import { h1, page } from './write'

/** What a page that is begun is called, and where it lies and stands. */
export type PageSeat = Pick<Page, 'id' | 'title' | 'path' | 'order'>

/** A page with nothing on it but an opening that says its title, in the first theme of the site. */
export function emptyPage({ themes }: Pick<Frame, 'themes'>, seat: PageSeat): Page {
  const theme = themes.order[0]!
  const opening = { id: 'opening', name: 'Opening', theme, children: [h1(seat.title)] }
  return { ...page(seat.id, seat.title, '', [opening]), ...seat }
}

/** A page with all that another one holds. */
export const pageLike = (other: Page, seat: PageSeat): Page => ({ ...other, ...seat })

/** The order key of a page that is to stand right behind another one. */
export const orderAfter = (
  page: Pick<Page, 'order'>,
  next: { readonly order: string } | null,
): string => orderBetween(page.order, next && next.order > page.order ? next.order : null)
