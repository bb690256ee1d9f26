import type { Transaction } from 'sequelize'
import { recordKey } from '@/core/site'
import { loadStored } from '../records'
import type { ReachedRecord } from '../uses/questions'
import { becoming } from './becoming'
import { stageExchanged } from './stage-exchanged'
import { stage, surveyStaged, type Staged } from './staging'
import { Cancelled, type Run } from './wide-plan'

/** Records that are in memory at the same time. */
const AT_ONCE = 40
/** Pages that the database exchanges in one statement: none of them is in memory here. */
const EXCHANGED_AT_ONCE = 100
/** Statements that the database works on at the same time, where they do not hang on each other. */
const HANDS = 2

/** Some records with what they are now, and what becomes of those that change. */
async function planRecords<Ready>(
  { siteId, plan }: Run<Ready>,
  ready: Ready,
  batch: readonly ReachedRecord[],
  transaction?: Transaction,
): Promise<Staged[]> {
  if (batch.length === 0) return []
  const there = batch.filter((each): each is ReachedRecord & { hash: string } => !!each.hash)
  const loaded = await loadStored(siteId, there, transaction)
  const stored = new Map(loaded.map((each) => [recordKey(each), each]))
  const looked = batch.map((each) => ({
    ...each,
    read: () => stored.get(recordKey(each))?.read(),
  }))
  const plans = await plan.plan(ready, looked, transaction)
  const changing = looked.flatMap((each, i) => {
    const own = plans[i]
    return own?.changes.length ? [{ ...each, ...own, stored: stored.get(recordKey(each)) }] : []
  })
  return Promise.all(changing.map(becoming))
}

/** Work that is waited for later: until then nobody else hears that it failed. */
function later<T>(work: Promise<T>): Promise<T> {
  work.catch(() => undefined)
  return work
}

/** What came to stand beside the site: how many records, and the number that the next one gets. */
export interface PutAside {
  readonly there: number
  readonly next: number
}

/** Counts what is looked at and what is put aside, and tells how far that is. */
class Tally {
  private looked = 0
  private there = 0

  constructor(
    private readonly watch: Run<unknown>['watch'],
    private readonly total: number,
    private next: number,
  ) {}

  /** The first of so many numbers that nobody else gets. */
  numbers(count: number): number {
    const first = this.next
    this.next += count
    return first
  }

  add(looked: number, there: number): void {
    this.looked += looked
    this.there += there
    this.watch.report((0.9 * this.looked) / this.total, 'planning')
  }

  result(): PutAside {
    return { there: this.there, next: this.next }
  }
}

/** All of some work that goes on side by side; where one fails, all the others have ended as well: nothing goes on behind the back of whoever goes on from here. */
async function together<T>(work: ReadonlyArray<Promise<T>>): Promise<T[]> {
  const ended = await Promise.allSettled(work)
  return ended.map((each) => {
    if (each.status === 'rejected') throw each.reason
    return each.value
  })
}

/** Has the database put pages aside for which one plan for all of them is enough; those that are left. */
async function exchangePages<Ready>(
  { job, siteId, plan, watch }: Run<Ready>,
  ready: Ready,
  pages: readonly ReachedRecord[],
  tally: Tally,
  transaction?: Transaction,
): Promise<readonly ReachedRecord[]> {
  const exchange = pages.length > 1 ? await plan.everywhere?.(ready, transaction) : undefined
  if (!exchange?.rows.length) return pages
  const done = new Set<string>()
  const first = tally.numbers(pages.length)
  // All hands end at about the same time; between two statements they may have to wait for what is thought here.
  const size = Math.min(EXCHANGED_AT_ONCE, Math.ceil(pages.length / HANDS))
  const starts = Array.from({ length: Math.ceil(pages.length / size) }, (_, i) => i * size)
  // Whoever is free takes the next ones.
  const next = starts.values()
  const takeOn = async () => {
    for (const at of next) {
      if (watch.isCancelled()) throw new Cancelled()
      const batch = pages.slice(at, at + size)
      const ids = await stageExchanged(job, siteId, first + at, batch, exchange)
      for (const id of ids) done.add(id)
      tally.add(ids.length, ids.length)
    }
  }
  await together(Array.from({ length: HANDS }, takeOn))
  return pages.filter(({ id }) => !done.has(id))
}

/** Plans records some at a time and puts what they become aside. */
async function planEach<Ready>(
  run: Run<Ready>,
  ready: Ready,
  records: readonly ReachedRecord[],
  tally: Tally,
  transaction?: Transaction,
): Promise<void> {
  const { job, siteId, watch } = run
  const planFrom = (at: number) =>
    later(planRecords(run, ready, records.slice(at, at + AT_ONCE), transaction))
  // While the database writes some, and reads the next, others are planned.
  let writing: Promise<unknown> = Promise.resolve()
  let planning = planFrom(0)
  try {
    for (let at = 0; at < records.length; at += AT_ONCE) {
      if (watch.isCancelled()) throw new Cancelled()
      const changed = await planning
      planning = planFrom(at + AT_ONCE)
      await writing
      writing = later(stage(job, siteId, tally.numbers(changed.length), changed))
      tally.add(Math.min(AT_ONCE, records.length - at), changed.length)
    }
    await writing
  } finally {
    await Promise.allSettled([planning, writing])
  }
}

/**
 * Puts what records become by a plan beside the site, under numbers from `first`: pages that the
 * database can exchange by itself, at the same time all that are no pages, then what is left.
 */
export async function setAside<Ready>(
  run: Run<Ready>,
  ready: Ready,
  reached: readonly ReachedRecord[],
  first: number,
  transaction?: Transaction,
): Promise<PutAside> {
  const tally = new Tally(run.watch, reached.length, first)
  const isPage = ({ kind, hash }: ReachedRecord) => kind === 'page' && hash !== null
  const others = reached.filter((each) => !isPage(each))
  const [left] = await together([
    exchangePages(run, ready, reached.filter(isPage), tally, transaction),
    planEach(run, ready, others, tally, transaction).then(() => []),
  ])
  await planEach(run, ready, left!, tally, transaction)
  if (reached.length > AT_ONCE) await surveyStaged()
  return tally.result()
}
