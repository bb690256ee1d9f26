'use client'

import { useEffect, useState } from 'react'
import type {
  BrokenLinks,
  DryRun,
  HoldingPictures,
  Inventory,
  Leftovers,
  UnreadPlaces,
  PartPlaces,
  Result,
  SiteCheck,
  StandingText,
} from '@/core/payloads'
import { done } from '@/core/payloads'
import type { ExchangeAsked, ExchangeOf } from '@/core/exchange'
import type { SweepRequest, UseFilter } from '@/core/sweep'
import { problemWords } from '../words'
import { useEditor, useEditorState } from './context'

interface Asked<T> {
  readonly value?: T
  readonly failure?: string
}

/** How long a site rests before it is asked what can wait, in milliseconds. */
const QUIET = 1500

/**
 * Does one piece of work after the other: of what comes while one is under way only the last is
 * done. So nobody waits for answers to questions that were since asked otherwise.
 */
function oneAtATime() {
  let busy = false
  let next: (() => Promise<void>) | undefined
  const begin = async (work: () => Promise<void>): Promise<void> => {
    if (busy) return void (next = work)
    busy = true
    try {
      await work()
    } finally {
      busy = false
      const waiting = next
      next = undefined
      if (waiting) void begin(waiting)
    }
  }
  return begin
}

/** Keeps the answer to a question that is asked anew whenever the stored site changes, some time after the last change. */
function useAnswer<T>(
  ask: (() => Promise<Result<T>>) | undefined,
  deps: readonly unknown[],
  quiet = 0,
) {
  const generation = useEditorState((state) => state.generation)
  const [asked, setAsked] = useState<Asked<T>>({})
  const [inTurn] = useState(oneAtATime)
  useEffect(() => {
    if (!ask) return undefined
    let current = true
    const begin = () =>
      void inTurn(async () => {
        const result = current ? await ask() : undefined
        if (!current || !result) return
        if (result.ok) setAsked({ value: result.value })
        else setAsked((before) => ({ ...before, failure: problemWords(result.problem) }))
      })
    const timer = quiet ? setTimeout(begin, quiet) : undefined
    if (!quiet) begin()
    return () => {
      current = false
      clearTimeout(timer)
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what the question is about is named
  }, [generation, ...deps])
  return asked
}

/** All colours in use, of all uses or of those that fit a filter; asked where they are wanted. */
export function useInventory(wanted = true, filter: UseFilter = everything): Asked<Inventory> {
  const { client } = useEditor()
  const asked = JSON.stringify(filter)
  return useAnswer(wanted ? () => client.inventory(JSON.parse(asked) as UseFilter) : undefined, [
    client,
    wanted,
    asked,
  ])
}

const everything: UseFilter = {}

/** How many loose uses were left behind as slots changed; asked once the site rests. */
export function useLeftovers(): Asked<Leftovers> {
  const { client } = useEditor()
  return useAnswer(client.leftovers, [client], QUIET)
}

/** What a sweep of colours cannot read exactly, and leaves alone; asked where there is a dry run, once the site rests. */
export function useUnread(wanted: boolean): Asked<UnreadPlaces> {
  const { client } = useEditor()
  return useAnswer(wanted ? client.unread : undefined, [client, wanted], QUIET)
}

/** A dry run with what it was asked for: until the next one comes it may be of a request before. */
export interface AskedDryRun extends DryRun {
  readonly request: SweepRequest
}

/** What a sweep would do, asked by itself as soon as there is one. */
export function useDryRun(request: SweepRequest | undefined): Asked<AskedDryRun> {
  const { client } = useEditor()
  const ask = async (asked: SweepRequest): Promise<Result<AskedDryRun>> => {
    const result = await client.dryRun(asked)
    return result.ok ? done({ ...result.value, request: asked }) : result
  }
  const asked = useAnswer(request && (() => ask(request)), [client, request])
  return request ? asked : {}
}

/** A dry run of something else than colours, with what it was asked for. */
export interface AskedExchange extends DryRun {
  readonly asked: ExchangeAsked
}

export function useDryExchange(asked: ExchangeAsked | undefined): Asked<AskedExchange> {
  const { client } = useEditor()
  const ask = async (wanted: ExchangeAsked): Promise<Result<AskedExchange>> => {
    const result = await client.dryExchange(wanted)
    return result.ok ? done({ ...result.value, asked: wanted }) : result
  }
  const answer = useAnswer(asked && (() => ask(asked)), [client, asked])
  return asked ? answer : {}
}

/** What of a sort stands on the site and can be exchanged. */
export function useStanding(of: Exclude<ExchangeOf, 'words'>): Asked<readonly StandingText[]> {
  const { client } = useEditor()
  return useAnswer(() => client.standing(of), [client, of])
}

/** The pictures of pixels that show some colours, by their keys; asked again until all were looked at. */
export function usePicturesHolding(keys: readonly string[]): Asked<HoldingPictures> {
  const { client } = useEditor()
  const [round, setRound] = useState(0)
  const wanted = keys.join(',')
  const asked = useAnswer(wanted ? () => client.picturesHolding(wanted.split(',')) : undefined, [
    client,
    wanted,
    round,
  ])
  const waiting = asked.value?.waiting ?? 0
  useEffect(() => {
    if (waiting === 0) return undefined
    const again = setTimeout(() => setRound((now) => now + 1), 50)
    return () => clearTimeout(again)
  }, [asked.value, waiting])
  return wanted ? asked : {}
}

/** On how many pages each part of the site stands; asked where it is wanted. */
export function usePartPlaces(wanted = true): Asked<PartPlaces> {
  const { client } = useEditor()
  return useAnswer(wanted ? client.partPlaces : undefined, [client, wanted])
}

/** What is found on all pages as they are drawn: contrast, names of links, forms, alt texts. */
export function useSiteCheck(): Asked<SiteCheck> {
  const { client } = useEditor()
  return useAnswer(client.check, [client])
}

/** Links that lead nowhere, over all pages. */
export function useBrokenLinks(): Asked<BrokenLinks> {
  const { client } = useEditor()
  return useAnswer(client.brokenLinks, [client])
}

/** Pictures that are shown and say nothing in words, by file name. */
export function useSilentPictures(): Asked<readonly string[]> {
  const { client } = useEditor()
  return useAnswer(client.silentPictures, [client])
}
