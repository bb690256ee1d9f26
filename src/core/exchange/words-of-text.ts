import { addOnKindIds, addOnKindOf, type AddOnKindId } from '../add-ons'
import type { KnownOfSite } from './kind'

const isAddOn = (kind: string): kind is AddOnKindId =>
  (addOnKindIds as readonly string[]).includes(kind)

/** Where a link leads, as people call it: a page by its title, an add-on by its kind. */
function wordsOfLink(href: string, { pages }: KnownOfSite): string {
  const [, form, name = ''] = /^(page|add-on):(.*)$/.exec(href) ?? []
  if (form === 'page')
    return Object.hasOwn(pages, name) ? pages[name]!.title : 'a page that is gone'
  if (form === 'add-on' && isAddOn(name)) return addOnKindOf(name).label
  return href === '#' ? 'nowhere yet' : href
}

/** A text of some sort as people call it: a picture by its file name; others are what they say. */
export function wordsOfText(sort: string, text: string, known: KnownOfSite): string {
  if (sort === 'link') return wordsOfLink(text, known)
  if (sort !== 'picture') return text
  return Object.hasOwn(known.pictures, text) ? known.pictures[text]!.fileName : text
}
