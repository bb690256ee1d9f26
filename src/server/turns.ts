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
