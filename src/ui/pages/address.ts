import { homePath, idFromName, pagePath } from '@/core/site'

/** The address that a title asks for: what is taken or kept for home gets a number. */
export const addressFor = (title: string): string => idFromName(title, [homePath], 'page')

/** What is wrong with an address as it was typed, in words that say what to do; nothing where it can be. */
export function wrongAddress(typed: string): string | undefined {
  if (pagePath.safeParse(typed).success) return undefined
  if (typed === '') return 'A page needs an address.'
  if (typed.length > 61) return 'An address has at most 61 characters.'
  return 'An address has small letters a to z, digits and hyphens, and begins with a letter or digit.'
}
