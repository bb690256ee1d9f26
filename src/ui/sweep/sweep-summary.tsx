import type { DryRun } from '@/core/payloads'
import { Button } from '../kit'
import { counted } from '../words'

interface SweepSummaryProps {
  readonly run?: DryRun
  readonly without: ReadonlySet<string>
  readonly busy: boolean
  readonly onApply: () => void
}

/** What a sweep would do, in numbers, and the one button that does it. */
export function SweepSummary({ run, without, busy, onApply }: SweepSummaryProps) {
  if (!run) {
    return (
      <>
        <h2 className="text-[15px] font-bold">Dry run</h2>
        <p className="mt-2 text-soft">It runs by itself once a pair is complete.</p>
      </>
    )
  }
  const taken = run.hits.filter(({ key }) => !without.has(key)).length
  const rows: ReadonlyArray<readonly [string, string]> = [
    ['Uses that change', `${taken} of ${run.hits.length}`],
    ['Pages they are on', String(run.pages)],
    ['Become bound', String(run.becomeBound)],
    ['Loose after it', `${run.looseBefore} → ${run.looseAfter}`],
  ]
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
      <Button look="strong" className="h-9 w-full" disabled={taken === 0 || busy} onClick={onApply}>
        {busy ? 'Sweeping …' : `Sweep ${counted(taken, 'use')}`}
      </Button>
      <p className="text-soft">A checkpoint is taken first. Undo brings every byte back.</p>
    </div>
  )
}
