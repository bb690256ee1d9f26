import { randomUUID } from 'node:crypto'
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

/** One window: each edit on the revision it knows; the answer tells what it had missed. */
async function client(n: number, tally: Tally): Promise<string[]> {
  const kept: string[] = []
  let base = 0
  for (let i = 0; i < EDITS; i += 1) {
    const value = `#${(n * 100 + i + 1).toString(16).padStart(6, '0')}`
    const edits = [{ clientId: randomUUID(), edit: { type: 'setSlot', slot: 'brand', value } }]
    const response = await asked(tally, 'tern-and-thistle/edits', { base, edits })
    const told = (await response.json()) as { revision: number }
    if (response.ok) {
      kept.push(value)
      base = told.revision
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
  const one: Tally = { times: [], answers: {} }
  await client(99, one)
  await client(98, one)
  const saving: Tally = { times: [], answers: {} }
  const crowd = Promise.all(Array.from({ length: CLIENTS }, (_, n) => client(n, saving)))
  const beside = await reads(READS)
  const kept = (await crowd).flat()
  const ms = (value: number) => value.toFixed(0).padStart(6)
  console.log(`\n${CLIENTS} windows, ${EDITS} edits each, on one site at once`)
  console.log(`edits kept                 ${kept.length} of ${CLIENTS * EDITS}`)
  console.log(`answers by status          ${JSON.stringify(saving.answers)}`)
  const p95 = late(saving.times, 0.95)
  console.log(`a save, ms: median ${ms(median(saving.times))}, p95 ${ms(p95)}`)
  console.log(
    `of one window alone ${ms(median(one.times))}, p95 of all ×${(p95 / median(one.times)).toFixed(1)} (at most 20)`,
  )
  console.log(
    `reading another site, ms:  alone ${ms(median(alone.times))}, meanwhile ${ms(median(beside.times))}` +
      `, ratio ${(median(beside.times) / median(alone.times)).toFixed(1)}`,
  )
  console.log(`its answers                ${JSON.stringify(beside.answers)}`)
}
