import { createHash, randomBytes } from 'node:crypto'
import { mkdtempSync, readdirSync, rmSync, statSync, utimesSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { AddressInfo } from 'node:net'
import S3rver from 's3rver'
import { fileStore, localFolder, s3Bucket, StorageFailed, type FileStore } from '.'

const folder = mkdtempSync(path.join(tmpdir(), 'easel-storage-'))
const server = new S3rver({
  port: 0,
  address: '127.0.0.1',
  silent: true,
  directory: path.join(folder, 's3'),
  configureBuckets: [{ name: 'easel', configs: [] }],
})
let endpoint = ''
const settings = { region: 'us-east-1', accessKeyId: 'S3RVER', secretAccessKey: 'S3RVER' }

beforeAll(async () => {
  const { port } = (await server.run()) as AddressInfo
  endpoint = `http://127.0.0.1:${port}/easel`
})
afterAll(async () => {
  await server.close()
  rmSync(folder, { recursive: true })
})

const stores: ReadonlyArray<readonly [string, () => FileStore]> = [
  ['a folder', () => localFolder(path.join(folder, 'local'))],
  ['an S3-compatible service', () => s3Bucket({ ...settings, endpoint })],
]
const hashOf = (data: Uint8Array | string) => createHash('sha256').update(data).digest('hex')

async function listed(store: FileStore): Promise<string[]> {
  const found: string[] = []
  for await (const files of store.list()) found.push(...files.map(({ hash }) => hash))
  return found.sort()
}

describe.each(stores)('%s', (_name, open) => {
  test('keeps bytes under their hash, gives them back, lists them, takes them away', async () => {
    const store = open()
    const files = [randomBytes(200_000), Buffer.from('body { color: tan }'), Buffer.from('é 😀')]
    const hashes = files.map(hashOf)
    expect(await store.has(hashes[0]!)).toBe(false)
    expect(await store.get(hashes[0]!)).toBeUndefined()
    for (const [i, data] of files.entries()) await store.put(hashes[i]!, data)
    for (const [i, data] of files.entries()) {
      expect(Buffer.from((await store.get(hashes[i]!))!).equals(data)).toBe(true)
    }
    expect(await listed(store)).toEqual([...hashes].sort())
    await store.put(hashes[1]!, files[1]!)
    expect(await listed(store)).toHaveLength(3)
    await store.remove(hashes[1]!)
    expect(await store.has(hashes[1]!)).toBe(false)
    expect(await listed(store)).toHaveLength(2)
  })

  test('many at once, the same among them', async () => {
    const store = open()
    const data = Array.from({ length: 40 }, (_, i) => `file ${i % 20}`)
    await Promise.all(data.map((text) => store.put(hashOf(text), text)))
    for (const text of data) {
      expect(Buffer.from((await store.get(hashOf(text)))!).toString()).toBe(text)
    }
  })

  test('takes nothing for a file that is no hash', async () => {
    const store = open()
    for (const name of ['../../etc/passwd', '', 'x'.repeat(64), 'A'.repeat(64)]) {
      await expect(store.put(name, 'x')).rejects.toThrow('not the hash of a file')
      await expect(Promise.resolve().then(() => store.get(name))).rejects.toThrow()
    }
  })
})

test('a folder keeps no half of a file', async () => {
  const store = localFolder(path.join(folder, 'whole'))
  await store.put(hashOf('x'), 'x')
  const [first] = readdirSync(path.join(folder, 'whole', 'by-hash'))
  expect(readdirSync(path.join(folder, 'whole', 'by-hash', first!))).toEqual([hashOf('x')])
})

test('a file that is put again counts as young, in a folder', async () => {
  const store = localFolder(path.join(folder, 'young'))
  await store.put(hashOf('x'), 'x')
  const file = path.join(folder, 'young', 'by-hash', hashOf('x').slice(0, 2), hashOf('x'))
  const long = new Date(Date.now() - 7_200_000)
  utimesSync(file, long, long)
  await store.put(hashOf('x'), 'x')
  expect(Date.now() - statSync(file).mtimeMs).toBeLessThan(60_000)
})

test('a service that is away, or that refuses, is told as what it is', async () => {
  const away = s3Bucket({ ...settings, endpoint: 'http://127.0.0.1:1/easel' })
  await expect(away.has(hashOf('x'))).rejects.toThrow(StorageFailed)
  const noBucket = s3Bucket({ ...settings, endpoint: endpoint.replace(/easel$/, 'nowhere') })
  await expect(noBucket.put(hashOf('x'), 'x')).rejects.toThrow(StorageFailed)
}, 30_000)

test('the application takes the service that it is told of, else its folder', async () => {
  const names = ['EASEL_S3_ENDPOINT', 'EASEL_S3_REGION', 'EASEL_S3_KEY', 'EASEL_S3_SECRET'] as const
  const before = names.map((name) => process.env[name])
  const told = [endpoint, settings.region, settings.accessKeyId, settings.secretAccessKey]
  names.forEach((name, i) => (process.env[name] = told[i]))
  const text = 'by the settings'
  await fileStore().put(hashOf(text), text)
  names.forEach((name, i) => {
    if (before[i] === undefined) delete process.env[name]
    else process.env[name] = before[i]
  })
  expect(await s3Bucket({ ...settings, endpoint }).has(hashOf(text))).toBe(true)
})
