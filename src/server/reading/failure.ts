import { StorageFailed } from '../storage'

/** An error as it is told from one thread to another: its class does not come along. */
export interface Failure {
  readonly name: string
  readonly message: string
  readonly code?: string
  readonly parent?: { readonly code?: string; readonly message?: string }
  /** Why files could not be written, where it was that. */
  readonly storage?: StorageFailed['why']
}

/** What a piece of work in a thread comes to: a value, or an error in plain data. */
export type Outcome<T> = { readonly value: T } | { readonly failure: Failure }

const textOf = (text: unknown) => (typeof text === 'string' ? text : undefined)

function failureOf(error: unknown): Failure {
  const { name, message, code, parent } = (error ?? {}) as Partial<Failure>
  return {
    name: textOf(name) ?? 'Error',
    message: textOf(message) ?? String(error),
    code: textOf(code),
    ...(parent ? { parent: { code: textOf(parent.code), message: textOf(parent.message) } } : {}),
    ...(error instanceof StorageFailed ? { storage: error.why } : {}),
  }
}

/** Does a piece of work in a thread; whatever goes wrong is told in plain data. */
export async function outcomeOf<T>(work: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return { value: await work() }
  } catch (error) {
    return { failure: failureOf(error) }
  }
}

/** The value of a piece of work that a thread did; throws what went wrong there, told apart as if it had been here. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if ('value' in outcome) return outcome.value
  const { storage, ...error } = outcome.failure
  if (storage) throw new StorageFailed(storage, error)
  throw Object.assign(new Error(error.message), error)
}
