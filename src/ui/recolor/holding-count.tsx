'use client'

import { opaqueKey, type Color } from '@/core/color'
import { mostHeldColors } from '@/core/payloads'
import { canRecolor } from '@/core/picture'
import { usePicturesHolding } from '../editor'
import { Notice } from '../kit'
import { counted } from '../words'

/** How many pictures of pixels show some colours; they are listed once it is said what these become. */
export function HoldingCount({ colors }: { readonly colors: readonly Color[] }) {
  const keys = [...new Set(colors.filter(canRecolor).map(opaqueKey))].slice(0, mostHeldColors)
  const { value, failure } = usePicturesHolding(keys)
  if (failure) return <Notice>{failure}</Notice>
  const count = (value?.pictures.length ?? 0) + (value?.more ?? 0)
  if (count === 0) return null
  return (
    <p>
      {counted(count, 'picture')} of pixels {count === 1 ? 'shows' : 'show'} such a colour too:
      begun as pairs, {count === 1 ? 'it is' : 'they are'} listed to be recoloured.
    </p>
  )
}
