'use client'

import { useMemo, useState } from 'react'
import type { ExchangeOf } from '@/core/exchange'
import type { UnfitHits } from '@/core/payloads'
import { useDryExchange, useEditor } from '../editor'
import { Fold, Folds, Notice } from '../kit'
import { askSurvey, SurveyReport } from '../survey'
import {
  allTicked,
  Breakdown,
  DryRunSum,
  HitList,
  MovedOnNotice,
  SweepTabs,
  tickedIn,
  ticksOf,
  useApply,
  useCells,
  useNarrowed,
  useOpenUse,
} from '../sweep'
import { counted } from '../words'
import { AskedForm } from './asked-form'
import { StandingList } from './standing-list'
import { useDraft, type Draft } from './use-draft'

interface ExchangeViewProps {
  readonly of: ExchangeOf
}

/** Words, typefaces, pictures, links or addresses, exchanged on the whole site as colours are: dry run first, in one step, undone exactly. */
export function ExchangeView({ of }: ExchangeViewProps) {
  const draft = useDraft(of)
  return (
    <div className="flex h-full flex-col">
      <SweepTabs />
      <div
        className={`grid min-h-0 flex-1 ${of === 'words' ? 'grid-cols-[minmax(0,1fr)_280px]' : 'grid-cols-[300px_minmax(0,1fr)_280px]'}`}
      >
        {of !== 'words' && (
          <aside aria-label="In use" className="min-h-0 border-r border-edge">
            <StandingList
              of={of}
              chosen={draft.draft.from}
              onChoose={(from) => draft.change({ from })}
            />
          </aside>
        )}
        <ExchangePanes of={of} draft={draft} />
      </div>
    </div>
  )
}

/** Has all pages looked at for words that no longer fit, where typefaces were exchanged. */
function useSurveyAfter(of: ExchangeOf) {
  const { store } = useEditor()
  return () => {
    const { siteId, docs } = store.getState()
    return () => {
      if (of === 'font') askSurvey(siteId, docs.frame)
    }
  }
}

/** The dry run of an exchange with what is ticked of it, and the way to carry it out. */
function useExchange(of: ExchangeOf, draft: Draft) {
  const surveyAfter = useSurveyAfter(of)
  const [ticks, setTicks] = useState(allTicked)
  const { value: run, failure } = useDryExchange(draft.asked)
  const { cells, titleOf, failure: cellsFailure } = useCells(run)
  const [filter, setFilter] = useNarrowed(run?.plan)
  const work = useApply(() => {
    draft.clear()
    setTicks(allTicked)
  })
  const count = useMemo(() => (cells ? tickedIn(ticks, cells).count : 0), [ticks, cells])
  const carryOut = async () => {
    if (!run || !cells) return
    const survey = surveyAfter()
    const request = { asked: run.asked, ticks: ticksOf(ticks) }
    const isDone = await work.apply((expects) => ({ type: 'exchange', request, expects }), {
      run,
      cells,
      count,
      thing: 'place',
    })
    if (isDone) survey()
  }
  return {
    run,
    cells,
    titleOf,
    failures: [failure, cellsFailure].filter((each) => each !== undefined),
    filter,
    setFilter,
    ticks,
    setTicks,
    count,
    isFresh: run?.asked === draft.asked && draft.isRested,
    work,
    carryOut,
  }
}

interface PaneProps extends ExchangeViewProps {
  readonly draft: Draft
  readonly exchange: ReturnType<typeof useExchange>
}

function ExchangePanes({ of, draft }: ExchangeViewProps & { readonly draft: Draft }) {
  const exchange = useExchange(of, draft)
  return (
    <>
      <HitsPane of={of} draft={draft} exchange={exchange} />
      <SumPane exchange={exchange} />
    </>
  )
}

/** What is asked for, and every place that it finds. */
function HitsPane({ of, draft, exchange }: PaneProps) {
  const openUse = useOpenUse()
  const { run, cells, titleOf, failures, filter, setFilter, ticks, setTicks, work } = exchange
  return (
    <section aria-label="Dry run" className="flex min-h-0 flex-col gap-3 p-4">
      {failures.map((failure) => (
        <Notice key={failure}>{failure}</Notice>
      ))}
      <AskedForm of={of} draft={draft} />
      <MovedOnNotice
        work={work}
        run={run}
        cells={cells}
        titleOf={titleOf}
        onShow={(doc) => setFilter({ doc })}
      />
      {run?.unfit && <Unfit unfit={run.unfit} />}
      {run?.count === 0 && (
        <p className="p-6 text-center text-soft">
          {run.unfit ? 'Nothing else matches.' : 'Nothing on the site matches.'}
        </p>
      )}
      {run && cells && run.count > 0 && (
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
      )}
      {of === 'font' && <SurveyReport />}
    </section>
  )
}

/** What it comes to, and the button that does it. */
function SumPane({ exchange }: Pick<PaneProps, 'exchange'>) {
  const { run, cells, titleOf, filter, setFilter, count, isFresh, work, carryOut } = exchange
  const figure = (number = 0) => number.toLocaleString('en-GB')
  return (
    <aside
      aria-label="What it comes to"
      className="min-h-0 overflow-y-auto border-l border-edge p-4"
    >
      <DryRunSum
        thing="place"
        count={run && count}
        waits="It runs by itself once both sides are there."
        rows={[
          ['Places that change', `${figure(count)} of ${figure(run?.count)}`],
          ['Pages they are on', figure(run?.pages)],
        ]}
        isFresh={isFresh}
        busy={work.busy}
        job={work.job}
        onApply={() => void carryOut()}
        onCancel={() => void work.cancel()}
      />
      {run && cells && run.count > 0 && (
        <div className="mt-4 border-t border-edge pt-3">
          <Breakdown cells={cells} filter={filter} titleOf={titleOf} onFilter={setFilter} />
        </div>
      )}
    </aside>
  )
}

const WHY = {
  'no-room': 'would become longer than it may be, or no name any more',
  'no-snippet': 'a snippet cannot lead to a page of the site by itself',
} as const

/** What is found and stays as it is, and why. */
function Unfit({ unfit: { count, first } }: { readonly unfit: UnfitHits }) {
  const title = `${counted(count, 'place')} ${count === 1 ? 'is left as it is' : 'are left as they are'}`
  return (
    <Notice look="caution">
      <Folds>
        <Fold bare value="unfit" title={title}>
          <ul className="grid gap-0.5">
            {first.map(({ doc, label, before, why }, i) => (
              <li key={`${doc}-${i}`}>
                {label}, “{before}”: {WHY[why]}
              </li>
            ))}
            {count > first.length && (
              <li>and {(count - first.length).toLocaleString('en-GB')} more</li>
            )}
          </ul>
        </Fold>
      </Folds>
    </Notice>
  )
}
