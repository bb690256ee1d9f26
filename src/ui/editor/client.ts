import {
  type BrokenLinks,
  type ChangesSince,
  type CleanedSnippet,
  type CheckpointEntry,
  type DryRun,
  type HistoryPage,
  type HitCells,
  type HitWindow,
  type HoldingPictures,
  type Inventory,
  type Leftovers,
  type UnreadPlaces,
  type JobState,
  type LiveryDeed,
  type LiveryEntry,
  type LiverySource,
  type LoadedPage,
  type LoadedSite,
  type NamedSections,
  type PageEntry,
  type PageWindow,
  type PartPlaces,
  type ProposedRhythms,
  type Publication,
  type RecipeDeed,
  type RecipeEntry,
  type RecolorRequest,
  type RecoloredPicture,
  type Saved,
  type ShareEntry,
  type SiteCounts,
  type SiteCheck,
  type SiteName,
  type SlotUses,
  type StandingText,
  type Stepped,
  type TakenFont,
  type TakenPicture,
  type ThemeUses,
} from '@/core/payloads'
import type { ExchangeAsked, ExchangeOf } from '@/core/exchange'
import type { Livery } from '@/core/livery'
import type { DocId, PageId, Picture, Pictures } from '@/core/site'
import type { Recipe, SweepRequest, UseFilter } from '@/core/sweep'
import type { SiteTransport } from '@/core/sync'
import { callAt } from '../call'

const call = <T>(path: string, body?: unknown) => callAt<T>('', path, body)

const query = (values: Readonly<Record<string, string | number | undefined>>) => {
  const given = Object.entries(values).filter(([, value]) => value !== undefined)
  return new URLSearchParams(given.map(([name, value]) => [name, String(value)])).toString()
}

/** What keeps a site in step with the server: that of the page, or another one by its address. */
export function siteTransport(site: string, address = ''): SiteTransport {
  const at = encodeURIComponent(site)
  const call = <T>(path: string, body?: unknown) => callAt<T>(address, path, body)
  return {
    loadSite: () => call<LoadedSite>(at),
    loadPage: (page) => call<LoadedPage>(`${at}/pages/${encodeURIComponent(page)}`),
    counts: () => call<SiteCounts>(`${at}/counts`),
    save: (base, edits) =>
      call<Saved>(`${at}/edits`, {
        base,
        edits: edits.map(({ clientId, edit }) => ({ clientId, edit })),
      }),
    changes: (since, held) =>
      call<ChangesSince>(`${at}/changes?${query({ since, pages: held.join(',') })}`),
    step: (kind, base) => call<Stepped>(`${at}/${kind}`, { base }),
    wide: (base, intent) => call<JobState>(`${at}/wide`, { base, intent }),
    takeBack: (revision, leaves) =>
      call<JobState>(`${at}/take-back`, { base: 'any', revision, leaves }),
    publish: () => call<JobState>(`${at}/publication`, {}),
    job: (id) => call<JobState>(`${at}/jobs/${encodeURIComponent(id)}`),
    cancel: (id) => call<null>(`${at}/jobs/${encodeURIComponent(id)}/cancel`, {}),
  }
}

/** Everything else that a window asks and tells the server. */
export function siteClient(site: string) {
  const at = encodeURIComponent(site)
  return {
    pages: (from: number, count: number, search?: string) =>
      call<PageWindow>(`${at}/pages?${query({ from, count, search })}`),
    page: (page: PageId) => call<LoadedPage>(`${at}/pages/${encodeURIComponent(page)}`),
    pageBeside: (page: PageId, by: number) =>
      call<PageEntry | null>(
        `${at}/pages/${encodeURIComponent(page)}/beside?${query({ by: by < 0 ? 'before' : 'after' })}`,
      ),
    pageAt: (path: string) => call<PageEntry | null>(`${at}/addresses/${encodeURIComponent(path)}`),
    linksTo: (page: PageId) =>
      call<ReadonlyArray<string | null>>(`${at}/pages/${encodeURIComponent(page)}/links`),
    pictures: (after?: string) => call<readonly Picture[]>(`${at}/pictures?${query({ after })}`),
    pageOfPicture: (id: string) =>
      call<DocId | null>(`${at}/pictures/${encodeURIComponent(id)}/page`),
    picturesByIds: (ids: readonly string[]) =>
      call<Pictures>(`${at}/pictures?${query({ ids: ids.join(',') })}`),
    silentPictures: () => call<readonly string[]>(`${at}/pictures?silent`),
    takePicture: (file: Blob, name: string) =>
      call<TakenPicture>(`${at}/pictures?${query({ name: name.slice(0, 120) })}`, file),
    picturesHolding: (keys: readonly string[]) =>
      call<HoldingPictures>(`${at}/pictures?${query({ holding: keys.join(',') })}`),
    recoloredPicture: (id: string, request: RecolorRequest) =>
      call<RecoloredPicture>(`${at}/pictures/${encodeURIComponent(id)}/recolored`, request),
    cleanedSnippet: (html: string) => call<CleanedSnippet>(`${at}/snippets`, { html }),
    takeFont: (file: Blob) => call<TakenFont>(`${at}/fonts`, file),
    history: (before?: number) => call<HistoryPage>(`${at}/edits?${query({ before })}`),
    checkpoints: () => call<CheckpointEntry[]>(`${at}/checkpoints`),
    takeCheckpoint: (base: number, name: string) => call<null>(`${at}/checkpoints`, { base, name }),
    inventory: (filter: UseFilter = {}) => call<Inventory>(`${at}/inventory?${query(filter)}`),
    unread: () => call<UnreadPlaces>(`${at}/unread`),
    leftovers: () => call<Leftovers>(`${at}/leftovers`),
    dryRun: (sweep: SweepRequest) => call<DryRun>(`${at}/sweep/dry-run`, { sweep }),
    dryExchange: (exchange: ExchangeAsked) => call<DryRun>(`${at}/sweep/dry-run`, { exchange }),
    standing: (of: Exclude<ExchangeOf, 'words'>) =>
      call<readonly StandingText[]>(`${at}/standing/${of}`),
    hits: (plan: string, from: number, count: number, filter: UseFilter = {}) =>
      call<HitWindow>(
        `${at}/sweep/plans/${encodeURIComponent(plan)}?${query({ from, count, ...filter })}`,
      ),
    cells: (plan: string) => call<HitCells>(`${at}/sweep/plans/${encodeURIComponent(plan)}/cells`),
    rhythms: (shown: readonly PageId[], pages?: readonly PageId[]) =>
      call<ProposedRhythms>(`${at}/rhythm`, { shown, ...(pages ? { pages } : {}) }),
    sectionsNamed: (name: string) => call<NamedSections>(`${at}/sections?${query({ name })}`),
    slotUses: (slot: string) => call<SlotUses>(`${at}/slots/${encodeURIComponent(slot)}/uses`),
    brokenLinks: () => call<BrokenLinks>(`${at}/links`),
    check: () => call<SiteCheck>(`${at}/check`),
    partPlaces: () => call<PartPlaces>(`${at}/parts`),
    themeUses: () => call<ThemeUses>(`${at}/themes/uses`),
    shares: () => call<ShareEntry[]>(`${at}/shares`),
    share: (base: number) => call<ShareEntry>(`${at}/shares`, { base }),
    revokeShare: (share: string) => call<null>(`${at}/shares/revoke`, { share }),
    copyPalette: (to: string) => call<{ study: string }>(`${at}/palette/copy`, { to }),
    otherSites: () => call<SiteName[]>(`${at}/palette/copy`),
    brandSheetAddress: `/api/sites/${site}/palette/brand-sheet`,
    recipes: () => call<readonly RecipeEntry[]>(`${at}/recipes`),
    keepRecipe: (name: string, recipe: Recipe) =>
      call<{ id: string }>(`${at}/recipes`, { name, recipe }),
    changeRecipe: (id: string, deed: RecipeDeed) =>
      call<null>(`${at}/recipes/${encodeURIComponent(id)}`, deed),
    liveries: () => call<LiveryEntry[]>(`${at}/liveries`),
    livery: (from: LiverySource, id: string) =>
      call<Livery>(`${at}/liveries/${from}/${encodeURIComponent(id)}`),
    keepLivery: (name: string, livery: Livery) =>
      call<{ id: string }>(`${at}/liveries`, { name, livery }),
    changeLivery: (id: string, deed: LiveryDeed) =>
      call<null>(`${at}/liveries/kept/${encodeURIComponent(id)}`, deed),
    publication: () => call<Publication | null>(`${at}/publication`),
    zipAddress: `/api/sites/${at}/publication/zip`,
    present: (window: string, page?: PageId) => call<null>(`${at}/present`, { window, page }),
    goneAddress: `/api/sites/${at}/present`,
    liveAddress: (since: number) => `/api/sites/${at}/live?${query({ since })}`,
  }
}

export type SiteClient = ReturnType<typeof siteClient>
