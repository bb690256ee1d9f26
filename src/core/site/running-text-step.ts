import type { Change, Json } from '../changes'
import type { Stored, UpgradeStep } from './upgrade-steps'

/** The kinds whose words were one plain text before they became stretches. */
const KINDS = new Set<unknown>(['heading', 'quote'])

function withRuns(element: Stored): Stored {
  const { text, ...content } = element.content as Stored
  if (!KINDS.has(element.kind) || typeof text !== 'string') return element
  return { ...element, content: { ...content, runs: [{ text }] } }
}

const each = (all: unknown): Stored =>
  Object.fromEntries(
    Object.entries(all as Stored).map(([id, element]) => [id, withRuns(element as Stored)]),
  )

function withRunsInBody(body: Stored): Stored {
  return { ...body, elements: each(body.elements) }
}

function withRunsInRecord(record: Stored): Stored {
  return { ...record, body: withRunsInBody(record.body as Stored) }
}

/** What lies at a path of this length that leads to elements, brought to the next shape. */
const BY_DEPTH: ReadonlyArray<(whole: Stored) => Stored> = [
  withRunsInRecord,
  withRunsInBody,
  each,
  withRuns,
]

const WAY = ['body', 'elements']

/** Headings and quotes hold their words in stretches, so that some of them can be links, strong or coloured. */
export const runningTextStep: UpgradeStep = {
  record: withRunsInRecord,
  change(change): Change | undefined {
    const { path } = change
    const isOnTheWay = path.slice(0, 2).every((step, i) => step === WAY[i])
    if (!isOnTheWay) return change
    // Of contents, only snippets were changed before.
    if (path[3] === 'content') return path[4] === 'html' ? change : undefined
    const lift = BY_DEPTH[path.length]
    if (!lift) return change
    if ('at' in change) return undefined
    const lifted = (whole: Json) => lift(whole as Stored) as Json
    return {
      path,
      ...(change.from === undefined ? {} : { from: lifted(change.from) }),
      ...(change.to === undefined ? {} : { to: lifted(change.to) }),
    }
  },
}
