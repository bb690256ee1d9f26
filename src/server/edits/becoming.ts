import { applyChanges, ChangeUnfit, type Change } from '@/core/changes'
import type { EditProblem } from '@/core/edit'
import { colorDecision, type RecordRef, type SiteRecord } from '@/core/site'
import { exchangedText, textExchanges, type TextExchange } from '@/core/uses'
import { faultOf, fileFaultOf, readyWrite, rewritten, type StoredRecord } from '../records'
import { everywhereChange, indexChangeOf } from '../uses/index-change'
import { pageIndexHash } from '../uses/rows'
import type { Staged } from './staging'

/** A record of many cannot become what was planned: nothing of it is carried out. */
export class Refused extends Error {
  constructor(readonly problem: EditProblem) {
    super(problem)
  }
}

/** A record that changes are planned for, and as what it is stored; where only a checkpoint has it, as nothing. */
interface Changing extends RecordRef {
  readonly hash: string | null
  readonly stored: StoredRecord | undefined
  readonly changes: readonly Change[]
  readonly counted: number
}

/** Whether what is put in the place of a decision is one. */
export const isWhole = ({ to }: Pick<TextExchange, 'to'>): boolean =>
  colorDecision.safeParse(to).success

/**
 * What a page becomes where nothing but decisions is exchanged in it, and all that stand there
 * of each: its text tells, so that it need not be read. Undefined where it must be.
 */
function byText({ kind, id, hash: base, stored, changes, counted }: Changing): Staged | undefined {
  const exchanges = kind === 'page' && stored ? textExchanges(changes) : undefined
  if (!stored || !exchanges?.every(isWhole)) return undefined
  const content = rewritten(kind, stored.content, (text) => exchangedText(text, exchanges))
  if (!content) return undefined
  const { listed } = stored
  const write = { kind, id, content, listed, indexHash: pageIndexHash(content.hash) }
  const index = everywhereChange(exchanges)
  return { kind, id, base, changes, counted, becomes: { write, index } }
}

/** What a record becomes by its changes, checked; throws where it could not be stored. */
async function byReading({ stored, changes, ...changing }: Changing): Promise<Staged> {
  const { kind, id, hash: base, counted } = changing
  const before = stored?.read()
  let after: SiteRecord | undefined
  try {
    after = applyChanges(before, changes)
  } catch (error) {
    if (error instanceof ChangeUnfit) throw new Refused('text-changed')
    throw error
  }
  const fault = after && (faultOf(kind, after, before) ?? (await fileFaultOf(after, before)))
  if (fault) throw new Refused(fault)
  const ref: RecordRef = { kind, id }
  if (!after) return { ...ref, base, changes, counted }
  const write = readyWrite(ref, after)
  const index = await indexChangeOf(ref, before, write.record, changes)
  return { ...ref, base, changes, counted, becomes: { write, index } }
}

/** What a record becomes by the changes that are planned for it, with what the readers will say of it. */
export const becoming = async (changing: Changing): Promise<Staged> =>
  byText(changing) ?? byReading(changing)
