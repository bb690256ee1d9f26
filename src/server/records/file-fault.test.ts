import { randomUUID } from 'node:crypto'
import { deflateSync } from 'node:zlib'
import sharp from 'sharp'
import { pictureVersion, fontVersion } from '@/core/site'
import { localOwner } from '../access'
import { closeTestDatabase, openTestDatabase, siteId } from '../database/database.fixture'
import { saveEdits } from '../edits'
import { fileStore } from '../storage'
import { hashOf } from '.'

beforeAll(() => openTestDatabase('file_fault_test'))
afterAll(closeTestDatabase)

const put = async (data: Uint8Array | string) => {
  const hash = hashOf(data)
  await fileStore().put(hash, data)
  return hash
}
const save = async (edit: object) => {
  const saved = await saveEdits(localOwner, siteId, 0, [
    { clientId: randomUUID(), edit: edit as never },
  ])
  return saved.ok ? 'stored' : 'problem' in saved.problem ? saved.problem.problem : saved.problem
}
const picture = (file: string, given: object = {}) => ({
  schema: pictureVersion,
  id: 'offer',
  file,
  fileName: 'offer.png',
  mediaType: 'image/png',
  width: 1,
  height: 1,
  alt: '',
  ...given,
})

/** CRC-32 of a chunk (PNG, annex D). */
function checksum(data: Buffer): number {
  let sum = 0xffffffff
  for (const byte of data) {
    sum ^= byte
    for (let bit = 0; bit < 8; bit += 1) sum = sum & 1 ? (sum >>> 1) ^ 0xedb88320 : sum >>> 1
  }
  return (sum ^ 0xffffffff) >>> 0
}

/** A valid PNG that carries some words in a text chunk (PNG, 11.3.4.3 tEXt). */
async function pngWithWords(words: string): Promise<Buffer> {
  const png = await sharp({ create: { width: 1, height: 1, channels: 3, background: '#1d5955' } })
    .png()
    .toBuffer()
  const data = Buffer.from(`tEXtComment\0${words}`, 'latin1')
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
  length.writeUInt32BE(data.length - 4)
  sum.writeUInt32BE(checksum(data))
  const end = png.length - 12
  return Buffer.concat([png.subarray(0, end), length, data, sum, png.subarray(end)])
}

test.each([
  ['offer.html', 'image/png'],
  ['site.css', 'image/png'],
  ['offer.svg', 'image/png'],
  ['offer', 'image/png'],
  ['offer.png.js', 'image/png'],
  ['offer.png', 'image/svg+xml'],
])('a picture called %s that says it is %s is not stored', async (fileName, mediaType) => {
  const file = await put(await pngWithWords('<script>alert(1)</script>'))
  expect(
    await save({ type: 'addPicture', picture: picture(file, { fileName, mediaType }) }),
  ).not.toBe('stored')
})

test('what a picture is, its bytes say', async () => {
  const png = await put(await pngWithWords('<svg xmlns="http://www.w3.org/2000/svg"/>'))
  const page = await put('<!doctype html><html><body><svg viewBox="0 0 1 1"></svg></body></html>')
  const vector = { fileName: 'offer.svg', mediaType: 'image/svg+xml' }
  const add = (file: string, given?: object) =>
    save({ type: 'addPicture', picture: picture(file, given) })
  expect(await add(png, vector)).toBe('file-other-kind')
  expect(await add(page, vector)).toBe('file-other-kind')
  expect(await add(page)).toBe('file-other-kind')
  expect(await add('0'.repeat(64))).toBe('file-gone')
  expect(await add(png)).toBe('stored')
  const exchange = (given: object) => {
    const { schema: _schema, id, ...other } = picture(png, given)
    return save({ type: 'exchangePicture', picture: id, ...other })
  }
  expect(await exchange(vector)).toBe('file-other-kind')
  expect(await exchange({ fileName: 'offer.jpg', mediaType: 'image/jpeg' })).toBe('file-other-kind')
  expect(await exchange({ fileName: 'offer.html', mediaType: 'image/jpeg' })).toBe(
    'file-other-kind',
  )
  const drawn = await put('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 1"></svg>')
  expect(await exchange({ ...vector, file: drawn })).toBe('stored')
})

test('a font is a WOFF2 file that is there, and is called so', async () => {
  const add = (file: string, fileName = 'own.woff2') =>
    save({
      type: 'addFont',
      font: {
        schema: fontVersion,
        id: 'own',
        file,
        fileName,
        family: 'Own',
        style: 'normal',
        weights: [400, 400],
        license: 'Made for this test.',
      },
    })
  expect(await add(await put('<html>words</html>'))).toBe('file-other-kind')
  expect(await add('1'.repeat(64))).toBe('file-gone')
  const bytes = await put(Buffer.concat([Buffer.from('wOF2'), deflateSync('x')]))
  expect(await add(bytes, 'own.html')).not.toBe('stored')
})
