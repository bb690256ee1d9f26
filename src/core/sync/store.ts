/** Something that holds a state and tells of every change of it. */
export interface Held<State> {
  readonly getState: () => State
  readonly setState: (patch: Partial<State>) => void
  readonly subscribe: (listener: () => void) => () => void
}

export function hold<State extends object>(first: State): Held<State> {
  let state = first
  const listeners = new Set<() => void>()
  return {
    getState: () => state,
    setState(patch) {
      const keys = Object.keys(patch) as Array<keyof State>
      if (keys.every((key) => Object.is(state[key], patch[key]))) return
      state = { ...state, ...patch }
      for (const listener of listeners) listener()
    },
    subscribe(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}
