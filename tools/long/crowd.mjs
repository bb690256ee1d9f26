import { randomUUID } from 'node:crypto'

const SITE = 'tern-and-thistle'
/** How long whoever asks waits before asking again where nobody answers, in milliseconds. */
const AGAIN = 150

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** Those who edit, sweep, undo and publish all the time, and note what they were told is stored. */
export function createCrowd(address, random) {
  let running = true
  const kept = []
  const tally = { edits: 0, sweeps: 0, steps: 0, published: 0, unanswered: 0 }
  const hex = () =>
    `#${Math.floor(random() * 0xffffff)
      .toString(16)
      .padStart(6, '0')}`

  /** Asks until there is an answer: what was sent is sent again, just as a window does. */
  async function ask(route, body) {
    while (running) {
      try {
        const response = await fetch(`${address}/api/sites/${SITE}/${route}`, {
          ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
          signal: AbortSignal.timeout(15_000),
        })
        if (response.status < 500) return { ok: response.ok, value: await response.json() }
      } catch {
        tally.unanswered += 1
      }
      await pause(AGAIN)
    }
    return { ok: false, value: {} }
  }

  const anyEdit = () => {
    const pick = random()
    if (pick < 0.5)
      return { type: 'setSlot', slot: random() < 0.5 ? 'brand' : 'spark', value: hex() }
    if (pick < 0.7) return { type: 'setCustomCss', css: `.a{color:${hex()}} .b{fill:#1c5a54}` }
    const theme = random() < 0.5 ? 'on-ink' : 'on-mist'
    const sections = [{ doc: 'home', section: 'bench' }]
    return { type: 'setSectionTheme', sections, theme }
  }

  async function edits() {
    while (running) {
      const clientId = randomUUID()
      const { ok } = await ask('edits', { base: 0, edits: [{ clientId, edit: anyEdit() }] })
      if (!ok) continue
      kept.push(clientId)
      tally.edits += 1
    }
  }

  async function follow(begun) {
    let job = begun
    while (running && job.id && (job.state === 'waiting' || job.state === 'running')) {
      const told = await ask(`jobs/${job.id}`)
      if (!told.ok) return { state: 'gone' }
      job = told.value
    }
    return job
  }

  async function sweeps() {
    while (running) {
      const from = { value: '#1c5a54', within: 20 }
      const request = { pairs: [{ from, to: { value: hex() } }], scope: 'site' }
      const { ok, value } = await ask('wide', { base: 'any', intent: { type: 'sweep', request } })
      if (ok && (await follow(value)).state === 'done') tally.sweeps += 1
      await pause(50)
    }
  }

  async function steps() {
    while (running) {
      const kind = random() < 0.7 ? 'undo' : 'redo'
      const { value } = await ask('counts')
      let { ok, value: stepped } = await ask(kind, { base: value.revision ?? 0 })
      // Others are quicker: the answer says which revision it would have had to be.
      for (let i = 0; !ok && stepped.problem?.code === 'stale' && i < 20; i += 1) {
        ;({ ok, value: stepped } = await ask(kind, { base: stepped.problem.revision }))
      }
      if (ok) {
        if (stepped.job) await follow(stepped.job)
        tally.steps += 1
      }
      await pause(120)
    }
  }

  async function publishes() {
    while (running) {
      const { ok, value } = await ask('publication', {})
      if (ok && (await follow(value)).state === 'done') tally.published += 1
      await pause(300)
    }
  }

  const all = Promise.all([edits(), edits(), sweeps(), steps(), publishes()])
  return {
    acknowledged: () => kept,
    told: () => JSON.stringify(tally),
    stop: async () => {
      running = false
      await all
    },
  }
}
