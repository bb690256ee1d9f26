'use client'

import { useSyncExternalStore } from 'react'

const never = () => () => undefined

/** Words that hang on where somebody is and what their machine speaks, a date for example: the server cannot say them. */
export function OnlyHere({ children }: { readonly children: () => string }) {
  const isHere = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  return isHere ? children() : ''
}
