import { done, type Result, type Saved } from '@/core/payloads'
import type { Body, DocId, SectionId, ThemeId } from '@/core/site'
import type { Actor } from './actor'
import { changeByEdit } from './edits'

/** Takes a theme away; every section that has it, on every page, goes to `to` in the same edit. */
export function removeTheme(
  actor: Actor,
  siteId: string,
  base: number,
  theme: ThemeId,
  to: ThemeId,
): Promise<Result<Saved>> {
  return changeByEdit(actor, siteId, base, (docs) => {
    const bodies: Array<readonly [DocId, Body]> = [
      ['frame', docs.frame.body],
      ...Object.values(docs.pages).map((page) => [page.id, page.body] as const),
    ]
    const sections = bodies.flatMap(([doc, body]) =>
      Object.values(body.sections)
        .filter((section) => section.theme === theme)
        .map(({ id }): { doc: DocId; section: SectionId } => ({ doc, section: id })),
    )
    return done({ type: 'removeTheme', theme, to, sections } as const)
  })
}
