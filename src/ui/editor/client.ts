import {
  refused,
  type CheckpointEntry,
  type DryRun,
  type HistoryEntry,
  type Inventory,
  type LoadedPage,
  type LoadedSite,
  type Problem,
  type Publication,
  type Result,
  type Saved,
  type ShareEntry,
  type SiteName,
  type SlotUses,
} from '@/core/payloads'
import type { ColorDecision, SlotId, ThemeId } from '@/core/site'
import type { Edit } from '@/core/edit'
import type { SweepRequest } from '@/core/sweep'

/** A server that cannot be reached counts as a database that is away: keep, wait, send again. */
async function call<T>(path: string, body?: unknown): Promise<Result<T>> {
  let response: Response
  try {
    response = await fetch(`/api/sites/${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      cache: 'no-store',
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
  } catch {
    return refused({ code: 'database-away' })
  }
  try {
    const json: unknown = await response.json()
    if (response.ok) return { ok: true, value: json as T }
    return refused((json as { problem: Problem }).problem)
  } catch {
    // An answer that is not ours: something before the server speaks for it while it is away.
    if (response.status === 408) return refused({ code: 'too-slow' })
    return refused({ code: response.status >= 500 ? 'database-away' : 'unexpected' })
  }
}

export interface PendingEdit {
  readonly clientId: string
  readonly edit: Edit
  /** In words, with the names that held before it. */
  readonly told?: string
}

/** The one way to the server. */
export function siteClient(site: string) {
  const at = encodeURIComponent(site)
  return {
    loadSite: () => call<LoadedSite>(at),
    loadPage: (page: string) => call<LoadedPage>(`${at}/pages/${encodeURIComponent(page)}`),
    save: (base: number, edits: readonly PendingEdit[]) =>
      call<Saved>(`${at}/edits`, {
        base,
        edits: edits.map(({ clientId, edit }) => ({ clientId, edit })),
      }),
    step: (kind: 'undo' | 'redo', base: number) => call<Saved>(`${at}/${kind}`, { base }),
    history: () => call<HistoryEntry[]>(`${at}/edits`),
    checkpoints: () => call<CheckpointEntry[]>(`${at}/checkpoints`),
    takeCheckpoint: (base: number, name: string) => call<null>(`${at}/checkpoints`, { base, name }),
    returnTo: (base: number, checkpoint: string) =>
      call<Saved>(`${at}/checkpoints/return`, { base, checkpoint }),
    inventory: () => call<Inventory>(`${at}/inventory`),
    dryRun: (sweep: SweepRequest) => call<DryRun>(`${at}/sweep/dry-run`, { sweep }),
    sweep: (base: number, sweep: SweepRequest) =>
      call<Saved & { changed: number }>(`${at}/sweep`, { base, sweep }),
    removeSlot: (base: number, slot: SlotId, to: ColorDecision) =>
      call<Saved>(`${at}/slots/remove`, { base, slot, to }),
    removeTheme: (base: number, theme: ThemeId, to: ThemeId) =>
      call<Saved>(`${at}/themes/remove`, { base, theme, to }),
    slotUses: (slot: string) => call<SlotUses>(`${at}/slots/${encodeURIComponent(slot)}/uses`),
    shares: () => call<ShareEntry[]>(`${at}/shares`),
    share: (base: number) => call<ShareEntry>(`${at}/shares`, { base }),
    revokeShare: (share: string) => call<null>(`${at}/shares/revoke`, { share }),
    copyPalette: (to: string) => call<{ study: string }>(`${at}/palette/copy`, { to }),
    otherSites: () => call<SiteName[]>(`${at}/palette/copy`),
    brandSheetAddress: `/api/sites/${site}/palette/brand-sheet`,
    publication: () => call<Publication | null>(`${at}/publication`),
    publish: (base: number) => call<Publication>(`${at}/publication`, { base }),
    zipAddress: `/api/sites/${at}/publication/zip`,
  }
}

export type SiteClient = ReturnType<typeof siteClient>
