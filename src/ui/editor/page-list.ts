import type { PageBandsEntry } from '@/core/payloads'
import type { SiteClient } from './client'

/** Pages that are asked for at once. */
const WINDOW = 60

/** The pages of a site in their order, of which only those are known that came into view. */
export interface PageListState {
  readonly total: number
  readonly known: ReadonlyMap<number, PageBandsEntry>
}

export interface PageList {
  readonly getState: () => PageListState
  readonly subscribe: (listener: () => void) => () => void
  /** Asks for the pages from one place to another, as far as they are not known. */
  readonly need: (from: number, to: number) => void
  /** The pages changed: those that are needed next are asked for anew, those that are known stay until then. */
  readonly renew: (total: number) => void
}

export function createPageList(client: SiteClient, total: number): PageList {
  let state: PageListState = { total, known: new Map() }
  const listeners = new Set<() => void>()
  /** Windows that are known or under way; emptied when the pages changed. */
  let asked = new Set<number>()
  let shown: readonly [number, number] = [0, WINDOW]

  function set(next: PageListState): void {
    state = next
    for (const listener of listeners) listener()
  }

  async function ask(at: number): Promise<void> {
    const round = asked
    round.add(at)
    const result = await client.pages(at * WINDOW, WINDOW)
    if (asked !== round) return
    if (!result.ok) {
      // It is asked for again when it comes into view the next time.
      round.delete(at)
      return
    }
    const known = new Map(state.known)
    for (let i = 0; i < WINDOW; i += 1) known.delete(at * WINDOW + i)
    result.value.pages.forEach((page, i) => known.set(at * WINDOW + i, page))
    set({ total: result.value.total, known })
  }

  function need(from: number, to: number): void {
    shown = [from, to]
    for (
      let at = Math.floor(from / WINDOW);
      at * WINDOW < to && at * WINDOW < state.total;
      at += 1
    ) {
      if (!asked.has(at)) void ask(at)
    }
  }

  return {
    getState: () => state,
    subscribe(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    need,
    renew(now) {
      asked = new Set()
      if (now !== state.total) set({ ...state, total: now })
      // Only where somebody looks at the list.
      if (listeners.size) need(...shown)
    },
  }
}
