import { useEffect, useState } from 'react'
import type { SlotUses } from '@/core/payloads'
import type { Slot } from '@/core/site'
import { placeIds, placeNames } from '@/core/uses'
import { useEditor } from '../editor'
import { counted } from '../words'

/** `, through 12 uses: 9 in themes, 3 in page content` */
/** All uses of a slot, wherever they are. */
export const countOf = ({ places }: SlotUses): number =>
  Object.values(places).reduce((sum, count) => sum + count, 0)

export function usesTold({ places }: SlotUses): string {
  const named = placeIds.flatMap((place) =>
    places[place] ? [`${places[place]} in ${placeNames[place].toLowerCase()}`] : [],
  )
  const total = countOf({ places })
  return total === 0 ? '' : `, through ${counted(total, 'use')}: ${named.join(', ')}`
}

/** The uses by place are counted on the server, which has every page at hand. */
export function useSlotUses(slot: Slot, wanted: boolean): SlotUses | undefined {
  const { client } = useEditor()
  const [uses, setUses] = useState<SlotUses>()
  useEffect(() => {
    if (!wanted) return undefined
    let asked = true
    void client.slotUses(slot.id).then((result) => {
      if (asked && result.ok) setUses(result.value)
    })
    return () => {
      asked = false
    }
  }, [client, slot.id, wanted])
  return uses
}
