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
/** How long those who come and go are gathered before it is told, in milliseconds. */
const GATHER = 400

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

const encoder = new TextEncoder()
const written = (news: LiveNews) => encoder.encode(`event: news\ndata: ${JSON.stringify(news)}\n\n`)

/** Who is on a site, read and written once for all windows that are to be told. */
const presentNews = (site: string): Promise<Uint8Array> =>
  sharedReading(`present ${site}`, async () =>
    written({ what: 'present', windows: await whoIsPresent(site) }),
  )

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
  let close: () => void = () => undefined
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (news: LiveNews) => controller.enqueue(written(news))
      const tellLanded = async () => {
        const landed = await landedSince(site, known)
        if (landed.revision <= known) return
        known = landed.revision
        send({ what: 'landed', ...landed })
      }
      let lastTold: Uint8Array | undefined
      const tellPresent = async () => {
        isPresentAsked = false
        const told = await presentNews(site)
        if (!lastTold || Buffer.compare(told, lastTold) !== 0) controller.enqueue(told)
        lastTold = told
      }
      let isPresentAsked = false
      // A crowd that comes at once is told of as one.
      const tellPresentSoon = () => {
        if (isPresentAsked) return
        isPresentAsked = true
        setTimeout(() => then(tellPresent), GATHER).unref()
      }
      const tellOf = async (news: News) => {
        if (news.what === 'landed') return news.revision > known ? tellLanded() : undefined
        if (news.what === 'present') return tellPresentSoon()
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
