import { closeSync, openSync, readFileSync, rmSync, statSync, writeSync } from 'node:fs'
import path from 'node:path'
import { stateFolder } from './steps.mjs'

/** How long between looks at a lock that another one holds, in milliseconds. */
const OFTEN = 500

/** Whether a process is there; of one that ended without a word the lock is anybody's. */
function isThere(pid) {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}

/** Whether the lock file was left behind: by a process that ended, or in the middle of being written long ago. */
function isLeft(file) {
  try {
    const pid = Number(readFileSync(file, 'utf8'))
    return pid ? !isThere(pid) : Date.now() - statSync(file).mtimeMs > 5000
  } catch {
    return true
  }
}

/**
 * Waits until no other run of ours holds a lock of that name in this folder, then holds it; says
 * once that it waits. Gives what releases it.
 */
export async function lock(name, waiting, folder = stateFolder) {
  const file = path.join(folder, `${name}.lock`)
  let isTold = false
  for (;;) {
    try {
      const handle = openSync(file, 'wx')
      writeSync(handle, String(process.pid))
      closeSync(handle)
      let isHeld = true
      return () => {
        if (isHeld) rmSync(file, { force: true })
        isHeld = false
      }
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
    }
    if (isLeft(file)) {
      rmSync(file, { force: true })
      continue
    }
    if (!isTold) console.log(waiting)
    isTold = true
    await new Promise((resolve) => setTimeout(resolve, OFTEN))
  }
}
