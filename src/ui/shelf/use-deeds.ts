'use client'

import { useRouter } from 'next/navigation'
import { toast } from 'sonner'
import type { ShelfDeed, ShelfEntry } from '@/core/payloads'
import { problemWords } from '../words'
import { tellShelf } from './shelf-client'

/** What was chosen for a site; renaming, beginning another from it, and removing it ask something first. */
export interface AskedDeed {
  readonly deed: 'rename' | 'copy' | 'put-away' | 'remove'
  readonly entry: ShelfEntry
}

/** What is told once it is done, and what takes it back. */
const AFTER: {
  readonly [D in Exclude<ShelfDeed['deed'], 'rename'>]: {
    readonly told: (name: string) => string
    readonly back?: readonly [label: string, deed: ShelfDeed]
  }
} = {
  'put-away': {
    told: (name) => `${name} is put away; it stands under “Put away”.`,
    back: ['Put back', { deed: 'put-back' }],
  },
  'put-back': { told: (name) => `${name} is back on the shelf.` },
  remove: {
    told: (name) => `${name} is removed. For thirty days it can be brought back.`,
    back: ['Bring back', { deed: 'bring-back' }],
  },
  'bring-back': { told: (name) => `${name} is back, as it was.` },
}

/** Does things to sites and tells how it went; gives what was wrong in words. */
export function useDeeds() {
  const router = useRouter()
  const carryOut = async (
    { id, name }: Pick<ShelfEntry, 'id' | 'name'>,
    deed: ShelfDeed,
  ): Promise<string | undefined> => {
    const result = await tellShelf(id, deed)
    if (!result.ok) return problemWords(result.problem)
    router.refresh()
    if (deed.deed === 'rename') {
      toast(`${name} is called ${deed.name} now.`)
      return undefined
    }
    const { told, back } = AFTER[deed.deed]
    const action = back && { label: back[0], onClick: () => void orTell({ id, name }, back[1]) }
    toast(told(name), action ? { action, duration: 12_000 } : {})
    return undefined
  }
  const orTell = async (site: Pick<ShelfEntry, 'id' | 'name'>, deed: ShelfDeed) => {
    const wrong = await carryOut(site, deed)
    if (wrong) toast.error(wrong)
  }
  return { carryOut, orTell }
}
