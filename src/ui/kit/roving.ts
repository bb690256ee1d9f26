import { useEffect, useRef, type FocusEvent, type KeyboardEvent } from 'react'

const ITEMS = 'button:not(:disabled)'

/** Moves the tab stop of a group to one of its buttons. */
function stopAt(group: HTMLElement, item: HTMLElement): void {
  for (const each of group.querySelectorAll<HTMLElement>(ITEMS)) each.tabIndex = -1
  item.tabIndex = 0
}

const steps: Readonly<Record<string, number | 'first' | 'last'>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
  Home: 'first',
  End: 'last',
}

/**
 * Makes the buttons of a group one stop for the tab key, with arrow keys between
 * them: the one that is pressed, or else the first, until another is focused.
 */
export function useRoving() {
  const group = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (!group.current) return
    const items = [...group.current.querySelectorAll<HTMLElement>(ITEMS)]
    const focused = items.find((each) => each === document.activeElement)
    const item = focused ?? items.find((each) => each.ariaPressed === 'true') ?? items[0]
    if (item) stopAt(group.current, item)
  })
  const onFocus = ({ currentTarget, target }: FocusEvent<HTMLElement>) => {
    if (target.matches(ITEMS)) stopAt(currentTarget, target)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const step = steps[event.key]
    if (step === undefined) return
    const items = [...event.currentTarget.querySelectorAll<HTMLElement>(ITEMS)]
    const at = items.indexOf(document.activeElement as HTMLElement)
    const next = step === 'first' ? 0 : step === 'last' ? items.length - 1 : at + step
    event.preventDefault()
    event.stopPropagation()
    items[Math.min(items.length - 1, Math.max(0, next))]?.focus()
  }
  return { ref: group, onFocus, onKeyDown }
}
