'use client'

import { useState } from 'react'
import { writeHex, writeRatio } from '@/core/color'
import { writeDecision } from '@/core/edit'
import type { ColorDecision, PageId, SiteDocs } from '@/core/site'
import type { SweepRequest } from '@/core/sweep'
import type { LowContrast } from '@/core/check'
import { readableInstead } from '@/core/wide'
import { useEditorState } from '../editor'
import { Button, Swatch } from '../kit'
import { counted } from '../words'
import { decisionHex } from '../look'

/** Lines that are shown; the rest is counted. */
const FEW = 6

interface HardToReadListProps {
  readonly hard: readonly LowContrast[]
  readonly docs: SiteDocs
  readonly request: SweepRequest
  readonly page: PageId
  /** Puts another colour in the place of what a pair leads to. */
  readonly onInstead: (pair: number, to: ColorDecision) => void
}

/** What would be hard to read after a sweep and is not now, and the nearest shade with which it would not. */
export function HardToReadList({ hard, ...rest }: HardToReadListProps) {
  if (hard.length === 0) return null
  return (
    <section
      aria-label="Hard to read after it"
      className="mt-4 grid gap-1.5 border-t border-edge pt-3"
    >
      <h3 className="font-bold">
        × {counted(hard.length, 'colour')} would have too little contrast
      </h3>
      <ul className="grid gap-1">
        {hard.slice(0, FEW).map(({ key, what, color, ground, ratio }) => (
          <li key={key} className="flex items-center gap-2 text-xs">
            <span
              aria-hidden
              className="grid h-6 w-8 shrink-0 place-items-center rounded border border-black/15 font-bold"
              style={{ background: writeHex(ground), color: writeHex(color) }}
            >
              Aa
            </span>
            <span className="line-clamp-2 min-w-0 flex-1 text-soft">{what}</span>
            <span className="code shrink-0">{writeRatio(ratio)}</span>
          </li>
        ))}
      </ul>
      {hard.length > FEW && <p className="text-xs text-soft">and {hard.length - FEW} more</p>}
      <Instead {...rest} />
    </section>
  )
}

/** The nearest readable shade, looked for when it is asked for. */
function Instead({ docs, request, page, onInstead }: Omit<HardToReadListProps, 'hard'>) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [found, setFound] = useState<{
    readonly request: SweepRequest
    readonly instead?: { readonly pair: number; readonly to: ColorDecision }
  }>()
  const look = () => {
    for (let pair = 0; pair < request.pairs.length; pair += 1) {
      const to = readableInstead(docs, request, pair, page)
      if (to) return setFound({ request, instead: { pair, to } })
    }
    setFound({ request })
  }
  if (found?.request !== request) {
    return <Button onClick={look}>Find the nearest readable shade</Button>
  }
  const { instead } = found
  if (!instead) {
    return (
      <p className="text-xs">No shade of it would be readable everywhere; choose another colour.</p>
    )
  }
  return (
    <Button className="min-w-0" onClick={() => onInstead(instead.pair, instead.to)}>
      <Swatch color={decisionHex(palette, instead.to)} size={16} />
      <span className="truncate">Take {writeDecision(palette, instead.to)} instead</span>
    </Button>
  )
}
