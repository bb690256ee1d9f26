import { done, refused, type Result, type Saved } from '@/core/payloads'
import type { Body, DocId, SectionId, ThemeId } from '@/core/site'
import type { Actor } from './actor'
import { changeSite, performEdit } from './edits'
import { loadDocs, standing } from './sites'

/** Takes a theme away; every section that has it, on every page, goes to `to` in the same edit. */
export async function removeTheme(
  actor: Actor,
  siteId: string,
  base: number,
  theme: ThemeId,
  to: ThemeId,
): Promise<Result<Saved>> {
  const result = await changeSite(actor, siteId, base, async (site, transaction) => {
    const docs = await loadDocs(site, 'all', transaction)
    const bodies: Array<readonly [DocId, Body]> = [
      ['frame', docs.frame.body],
      ...Object.values(docs.pages).map((page) => [page.id, page.body] as const),
    ]
    const sections = bodies.flatMap(([doc, body]) =>
      Object.values(body.sections)
        .filter((section) => section.theme === theme)
        .map(({ id }): { doc: DocId; section: SectionId } => ({ doc, section: id })),
    )
    const edit = { type: 'removeTheme', theme, to, sections } as const
    const performed = await performEdit(actor, site, edit, null, transaction)
    if (!performed.ok) return performed
    await site.save({ transaction })
    return done(site.revision)
  })
  return result.ok
    ? done({ revision: result.value, ...(await standing(siteId)) })
    : refused(result.problem)
}
