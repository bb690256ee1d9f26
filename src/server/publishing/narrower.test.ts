import { HtmlValidate } from 'html-validate'
import sharp from 'sharp'
import { pictureVersion } from '@/core/site'
import { localOwner } from '../access'
import { closeTestDatabase, openTestDatabase, save, siteId } from '../database/database.fixture'
import { silentPictures, takePicture } from '../sites'
import { publish, publishedFile } from '.'

beforeAll(() => openTestDatabase('narrower_test'))
afterAll(closeTestDatabase)

/** A photograph of nothing: noise, so that it does not shrink to a few bytes. */
const photo = (width: number, height: number, seed: number) =>
  sharp(
    Buffer.from(
      Array.from({ length: width * height * 3 }, (_, i) => (i * (seed + (i % 97))) % 251),
    ),
    { raw: { width, height, channels: 3 } },
  )
    .blur(2)
    .jpeg()
    .toBuffer()

async function taken(bytes: Buffer, name: string) {
  const result = await takePicture(localOwner, siteId, name, bytes)
  if (!result.ok || 'known' in result.value) throw new Error('not taken')
  return result.value
}
const text = async (name: string) => Buffer.from((await publishedFile(siteId, name))!).toString()
const widthOf = async (name: string) =>
  (await sharp(Buffer.from((await publishedFile(siteId, name))!)).metadata()).width
const written = async () => {
  const result = await publish(localOwner, siteId)
  if (!result.ok) throw new Error(result.problem.code)
  return result.value.written
}

const picture = { schema: pictureVersion, id: 'wide', alt: 'A wide view' }
const element = { id: 'wide-1', kind: 'picture', content: { asset: 'wide', ratio: '16/9' } }

test('a picture is published in every width that is worth it, and pages name them', async () => {
  const file = await taken(await photo(2000, 900, 31), 'Wide view.jpg')
  const edits = [
    { type: 'addPicture', picture: { ...picture, ...file } },
    {
      type: 'addElements',
      doc: 'about',
      to: { section: 'visit' },
      top: ['wide-1'],
      elements: [element],
    },
  ]
  for (const edit of edits) expect(await save(edit as never)).toMatchObject({ ok: true })
  await written()
  const html = await text('about.html')
  expect(html).toContain(
    'srcset="assets/wide-view.480.jpg 480w, assets/wide-view.960.jpg 960w, assets/wide-view.1600.jpg 1600w, assets/wide-view.jpg 2000w"',
  )
  for (const width of [480, 960, 1600]) {
    expect(await widthOf(`assets/wide-view.${width}.jpg`)).toBe(width)
  }
  // HTML Living Standard: sizes, srcset and loading, as html-validate 10 knows them.
  const checker = new HtmlValidate({
    extends: ['html-validate:recommended'],
    rules: { 'no-inline-style': 'off' },
  })
  const { results } = await checker.validateString(html)
  const ofPictures = results
    .flatMap(({ messages }) => messages)
    .filter(({ selector }) => selector?.endsWith('img'))
  expect(ofPictures).toEqual([])
  // They are made once.
  expect(await written()).toBe(0)
})

test('a picture that says nothing is told, one beside its name is not', async () => {
  expect(await silentPictures(localOwner, siteId)).toEqual({ ok: true, value: [] })
  expect(await save({ type: 'describePicture', picture: 'wide', alt: '' })).toMatchObject({
    ok: true,
  })
  expect(await silentPictures(localOwner, siteId)).toEqual({ ok: true, value: ['wide-view.jpg'] })
  expect(await save({ type: 'describePicture', picture: 'logo', alt: '' })).toMatchObject({
    ok: true,
  })
  expect(await silentPictures(localOwner, siteId)).toEqual({ ok: true, value: ['wide-view.jpg'] })
  await save({ type: 'describePicture', picture: 'logo', alt: 'Tern & Thistle' })
})

test('what is said of a picture reaches the pages that show it, and no others', async () => {
  expect(
    await save({ type: 'describePicture', picture: 'wide', alt: 'The harbour' } as never),
  ).toMatchObject({ ok: true })
  expect(await written()).toBe(1)
  expect(await text('about.html')).toContain('alt="The harbour"')
  const focus = { x: 20, y: 75 }
  expect(await save({ type: 'focusPicture', picture: 'wide', focus } as never)).toMatchObject({
    ok: true,
  })
  expect(await written()).toBe(1)
  expect(await text('about.html')).toContain('aspect-ratio: 16/9; object-position: 20% 75%')
})

test('a picture that is exchanged is exchanged wherever it stands', async () => {
  const { fileName: _name, ...file } = await taken(await photo(1300, 700, 57), 'Other.jpg')
  const exchange = { type: 'exchangePicture', picture: 'wide', alt: 'The quay', ...file }
  expect(await save({ ...exchange, fileName: 'other.jpg' } as never)).toMatchObject({ ok: true })
  await written()
  const html = await text('about.html')
  expect(html).toContain('assets/wide-view.960.jpg 960w, assets/wide-view.jpg 1300w"')
  expect(html).toContain('alt="The quay"')
  expect(html).not.toContain('object-position')
  expect(await widthOf('assets/wide-view.jpg')).toBe(1300)
  expect(await publishedFile(siteId, 'assets/wide-view.1600.jpg')).toBeUndefined()
})

test('a picture that is called as the narrower width of another one stays itself', async () => {
  const file = await taken(await photo(300, 200, 11), 'x.jpg')
  const own = { ...picture, id: 'odd', ...file, fileName: 'wide-view.480.jpg' }
  expect(await save({ type: 'addPicture', picture: own } as never)).toMatchObject({ ok: true })
  await written()
  expect(await widthOf('assets/wide-view.480.jpg')).toBe(300)
})
