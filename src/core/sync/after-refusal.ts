import type { Problem } from '../payloads'

/**
 * What becomes of edits that the server did not take. `reload`: they are made
 * again on the newest state. `set-aside`: they are taken back and told, and the
 * rest goes on. `split`: sent in smaller parts, until the one at fault is alone,
 * which is set aside. `doubt`: tried again, then split. `wait`: nothing is wrong
 * with them; they are kept and sent again.
 */
export type AfterRefusal = 'reload' | 'set-aside' | 'split' | 'doubt' | 'wait'

export const afterRefusal: Readonly<Record<Problem['code'], AfterRefusal>> = {
  stale: 'reload',
  'edit-refused': 'set-aside',
  forbidden: 'set-aside',
  'not-found': 'set-aside',
  'foreign-origin': 'set-aside',
  unreadable: 'set-aside',
  invalid: 'split',
  'not-json': 'split',
  'too-large': 'split',
  'too-deep': 'split',
  'too-slow': 'doubt',
  unexpected: 'doubt',
  'database-away': 'wait',
  storage: 'wait',
  // Answers to other questions than saving; were one given, asking again would not help.
  'nothing-to-undo': 'split',
  'nothing-to-redo': 'split',
  'step-unfit': 'split',
  'history-closed': 'split',
  cancelled: 'split',
  'plan-gone': 'split',
  'too-much-to-check': 'split',
  'nothing-to-sweep': 'split',
  'moved-on': 'split',
  'not-kept': 'split',
  touched: 'split',
  'nothing-to-copy': 'split',
  'own-site': 'split',
  'other-name': 'split',
  'recipe-named': 'split',
  'recipes-full': 'split',
  'livery-named': 'split',
  'liveries-full': 'split',
  'not-published': 'split',
  'publication-gone': 'split',
  picture: 'split',
  font: 'split',
  archive: 'split',
}

/** How often edits that are in doubt are tried as they are. */
export const triesInDoubt = 3

/**
 * How long to wait, in milliseconds, before asking once more, when a change has
 * come upon a newer state so many times in a row: where many change one site at
 * once, those who all ask again at the same moment only stand in each other's way.
 */
export function pauseAfterStale(times: number, random: () => number = Math.random): number {
  return times < 2 ? 0 : random() * Math.min(4000, 150 * 2 ** (times - 1))
}
