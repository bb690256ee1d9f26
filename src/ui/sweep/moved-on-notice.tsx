import type { DryRun } from '@/core/payloads'
import type { Cell } from '@/core/sweep'
import { Button, Notice } from '../kit'
import { differingDocs, type Apply } from './use-apply'

/** Pages that are named; others are counted. */
const FEW = 5

interface MovedOnNoticeProps {
  readonly work: Pick<Apply, 'movedOn' | 'forget'>
  readonly run: DryRun | undefined
  readonly cells: readonly Cell[] | undefined
  readonly titleOf: (doc: string) => string
  readonly onShow: (doc: string) => void
}

/** Why a sweep was not carried out, where it was not, and what of its dry run is other by now. */
export function MovedOnNotice(props: MovedOnNoticeProps) {
  const { work, run, cells, titleOf, onShow } = props
  const { movedOn, forget } = work
  if (!movedOn) return null
  const isNew = run && run.plan !== movedOn.plan && cells
  const docs = isNew ? differingDocs(movedOn.cells, cells) : []
  return (
    <Notice look="caution">
      <span className="grid gap-2">
        <span>{movedOn.words}</span>
        <span className="flex flex-wrap items-center gap-2">
          {docs.length > 0 && 'Show only what is other: '}
          {docs.slice(0, FEW).map((doc) => (
            <Button key={doc} className="h-7" onClick={() => onShow(doc)}>
              {titleOf(doc)}
            </Button>
          ))}
          {docs.length > FEW && `and ${docs.length - FEW} more`}
          <Button className="h-7" onClick={forget}>
            Close
          </Button>
        </span>
      </span>
    </Notice>
  )
}
