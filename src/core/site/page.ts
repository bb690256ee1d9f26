import { generateKeyBetween } from 'fractional-indexing'
import * as z from 'zod'
import { pageId } from './ids'
import { nameText } from './text'
import { bodySchema } from './section'
import { looksStep } from './looks-step'
import { runningTextStep } from './running-text-step'
import { unchanged, withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

export const pageVersion = 9

/** A fractional index: between any two there is another, so that a page that comes or moves touches no other. */
export const orderKey = z.string().refine(isOrderKey, 'not a key of an order')

/** Longest key: thousands of pages put one by one into the same gap. */
const longestKey = 500

function isOrderKey(text: string): boolean {
  if (text.length > longestKey) return false
  try {
    return generateKeyBetween(text, null) > text
  } catch {
    return false
  }
}

/** File name of a page without its ending. */
export const pagePath = z.string().regex(/^[a-z0-9][a-z0-9-]{0,60}$/)

/** The file name of the home page: every site has one. */
export const homePath = 'index'

export const pageSchema = z.strictObject({
  schema: z.literal(pageVersion),
  id: pageId,
  /** Where it stands among the pages; compared by code units. */
  order: orderKey,
  title: nameText,
  path: pagePath,
  description: z.string().max(400),
  body: bodySchema,
})

export type Page = z.infer<typeof pageSchema>

/** A key of the order between two others; null stands for the beginning and the end. Throws where they are not in order. */
export function orderBetween(before: string | null, after: string | null): string {
  if (before !== null && after !== null && before >= after) {
    throw new RangeError(`no place between ${before} and ${after}`)
  }
  return generateKeyBetween(before, after)
}

/** Whichever stands first; of equals, the one whose id comes first. */
export function byOrder(a: Pick<Page, 'order' | 'id'>, b: Pick<Page, 'order' | 'id'>): number {
  if (a.order !== b.order) return a.order < b.order ? -1 : 1
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

/** Where pages stood beside their documents, whoever reads them gives them keys; one without stands first. */
const withOrder = (page: Stored): Stored => ({ ...page, order: page.order ?? 'a0' })

export const pageSteps: Readonly<Record<number, UpgradeStep>> = {
  1: unchanged,
  2: unchanged,
  3: unchanged,
  // 5: a page knows its place in the order.
  4: {
    record: withOrder,
    change: (change) => (change.path.length ? change : withWholes(change, withOrder)),
  },
  // 6: headings and quotes are running text, sections can be hidden.
  5: runningTextStep,
  // 7: the order of a page can name parts of the site.
  6: unchanged,
  // 8: what a thing decides of its own is called its looks.
  7: looksStep,
  // 9: words can be hyphenated.
  8: unchanged,
}
