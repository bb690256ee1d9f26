import { AwsClient } from 'aws4fetch'
import { checkHash, StorageFailed, type FileStore } from './storage'

/** An S3-compatible service: `endpoint` with the bucket, as `https://storage.example/bucket`. */
export interface S3Settings {
  readonly endpoint: string
  readonly region: string
  readonly accessKeyId: string
  readonly secretAccessKey: string
}

const FILES =
  /<Contents>.*?<Key>by-hash\/([^<]+)<\/Key>.*?<LastModified>([^<]+)<\/LastModified>.*?<\/Contents>/gs
const NEXT = /<NextContinuationToken>([^<]+)<\/NextContinuationToken>/

/** How long a file is left as it is when it is put again, in milliseconds: less than it is kept unused. */
const YOUNG = 20 * 60_000

/** Files in a bucket of an S3-compatible service. */
export function s3Bucket({
  endpoint,
  region,
  accessKeyId,
  secretAccessKey,
}: S3Settings): FileStore {
  const client = new AwsClient({ accessKeyId, secretAccessKey, region, service: 's3', retries: 3 })
  const base = endpoint.replace(/\/+$/, '')
  const locate = (hash: string) => `${base}/by-hash/${checkHash(hash)}`
  const ask = async (address: string, init: RequestInit, fine: readonly number[]) => {
    const response = await client.fetch(address, init).catch((error: unknown) => {
      throw new StorageFailed('other', error)
    })
    if (fine.includes(response.status)) return response
    const told = await response.text().catch(() => '')
    throw new StorageFailed(response.status === 403 ? 'read-only' : 'other', told.slice(0, 500))
  }
  const has = async (hash: string) =>
    (await ask(locate(hash), { method: 'HEAD' }, [200, 404])).status === 200
  return {
    has,
    async put(hash, data) {
      const there = await ask(locate(hash), { method: 'HEAD' }, [200, 404])
      const written = Date.parse(there.headers.get('last-modified') ?? '')
      // One that is no longer young is put again: it could be tidied away before somebody refers to it.
      if (there.status === 200 && Date.now() - written < YOUNG) return
      const body = typeof data === 'string' ? data : new Uint8Array(data)
      await ask(locate(hash), { method: 'PUT', body }, [200])
    },
    async get(hash) {
      const response = await ask(locate(hash), {}, [200, 404])
      return response.status === 404 ? undefined : new Uint8Array(await response.arrayBuffer())
    },
    async remove(hash) {
      await ask(locate(hash), { method: 'DELETE' }, [200, 204, 404])
    },
    async *list() {
      let token: string | undefined
      do {
        const query = new URLSearchParams({ 'list-type': '2', prefix: 'by-hash/' })
        if (token) query.set('continuation-token', token)
        const text = await (await ask(`${base}?${query.toString()}`, {}, [200])).text()
        yield [...text.matchAll(FILES)].map(([, hash, at]) => ({ hash: hash!, at: new Date(at!) }))
        token = NEXT.exec(text)?.[1]
      } while (token)
    },
    // Versions before knew no such service.
    readOld: () => Promise.resolve(undefined),
  }
}
