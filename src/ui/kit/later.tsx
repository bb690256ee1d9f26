'use client'

import { lazy, Suspense, type ComponentType, type ReactNode } from 'react'

/** The longest that a window waits for a quiet moment, in milliseconds. */
const LONGEST = 4000

function whenIdle(work: () => void): void {
  if (typeof window === 'undefined') return
  const wait = () =>
    'requestIdleCallback' in window
      ? window.requestIdleCallback(work, { timeout: LONGEST })
      : setTimeout(work, LONGEST)
  if (document.readyState === 'complete') wait()
  else window.addEventListener('load', wait, { once: true })
}

/**
 * A view that does not keep a window from starting: its script is fetched in
 * the first quiet moment, or when it is shown, whichever comes first.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
): (props: P) => ReactNode {
  const View = lazy(async () => ({ default: await load() }))
  // A fetch that fails is tried again when the view is shown, and told then.
  whenIdle(() => void load().catch(() => undefined))
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <View {...props} />
      </Suspense>
    )
  }
}
