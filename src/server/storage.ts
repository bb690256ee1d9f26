import { mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'

/** Where files lie. A local folder by default; another store implements the same three calls. */
export interface FileStore {
  put(key: string, data: Uint8Array | string): Promise<void>
  get(key: string): Promise<Uint8Array | undefined>
  removeAll(prefix: string): Promise<void>
}

const SAFE_KEY = /^(?!.*(?:^|\/)\.{1,2}(?:\/|$))[\w./-]+$/

export function localFolder(folder: string): FileStore {
  const locate = (key: string) => {
    if (!SAFE_KEY.test(key)) throw new Error(`not a storage key: ${key}`)
    return path.join(folder, key)
  }
  return {
    async put(key, data) {
      const file = locate(key)
      await mkdir(path.dirname(file), { recursive: true })
      await writeFile(file, data)
    },
    async get(key) {
      if (!SAFE_KEY.test(key)) return undefined
      try {
        return await readFile(locate(key))
      } catch {
        return undefined
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
