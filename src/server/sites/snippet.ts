import { cleanSnippet, losesByCleaning } from '@/core/markup'
import { done, type CleanedSnippet, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'

/** What of a snippet may stand in a page: all of it, or what is left without what runs or loads. */
export async function cleanedSnippet(
  actor: Actor,
  siteId: string,
  html: string,
): Promise<Result<CleanedSnippet>> {
  const found = await siteFor(actor, 'edit', siteId)
  return found.ok ? done({ html: cleanSnippet(html), loses: losesByCleaning(html) }) : found
}
