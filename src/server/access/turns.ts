/** Kept on the process: the routes of a built application do not share their modules. */
const held = globalThis as { easelTurns?: Map<string, Promise<unknown>> }

/**
 * Runs one piece of work for a key at a time, in the order asked for. Those who
 * change one site would otherwise wait for its row in the database, each on a
 * connection of its own, until none is left for anybody else. The row's lock
 * still holds where several servers change the same site.
 */
export function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const turns = (held.easelTurns ??= new Map())
  const before = turns.get(key) ?? Promise.resolve()
  const turn = before.then(work, work)
  const settled = turn.then(
    () => undefined,
    () => undefined,
  )
  turns.set(key, settled)
  void settled.then(() => {
    if (turns.get(key) === settled) turns.delete(key)
  })
  return turn
}

interface Reading {
  running: Promise<unknown>
  /** The reading that begins when the running one has ended; whoever asks meanwhile shares it. */
  next?: Promise<unknown>
}
const heldReadings = globalThis as { easelReadings?: Map<string, Reading> }

/**
 * Runs a reading for all who ask for the same at the same time. Everyone is
 * answered by a reading that began after they asked, so nobody gets an older
 * state than they would have got alone; and a crowd on one site costs hardly
 * more than two windows do.
 */
export function sharedReading<T>(key: string, read: () => Promise<T>): Promise<T> {
  const readings = (heldReadings.easelReadings ??= new Map())
  const begin = (): Promise<T> => {
    const running = read()
    const own: Reading = { running }
    readings.set(key, own)
    const end = () => {
      if (readings.get(key) === own && !own.next) readings.delete(key)
    }
    running.then(end, end)
    return running
  }
  const known = readings.get(key)
  if (!known) return begin()
  known.next ??= known.running.then(begin, begin)
  return known.next as Promise<T>
}
