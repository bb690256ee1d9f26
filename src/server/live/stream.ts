import { refused, type LiveNews, type Result } from '@/core/payloads'
import { sharedReading, siteFor, type Actor } from '../access'
import { entriesOrFar, entriesSince } from '../edits/since'
import { standing } from '../edits/standing'
import { select } from '../database/sets'
import { jobRow, stateOfJob } from '../jobs/jobs'
import { hearNews, type News } from './hear'
import { whoIsPresent } from './presence'

/** A stream that nothing is told on says so, lest it is taken for dead, in milliseconds. */
const BEAT = 15_000

/** All that landed after a revision, read once for all windows that know the same. */
function landedSince(site: string, since: number) {
  return sharedReading(`landed ${site} ${since}`, async () => {
    const [row] = await select<{ revision: number }>('select revision from sites where id = $1', [
      site,
    ])
    const entries = await entriesSince(site, since)
    const revision = entries === 'far' ? undefined : entries.at(-1)?.revision
    return {
      revision: revision ?? row?.revision ?? since,
      ...(await standing(site)),
      ...entriesOrFar(entries),
    }
  })
}

export interface LiveStream {
  readonly body: ReadableStream<Uint8Array>
  readonly close: () => void
}

const open = new Set<() => void>()
/** Ends every stream of this process: a server that is told to stop does so at once. */
export const closeStreams = (): void => open.forEach((close) => close())

/** Everything that happens to a site from a revision on, as server-sent events. */
export async function liveStream(
  actor: Actor,
  site: string,
  from: number,
): Promise<Result<LiveStream>> {
  const found = await siteFor(actor, 'read', site)
  if (!found.ok) return refused(found.problem)
  let known = from
  let telling: Promise<void> = Promise.resolve()
  const encoder = new TextEncoder()
  let close: () => void = () => undefined
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (news: LiveNews) =>
        controller.enqueue(encoder.encode(`event: news\ndata: ${JSON.stringify(news)}\n\n`))
      const tellLanded = async () => {
        const landed = await landedSince(site, known)
        if (landed.revision <= known) return
        known = landed.revision
        send({ what: 'landed', ...landed })
      }
      let lastTold = ''
      const tellPresent = async () => {
        const windows = await whoIsPresent(site)
        const told = JSON.stringify(windows)
        if (told !== lastTold) send({ what: 'present', windows })
        lastTold = told
      }
      const tellOf = async (news: News) => {
        if (news.what === 'landed') return news.revision > known ? tellLanded() : undefined
        if (news.what === 'present') return tellPresent()
        const row = await jobRow(news.job)
        if (row) send({ what: 'job', job: stateOfJob(row) })
      }
      // One after the other; where the database is away, the next news catches up.
      const then = (work: () => Promise<void>) => {
        telling = telling.then(work).catch(() => undefined)
      }
      const stop = hearNews((news) => {
        if (news === 'missed') then(tellLanded)
        else if (news.site === site) then(() => tellOf(news))
      })
      const beat = setInterval(() => {
        controller.enqueue(encoder.encode(': still here\n\n'))
        // A window that went without a word is missed at the next beat.
        then(tellPresent)
      }, BEAT)
      close = () => {
        stop()
        clearInterval(beat)
        open.delete(close)
        try {
          controller.close()
        } catch {
          // Closed already by whoever listened.
        }
      }
      open.add(close)
      then(tellLanded)
      then(tellPresent)
    },
    cancel: () => close(),
  })
  return { ok: true, value: { body, close: () => close() } }
}
