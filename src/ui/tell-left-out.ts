import { toast } from 'sonner'
import type { LeftOut } from '@/core/payloads'
import { listed } from './words'

const wordsOf = ({ of, what }: LeftOut) =>
  `Left out of ${of}: ${what.length ? listed(what, 6) : 'what they may not hold'}.`

/** Most things that are told one by one. */
const MOST = 4

/** What of something that was taken is not kept, and why; nothing where all of it is. */
export function leftOutWords(leftOut: readonly LeftOut[]): string | undefined {
  if (leftOut.length === 0) return undefined
  const others = leftOut.length - MOST
  const each = leftOut.slice(0, MOST).map(wordsOf)
  if (others > 0) each.push(`And out of ${others} more.`)
  return `${each.join(' ')} Nothing on a site runs by itself, moves or fetches: see whether it looks as you mean it.`
}

export function tellLeftOut(leftOut: readonly LeftOut[]): void {
  const words = leftOutWords(leftOut)
  if (words) toast(words, { duration: 15_000 })
}
