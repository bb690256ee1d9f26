import { mkdir, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'

/** Where files lie. A local folder by default; another store implements the same calls. */
export interface FileStore {
  /** Throws `StorageFailed` where the file cannot be written. */
  put(key: string, data: Uint8Array | string): Promise<void>
  /** Undefined where there is no such file. */
  get(key: string): Promise<Uint8Array | undefined>
  /** The names of the folders right below a folder. */
  foldersIn(prefix: string): Promise<string[]>
  removeAll(prefix: string): Promise<void>
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

const SAFE_KEY = /^(?!.*(?:^|\/)\.{1,2}(?:\/|$))[\w./-]+$/

const REASONS: Readonly<Record<string, StorageFailed['why']>> = {
  ENOSPC: 'full',
  EDQUOT: 'full',
  EROFS: 'read-only',
  EACCES: 'read-only',
  EPERM: 'read-only',
}
const codeOf = (error: unknown) => (error as NodeJS.ErrnoException | undefined)?.code ?? ''
const isMissing = (error: unknown) => ['ENOENT', 'ENOTDIR', 'EISDIR'].includes(codeOf(error))

export function localFolder(folder: string): FileStore {
  const locate = (key: string) => {
    if (!SAFE_KEY.test(key)) throw new Error(`not a storage key: ${key}`)
    return path.join(folder, key)
  }
  return {
    async put(key, data) {
      const file = locate(key)
      try {
        await mkdir(path.dirname(file), { recursive: true })
        await writeFile(file, data)
      } catch (error) {
        throw new StorageFailed(REASONS[codeOf(error)] ?? 'other', error)
      }
    },
    async get(key) {
      if (!SAFE_KEY.test(key)) return undefined
      try {
        return await readFile(locate(key))
      } catch (error) {
        if (isMissing(error)) return undefined
        throw error
      }
    },
    async foldersIn(prefix) {
      try {
        const entries = await readdir(locate(prefix), { withFileTypes: true })
        return entries.filter((entry) => entry.isDirectory()).map(({ name }) => name)
      } catch (error) {
        if (isMissing(error)) return []
        throw error
      }
    },
    async removeAll(prefix) {
      await rm(locate(prefix), { recursive: true, force: true })
    },
  }
}

export function fileStore(): FileStore {
  return localFolder(process.env.EASEL_FILES ?? path.join(process.cwd(), '.easel', 'files'))
}
