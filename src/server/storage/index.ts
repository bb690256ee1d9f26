import path from 'node:path'
import { localFolder } from './local-folder'
import { s3Bucket } from './s3'
import type { FileStore } from './storage'

/**
 * The file store of this application: an S3-compatible service where
 * `EASEL_S3_ENDPOINT` names one, else the folder `EASEL_FILES`.
 */
export function fileStore(): FileStore {
  const { env } = process
  if (env.EASEL_S3_ENDPOINT) {
    return s3Bucket({
      endpoint: env.EASEL_S3_ENDPOINT,
      region: env.EASEL_S3_REGION ?? 'auto',
      accessKeyId: env.EASEL_S3_KEY ?? '',
      secretAccessKey: env.EASEL_S3_SECRET ?? '',
    })
  }
  return localFolder(env.EASEL_FILES ?? path.join(process.cwd(), '.easel', 'files'))
}

/** The text of a vector picture; undefined where its file is gone. */
export async function vectorText(file: string): Promise<string | undefined> {
  const data = await fileStore().get(file)
  return data && new TextDecoder().decode(data)
}

export { isWoff2, mediaTypeOf } from './media-type'
export { localFolder } from './local-folder'
export { s3Bucket, type S3Settings } from './s3'
export { StorageFailed, type FileStore } from './storage'
