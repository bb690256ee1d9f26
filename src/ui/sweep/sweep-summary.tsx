import type { DryRun, JobState } from '@/core/payloads'
import type { Cell } from '@/core/sweep'
import { Button } from '../kit'
import { counted } from '../words'
import { totalsOf, type TickState } from './ticks'

interface SweepSummaryProps {
  readonly run: DryRun | undefined
  /** Its hits, counted; undefined while they are on their way. */
  readonly cells: readonly Cell[] | undefined
  readonly ticks: TickState
  /** Whether the run is of what is asked for now; else the next one is on its way. */
  readonly isFresh: boolean
  readonly busy: boolean
  /** The sweep that is under way, where it takes a while. */
  readonly job?: JobState
  readonly onApply: () => void
  readonly onCancel: () => void
}

const number = (count: number) => count.toLocaleString('en-GB')

/** What a sweep of colours would do, in numbers, and the one button that does it. */
export function SweepSummary({ run, cells, ticks, ...props }: SweepSummaryProps) {
  const loose = run?.looseBefore ?? 0
  const { count, bind, looseAfter } = totalsOf(loose, cells ?? [], ticks)
  return (
    <DryRunSum
      {...props}
      thing="use"
      count={run && count}
      waits="It runs by itself once a pair is complete."
      rows={[
        ['Uses that change', `${number(count)} of ${number(run?.count ?? 0)}`],
        ['Pages they are on', number(run?.pages ?? 0)],
        ['Become bound', number(bind)],
        ['Loose after it', `${number(loose)} → ${number(looseAfter)}`],
      ]}
    />
  )
}

interface DryRunSumProps extends Pick<
  SweepSummaryProps,
  'isFresh' | 'busy' | 'job' | 'onApply' | 'onCancel'
> {
  /** What its hits are called, one of them. */
  readonly thing: string
  /** How many of them are ticked; undefined where there is no dry run. */
  readonly count: number | undefined
  readonly rows: ReadonlyArray<readonly [words: string, figure: string]>
  /** Told where there is none. */
  readonly waits: string
}

/** What a dry run comes to, and the one button that carries it out. */
export function DryRunSum(props: DryRunSumProps) {
  const { thing, count, rows, waits, isFresh, busy, job, onApply, onCancel } = props
  if (count === undefined) {
    return (
      <>
        <h2 className="text-[15px] font-bold">Dry run</h2>
        <p className="mt-2 text-soft">{waits}</p>
      </>
    )
  }
  return (
    <div className="grid gap-4">
      <h2 className="text-[15px] font-bold">Dry run: nothing written yet</h2>
      <dl className="grid grid-cols-[1fr_auto] gap-y-1.5">
        {rows.map(([term, value]) => (
          <div key={term} className="contents">
            <dt>{term}</dt>
            <dd className="code text-right">{value}</dd>
          </div>
        ))}
      </dl>
      <Button
        look="strong"
        className="h-9 w-full"
        disabled={count === 0 || busy || !isFresh}
        onClick={onApply}
      >
        {busy ? 'Sweeping …' : `Sweep ${counted(count, thing)}`}
      </Button>
      {busy && job && <Progress job={job} onCancel={onCancel} />}
      <p className="text-soft">A checkpoint is taken first. Undo brings every byte back.</p>
    </div>
  )
}

interface ProgressProps {
  readonly job: JobState
  readonly onCancel: () => void
}

function Progress({ job, onCancel }: ProgressProps) {
  return (
    <div className="grid gap-2">
      <progress
        className="h-2 w-full appearance-none overflow-hidden rounded-full bg-well [&::-moz-progress-bar]:bg-strong [&::-webkit-progress-bar]:bg-well [&::-webkit-progress-value]:bg-strong"
        value={job.progress}
        max={1}
      >
        {Math.round(job.progress * 100)} %
      </progress>
      <div className="flex items-center justify-between">
        <span className="text-soft">{job.doing || 'waiting for its turn'}</span>
        <Button onClick={onCancel}>Break off</Button>
      </div>
    </div>
  )
}
