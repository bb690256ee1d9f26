/** How long work goes on before others have their turn, in milliseconds. */
const STROKE = 8

/** Ends the present task, so that the interface answers before the next one begins. */
const turn = () => new Promise<void>((resolve) => setTimeout(resolve, 0))

/** Does work that can stop between its steps in strokes of some milliseconds; undefined where it was called off. */
export async function inStrokes<T>(
  work: Generator<unknown, T>,
  signal: AbortSignal,
): Promise<T | undefined> {
  let since = performance.now()
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
    if (performance.now() - since < STROKE) continue
    await turn()
    if (signal.aborted) return undefined
    since = performance.now()
  }
}
