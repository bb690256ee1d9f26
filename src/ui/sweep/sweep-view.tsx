'use client'

import { useMemo, useState } from 'react'
import type { PlannedPictures } from '@/core/render'
import type { PageId } from '@/core/site'
import type { Cell } from '@/core/sweep'
import type { Expected } from '@/core/wide'
import { useDryRun, useEditorState, useInventory } from '../editor'
import { Notice, Segments } from '../kit'
import { HoldingList, type Going } from '../recolor'
import { Breakdown } from './breakdown'
import { goingIn, soughtKeys } from './draft'
import { HardToReadList } from './hard-to-read'
import { HitList } from './hit-list'
import { filterOf, wholeInventory } from './inventory-filters'
import { InventoryList } from './inventory-list'
import { MovedOnNotice } from './moved-on-notice'
import { useOpenUse } from './open-use'
import { PagePreview } from './page-preview'
import { PairsPane } from './pairs-pane'
import { SweepSummary } from './sweep-summary'
import { UnreadList } from './unread-list'
import { SweepTabs } from './sweep-tabs'
import { allTicked, tickedIn, ticksOf } from './ticks'
import { useApply } from './use-apply'
import { useCells } from './use-cells'
import { useNarrowed } from './use-narrowed'
import { useDocsWith, useOutlook } from './use-outlook'
import { usePairs, type Pairs } from './use-pairs'

/** Pages that can be chosen to be looked at. */
const MOST_PAGES = 300

/** The pages that a sweep touches, with the one that is open first. */
function pagesOf(
  cells: readonly Cell[] | undefined,
  titleOf: (doc: string) => string,
  open: readonly [PageId, string],
): Array<readonly [PageId, string]> {
  const docs = new Set(cells?.filter(({ place }) => place !== 'pictures').map(({ doc }) => doc))
  docs.delete('frame')
  docs.delete(open[0])
  return [
    open,
    ...[...docs].slice(0, MOST_PAGES).map((doc) => [doc as PageId, titleOf(doc)] as const),
  ]
}

const SHOWS = [
  ['uses', 'Every use'],
  ['page', 'On the page'],
] as const

/** Site-wide replacement: inventory, pairs, dry run, apply. */
export function SweepView() {
  const pairs = usePairs()
  return (
    <div className="flex h-full flex-col">
      <SweepTabs />
      <div className="grid min-h-0 flex-1 grid-cols-[300px_minmax(0,1fr)_280px]">
        <InventoryPane pairs={pairs} />
        <DryRunPanes pairs={pairs} />
      </div>
    </div>
  )
}

function InventoryPane({ pairs }: { readonly pairs: Pairs }) {
  const pageId = useEditorState((state) => state.pageId)
  const [view, setView] = useState(wholeInventory)
  const { value, failure } = useInventory(true, filterOf(view, pageId))
  return (
    <aside aria-label="Inventory" className="min-h-0 border-r border-edge">
      {failure && <Notice className="m-3">{failure}</Notice>}
      {value ? (
        <InventoryList
          inventory={value}
          view={view}
          onView={setView}
          chosen={soughtKeys(pairs.pairs)}
          onChoose={pairs.choose}
          onChooseAll={pairs.chooseAll}
        />
      ) : (
        <p className="p-4 text-soft">{failure ? '' : 'Looking through every page …'}</p>
      )}
    </aside>
  )
}

/** The dry run of some pairs with what is ticked of it, how a page would look, and the way to carry it out. */
function useSweep(pairs: Pairs) {
  const pageId = useEditorState((state) => state.pageId)
  const [ticks, setTicks] = useState(allTicked)
  const [looked, setLooked] = useState<PageId>()
  const { value: run, failure } = useDryRun(pairs.request)
  const { cells, titleOf, failure: cellsFailure } = useCells(run)
  const [filter, setFilter] = useNarrowed(run?.plan)
  const page = looked ?? pageId
  const before = useDocsWith(page)
  const request = useMemo(
    () => pairs.request && { ...pairs.request, ticks: ticksOf(ticks) },
    [pairs.request, ticks],
  )
  const outlook = useOutlook(before.docs, request, page)
  const work = useApply(() => {
    pairs.clear()
    setTicks(allTicked)
  })
  const palette = useEditorState((state) => state.docs.frame.palette)
  const drafted = pairs.pairs.length > 0
  const [gone, setGone] = useState<readonly Going[]>([])
  // Photographs that did not follow are told of after the sweep as well, until other pairs are begun.
  const going = drafted ? goingIn(palette, pairs.pairs) : gone
  const carryOut = async () => {
    if (!request || !run || !cells) return
    const count = tickedIn(ticks, cells).count
    const intent = (expects: Expected) => ({ type: 'sweep', request, expects }) as const
    if (await work.apply(intent, { run, cells, count, thing: 'use' })) setGone(going)
  }
  const hasHits = run !== undefined && run.count > 0 && cells !== undefined
  const dry = { run, cells, titleOf, failure, cellsFailure, hasHits }
  const looking = { page, setLooked, before, outlook }
  return { ...dry, ...looking, request, going, ticks, setTicks, filter, setFilter, work, carryOut }
}

interface PaneProps {
  readonly pairs: Pairs
  readonly sweep: ReturnType<typeof useSweep>
}

/** The pairs with what they would do, use by use or on a page; and its sum, with the one button that does it. */
function DryRunPanes({ pairs }: { readonly pairs: Pairs }) {
  const sweep = useSweep(pairs)
  return (
    <>
      <HitsPane pairs={pairs} sweep={sweep} />
      <SumPane pairs={pairs} sweep={sweep} />
    </>
  )
}

function HitsPane({ pairs, sweep }: PaneProps) {
  const [shows, setShows] = useState<'uses' | 'page'>('uses')
  const { run, cells, titleOf, failure, cellsFailure, hasHits, going, setFilter, work } = sweep
  return (
    <section aria-label="Pairs and dry run" className="flex min-h-0 flex-col gap-3 p-4">
      {failure && <Notice>{failure}</Notice>}
      <PairsPane pairs={pairs} />
      <MovedOnNotice
        work={work}
        run={run}
        cells={cells}
        titleOf={titleOf}
        onShow={(doc) => setFilter({ doc })}
      />
      {run?.count === 0 && (
        <p className="p-6 text-center text-soft">Nothing on the site matches these pairs.</p>
      )}
      {cellsFailure && <Notice>{cellsFailure}</Notice>}
      {hasHits && (
        <div className="flex">
          <Segments label="What is shown" value={shows} options={SHOWS} onChange={setShows} />
        </div>
      )}
      {hasHits && (shows === 'uses' ? <Uses sweep={sweep} /> : <OnPage sweep={sweep} />)}
      {(shows === 'uses' || !hasHits) && <HoldingList going={going} />}
    </section>
  )
}

function Uses({ sweep }: Pick<PaneProps, 'sweep'>) {
  const openUse = useOpenUse()
  const { run, cells, titleOf, ticks, setTicks, filter, setFilter } = sweep
  if (!run || !cells) return null
  return (
    <HitList
      run={run}
      cells={cells}
      filter={filter}
      titleOf={titleOf}
      ticks={ticks}
      onTick={setTicks}
      onFilter={setFilter}
      onOpen={openUse}
    />
  )
}

/** The vector pictures that a dry run changes. */
function plannedIn(plan: string, cells: readonly Cell[]): PlannedPictures {
  const pictures = cells.filter(({ place }) => place === 'pictures')
  return { plan, ids: new Set(pictures.map(({ doc }) => doc)) }
}

function OnPage({
  sweep: { run, cells, titleOf, page, setLooked, before, outlook },
}: Pick<PaneProps, 'sweep'>) {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const planned = useMemo(() => run && cells && plannedIn(run.plan, cells), [run, cells])
  return (
    <PagePreview
      page={page}
      pages={pagesOf(cells, titleOf, [pageId, docs.pages[pageId]?.title ?? ''])}
      before={before.docs}
      after={outlook.after}
      planned={planned}
      failure={before.failure}
      onPage={setLooked}
    />
  )
}

function SumPane({ pairs, sweep }: PaneProps) {
  const { run, cells, titleOf, hasHits, page, outlook, request, ticks, filter, setFilter } = sweep
  const { work, carryOut } = sweep
  return (
    <aside aria-label="Dry run" className="min-h-0 overflow-y-auto border-l border-edge p-4">
      <SweepSummary
        run={run}
        cells={cells}
        ticks={ticks}
        isFresh={run?.request === pairs.request}
        busy={work.busy}
        job={work.job}
        onApply={() => void carryOut()}
        onCancel={() => void work.cancel()}
      />
      {outlook.before && request && hasHits && (
        <HardToReadList
          hard={outlook.hard}
          docs={outlook.before}
          request={request}
          page={page}
          onInstead={pairs.turn}
        />
      )}
      <UnreadList wanted={run !== undefined} />
      {hasHits && cells && (
        <div className="mt-4 border-t border-edge pt-3">
          <Breakdown cells={cells} filter={filter} titleOf={titleOf} onFilter={setFilter} />
        </div>
      )}
    </aside>
  )
}
