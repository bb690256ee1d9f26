import type { Change, ChangePath } from '../changes'
import { withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

/** What it was called while colours were all that could be decided for a thing. */
const BEFORE = 'colors'
const NOW = 'looks'

/** A thing whose looks have their name of today. */
function renamed(thing: Stored): Stored {
  if (!(BEFORE in thing)) return thing
  const { [BEFORE]: looks, ...rest } = thing
  return { ...rest, [NOW]: looks }
}

const isWhole = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const each =
  (upgrade: (whole: Stored) => Stored) =>
  (all: Stored): Stored =>
    Object.fromEntries(
      Object.entries(all).map(([id, whole]) => [id, isWhole(whole) ? upgrade(whole) : whole]),
    )

const members =
  (steps: Readonly<Record<string, (whole: Stored) => Stored>>) =>
  (whole: Stored): Stored => ({
    ...whole,
    ...Object.fromEntries(
      Object.entries(steps).flatMap(([name, step]) =>
        isWhole(whole[name]) ? [[name, step(whole[name])]] : [],
      ),
    ),
  })

const things = each(renamed)
const inBody = members({ sections: things, elements: things })
const inRecord = members({ body: inBody, styles: things })

/** What lies at the end of a path, brought to the next shape; undefined where nothing of it is another. */
function stepAt([first, second, ...rest]: ChangePath) {
  if (first === undefined) return inRecord
  const depth = rest.length
  if (first === 'styles') return second === undefined ? things : depth === 0 ? renamed : undefined
  if (first !== 'body') return undefined
  if (second === undefined) return inBody
  if (second !== 'sections' && second !== 'elements') return undefined
  return depth === 0 ? things : depth === 1 ? renamed : undefined
}

/** Where on a path the member stands that has another name now. */
function placeOfMember([first, second]: ChangePath): number | undefined {
  if (first === 'styles') return 2
  return first === 'body' && (second === 'sections' || second === 'elements') ? 3 : undefined
}

/** What a thing decides of its own is not colours alone any more, and is called its looks. */
export const looksStep: UpgradeStep = {
  record: inRecord,
  change(change): Change | undefined {
    const { path } = change
    const upgrade = stepAt(path)
    if (upgrade) return withWholes(change, upgrade)
    const at = placeOfMember(path)
    if (at === undefined || path[at] !== BEFORE) return change
    return { ...change, path: path.map((step, i) => (i === at ? NOW : step)) }
  },
}
