import { canonicalJson, isBound, type ColorDecision } from '../site'
import { colorKey, colorOf, tidyShade } from '../color'
import type { SweepFrom, SweepPair } from './pair'

/** Why a pair cannot be carried out beside the others, or would do nothing. */
export type PairFault = 'same' | 'at-odds'

/** One key for what is looked for, however it is written; how near counts does not part two of them. */
function fromKey(from: SweepFrom): string {
  if ('slot' in from) {
    return `slot ${from.slot} ${from.shade ? canonicalJson(tidyShade(from.shade) ?? {}) : ''}`
  }
  const color = colorOf(from.value)
  return color ? colorKey(color) : from.value
}

/** What a pair would have to go to in order to change nothing. */
function targetKey(to: ColorDecision): string {
  if (isBound(to)) return fromKey({ slot: to.slot, shade: to.shade ?? {} })
  return fromKey({ value: to.value, within: 0 })
}

const isSame = ({ from, to }: SweepPair): boolean => {
  const target = targetKey(to)
  if ('slot' in from && !from.shade) return isBound(to) && to.slot === from.slot && !to.shade
  return fromKey(from) === target && ('slot' in from || (from.within === 0 && !from.family))
}

/**
 * The faults of pairs, one for each that has one: from and to are the same, or the same is
 * looked for twice, which only one of them could have. Pairs that lead in a circle have none:
 * all are decided on the state before.
 */
export function pairFaults(pairs: readonly SweepPair[]): ReadonlyArray<PairFault | undefined> {
  const keys = pairs.map(({ from }) => fromKey(from))
  return pairs.map((pair, i) => {
    if (isSame(pair)) return 'same'
    return keys.indexOf(keys[i]!) === i ? undefined : 'at-odds'
  })
}
