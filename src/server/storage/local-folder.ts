import { randomUUID } from 'node:crypto'
import { access, mkdir, open, readdir, readFile, rename, rm, stat, utimes } from 'node:fs/promises'
import path from 'node:path'
import { checkHash, StorageFailed, type FileStore } from './storage'

const REASONS: Readonly<Record<string, StorageFailed['why']>> = {
  ENOSPC: 'full',
  EDQUOT: 'full',
  EROFS: 'read-only',
  EACCES: 'read-only',
  EPERM: 'read-only',
}
const codeOf = (error: unknown) => (error as NodeJS.ErrnoException | undefined)?.code ?? ''
const isMissing = (error: unknown) => ['ENOENT', 'ENOTDIR', 'EISDIR'].includes(codeOf(error))

const OLD_NAME = /^(?!.*(?:^|\/)\.{1,2}(?:\/|$))[\w./-]+$/

/** Counts a file that is there already as young again, so that it is not tidied away; false where there is none. */
async function isRenewed(file: string): Promise<boolean> {
  try {
    await utimes(file, new Date(), new Date())
    return true
  } catch (error) {
    if (isMissing(error)) return false
    throw new StorageFailed(REASONS[codeOf(error)] ?? 'other', error)
  }
}

/** Brings what was written to the disk: a record may refer to it a moment later. */
async function sync(place: string): Promise<void> {
  const handle = await open(place, 'r')
  await handle.sync().finally(() => handle.close())
}

async function write(file: string, data: Uint8Array | string): Promise<void> {
  const handle = await open(file, 'w')
  try {
    await handle.writeFile(data)
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** Files in a folder, in 256 folders by the first two digits of their hash. */
export function localFolder(folder: string): FileStore {
  const locate = (hash: string) => path.join(folder, 'by-hash', checkHash(hash).slice(0, 2), hash)
  const read = async (file: string) => {
    try {
      return await readFile(file)
    } catch (error) {
      if (isMissing(error)) return undefined
      throw error
    }
  }
  const has = (hash: string) =>
    access(locate(hash)).then(
      () => true,
      () => false,
    )
  return {
    has,
    get: (hash) => read(locate(hash)),
    async put(hash, data) {
      const file = locate(hash)
      if (await isRenewed(file)) return
      // Written beside its place and moved there, so that a killed run leaves no half of it.
      const beside = `${file}.${randomUUID()}`
      try {
        await mkdir(path.dirname(file), { recursive: true })
        await write(beside, data)
        await rename(beside, file)
        await sync(path.dirname(file))
      } catch (error) {
        await rm(beside, { force: true }).catch(() => undefined)
        throw new StorageFailed(REASONS[codeOf(error)] ?? 'other', error)
      }
    },
    async remove(hash) {
      // The rest of a write that was killed has more behind its hash.
      if (!/^[0-9a-f]{64}(?:\.[0-9a-f-]{36})?$/.test(hash)) checkHash(hash)
      await rm(path.join(folder, 'by-hash', hash.slice(0, 2), hash), { force: true })
    },
    async *list() {
      const top = path.join(folder, 'by-hash')
      for (const name of await readdir(top).catch(() => [])) {
        const files = await readdir(path.join(top, name))
        const stats = await Promise.all(
          files.map((hash) => stat(path.join(top, name, hash)).catch(() => undefined)),
        )
        yield files.flatMap((hash, i) => (stats[i] ? [{ hash, at: stats[i].mtime }] : []))
      }
    },
    readOld: async (name) => (OLD_NAME.test(name) ? read(path.join(folder, name)) : undefined),
  }
}
