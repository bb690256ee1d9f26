import path from 'node:path'

/** Test files run side by side: each of Jest's workers has a file store of its own. */
if (process.env.EASEL_FILES) {
  process.env.EASEL_FILES = path.join(process.env.EASEL_FILES, process.env.JEST_WORKER_ID ?? '1')
}
