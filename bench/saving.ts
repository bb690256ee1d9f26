import { randomUUID } from 'node:crypto'
import { pauseAfterStale } from '@/core/sync/after-refusal'
import { median } from './browser'

const [CLIENTS, EDITS, READS] = [50, 4, 40]
const address = process.env.EASEL_ADDRESS ?? ''

interface Tally {
  readonly times: number[]
  readonly answers: Record<number, number>
}

async function asked(tally: Tally, path: string, body?: unknown): Promise<Response> {
  const start = performance.now()
  const response = await fetch(`${address}/api/sites/${path}`, {
    ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
  })
  tally.times.push(performance.now() - start)
  tally.answers[response.status] = (tally.answers[response.status] ?? 0) + 1
  return response
}

const late = (times: readonly number[], share: number) =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * share)]!

/** One window: each edit on the revision it knows; where that is old, it loads the newest state as the editor does. */
async function client(n: number, tally: Tally, loads: Tally): Promise<string[]> {
  const kept: string[] = []
  let base = 0
  for (let i = 0; i < EDITS; i += 1) {
    const value = `#${(n * 100 + i + 1).toString(16).padStart(6, '0')}`
    const edits = [{ clientId: randomUUID(), edit: { type: 'setSlot', slot: 'brand', value } }]
    for (let stales = 1; ; stales += 1) {
      const response = await asked(tally, 'tern-and-thistle/edits', { base, edits })
      const told = (await response.json()) as { revision: number }
      if (response.ok) {
        kept.push(value)
        base = told.revision
      }
      if (response.status !== 409) break
      await new Promise((resolve) => setTimeout(resolve, pauseAfterStale(stales)))
      const site = await asked(loads, 'tern-and-thistle')
      base = ((await site.json()) as { revision: number }).revision
      await (await asked(loads, 'tern-and-thistle/pages/home')).arrayBuffer()
    }
  }
  return kept
}

async function reads(count: number): Promise<Tally> {
  const tally: Tally = { times: [], answers: {} }
  for (let i = 0; i < count; i += 1) await (await asked(tally, 'ferrybank')).arrayBuffer()
  return tally
}

/** Fifty windows that save on one site at once, and what that does to whoever reads another. */
export async function benchSaving(): Promise<void> {
  await reads(5)
  const alone = await reads(READS)
  const saving: Tally = { times: [], answers: {} }
  const loads: Tally = { times: [], answers: {} }
  const crowd = Promise.all(Array.from({ length: CLIENTS }, (_, n) => client(n, saving, loads)))
  const beside = await reads(READS)
  const kept = (await crowd).flat()
  const ms = (value: number) => value.toFixed(0).padStart(6)
  console.log(`\n${CLIENTS} windows, ${EDITS} edits each, on one site at once`)
  console.log(`edits kept                 ${kept.length} of ${CLIENTS * EDITS}`)
  console.log(`answers by status          ${JSON.stringify(saving.answers)}`)
  console.log(`a save, ms: median ${ms(median(saving.times))}, p95 ${ms(late(saving.times, 0.95))}`)
  console.log(
    `loading anew, ms: median ${ms(median(loads.times))}, ${JSON.stringify(loads.answers)}`,
  )
  console.log(
    `reading another site, ms:  alone ${ms(median(alone.times))}, meanwhile ${ms(median(beside.times))}` +
      `, ratio ${(median(beside.times) / median(alone.times)).toFixed(1)}`,
  )
  console.log(`its answers                ${JSON.stringify(beside.answers)}`)
}
