import { useEffect, useMemo, useState } from 'react'
import { exchangeAsked, type ExchangeAsked, type ExchangeOf } from '@/core/exchange'

/** What has been said so far of an exchange. */
export interface ExchangeDraft {
  readonly from: string
  /** Undefined until something was chosen. */
  readonly to: string | undefined
  readonly sameCase: boolean
  readonly wholeWords: boolean
  readonly keepCase: boolean
}

const empty: ExchangeDraft = {
  from: '',
  to: undefined,
  sameCase: false,
  wholeWords: false,
  keepCase: true,
}

/** How long a draft rests before it is looked for, in milliseconds. */
const REST = 250

/** What a draft asks for, once it is whole. */
function askedOf(of: ExchangeOf, draft: ExchangeDraft): ExchangeAsked | undefined {
  const { from, to, sameCase, wholeWords, keepCase } = draft
  if (from === '' || to === undefined || from === to) return undefined
  const ticks = {
    ...(sameCase ? { sameCase } : {}),
    ...(wholeWords ? { wholeWords } : {}),
    ...(keepCase && !sameCase ? { keepCase } : {}),
  }
  const read = exchangeAsked.safeParse({ of, from, to, ...(of === 'words' ? ticks : {}) })
  return read.success ? read.data : undefined
}

/** A value once it has rested. */
function useRested<T>(value: T, rest: number): T {
  const [rested, setRested] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), rest)
    return () => clearTimeout(timer)
  }, [value, rest])
  return rested
}

/** An exchange that is put together: what is typed is looked for once it rests. */
export function useDraft(of: ExchangeOf) {
  const [draft, setDraft] = useState(empty)
  const asked = useMemo(() => askedOf(of, draft), [of, draft])
  const rested = useRested(asked, of === 'words' || of === 'address' ? REST : 0)
  const change = (more: Partial<ExchangeDraft>) => setDraft((now) => ({ ...now, ...more }))
  // Where nothing is asked for any more nothing is waited for either.
  return {
    draft,
    change,
    clear: () => setDraft(empty),
    asked: asked && rested,
    isRested: asked === rested,
  }
}

export type Draft = ReturnType<typeof useDraft>
