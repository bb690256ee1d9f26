'use client'

import { useSilentPictures } from '../editor'
import { counted } from '../words'

/** Pictures that are named where they are told. */
const NAMED = 5

/** Pictures without words for who does not see them; they keep nobody from publishing. */
export function Silent() {
  const { value: silent, failure } = useSilentPictures()
  if (failure) return <p role="alert">× {failure}</p>
  if (!silent) return <p>Checking alt texts …</p>
  if (silent.length === 0) return <p>✓ Every picture has alt text.</p>
  const rest = silent.length - NAMED
  return (
    <p className="rounded-md border border-dashed border-ink px-2.5 py-1.5">
      <b>! {counted(silent.length, 'picture')} without alt text:</b>{' '}
      {silent.slice(0, NAMED).join(', ')}
      {rest > 0 && `, and ${rest} more`}. Click one on the page to add it.
    </p>
  )
}
