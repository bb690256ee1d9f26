/** Where files lie, each under the SHA-256 of its bytes: written once, never changed. */
export interface FileStore {
  /** Throws `StorageFailed` where the file cannot be written. One that is there already counts as young again. */
  put(hash: string, data: Uint8Array | string): Promise<void>
  /** Undefined where there is no such file. */
  get(hash: string): Promise<Uint8Array | undefined>
  has(hash: string): Promise<boolean>
  remove(hash: string): Promise<void>
  /** All files, some at a time. */
  list(): AsyncIterable<readonly StoredFile[]>
  /** A file as versions before kept it, under a name; undefined where there is none. */
  readOld(name: string): Promise<Uint8Array | undefined>
}

/** A file, and when it was put there. */
export interface StoredFile {
  readonly hash: string
  readonly at: Date
}

/** Files could not be written, for a reason that somebody who looks after the machine can mend. */
export class StorageFailed extends Error {
  constructor(
    readonly why: 'full' | 'read-only' | 'other',
    cause: unknown,
  ) {
    super(`files cannot be written: ${why}`, { cause })
  }
}

const HASH = /^[0-9a-f]{64}$/

export function checkHash(hash: string): string {
  if (!HASH.test(hash)) throw new Error(`not the hash of a file: ${hash}`)
  return hash
}
