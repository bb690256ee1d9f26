import sharp from 'sharp'
import { colorOf, difference, fromBytes } from '@/core/color'
import type { Edit } from '@/core/edit'
import { pictureId, pictureVersion, type Picture } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
} from '../database/database.fixture'
import { undo } from '../edits'
import { listPictures } from '../sites'
import { takePicture } from '../sites/take-picture'
import { fileStore } from '../storage'
import { picturesHolding, recoloredPicture } from '.'

beforeAll(() => openTestDatabase('recoloring_test'))
afterAll(closeTestDatabase)

const half = async (as: 'png' | 'jpeg', left: string, right: string, alpha = 1) => {
  const [a, b] = [colorOf(left)!, colorOf(right)!]
  const data = new Uint8Array(80 * 40 * 4)
  for (let i = 0; i < 80 * 40; i += 1) {
    const { r, g, b: blue } = i % 80 < 40 ? a : b
    data.set([r * 255, g * 255, blue * 255, i % 80 < 40 ? 255 : alpha * 255], i * 4)
  }
  return sharp(data, { raw: { width: 80, height: 40, channels: 4 } })
    [as]()
    .toBuffer()
}

async function put(name: string, bytes: Uint8Array): Promise<Picture> {
  const taken = await takePicture(localOwner, siteId, name, bytes)
  if (!taken.ok || 'known' in taken.value) throw new Error('not taken')
  const picture = {
    schema: pictureVersion,
    id: pictureId.parse(name.replace('.', '-')),
    ...taken.value,
    alt: '',
  } as Picture
  expect((await save({ type: 'addPicture', picture })).ok).toBe(true)
  return picture
}

const wish = { from: '#1c5a54', to: '#6b2d5c', tolerance: 24 }

test('pictures that show a colour are found, the others are not, and what was seen is kept', async () => {
  await put('held.png', await half('png', '#1c5a54', '#f6f1e7'))
  await put('nowhere.png', await half('png', '#1c5a54', '#f6f1e0'))
  await save({ type: 'setCustomCss', css: 'main{background:url(assets/held.png)}' } as Edit)
  await put('other.png', await half('png', '#d65a2a', '#f6f1e7'))
  const ask = async () => {
    for (;;) {
      const found = await picturesHolding(localOwner, siteId, ['#6b2d5c', '#1c5a54', 'nonsense'])
      if (!found.ok) throw new Error(found.problem.code)
      if (found.value.waiting === 0) return found.value.pictures
    }
  }
  const found = await ask()
  expect(found.find(({ id }) => id === 'held-png')).toMatchObject({
    share: 0.5,
    color: 1,
    // Custom CSS is on every page.
    pages: 7,
  })
  expect(found.some(({ id }) => id === 'other-png')).toBe(false)
  // What stands nowhere is seen by nobody.
  expect(found.some(({ id }) => id === 'nowhere-png')).toBe(false)
  // Those of the demo that are painted in the old brand colour, with the pages that show them.
  expect(found.some(({ id, pages }) => id !== 'held-png' && pages > 0)).toBe(true)
  expect(await ask()).toEqual(found)
})

test.each(['png', 'jpeg'] as const)(
  'a copy of a %s: only the hue is other, all else is what it was',
  async (as) => {
    const picture = await put(
      `copy.${as}`,
      await half(as, '#1c5a54', '#e7c9a0', as === 'png' ? 0.4 : 1),
    )
    const made = await recoloredPicture(localOwner, siteId, picture.id, wish)
    if (!made.ok) throw new Error(made.problem.code)
    const { share, mediaType, file, originalName } = made.value
    expect(share).toBeCloseTo(0.5, 1)
    expect(mediaType).toBe(as === 'png' ? 'image/png' : 'image/webp')
    const raw = async (hash: string) =>
      sharp((await fileStore().get(hash))!)
        .ensureAlpha()
        .raw()
        .toBuffer()
    const [before, after] = [await raw(picture.file), await raw(file)]
    for (let y = 0; y < 40; y += 1) {
      const right = (y * 80 + 60) * 4
      expect([...after.subarray(right, right + 4)]).toEqual([...before.subarray(right, right + 4)])
      const left = (y * 80 + 10) * 4
      const [r, g, b] = after.subarray(left, left + 3)
      expect(difference(fromBytes([r!, g!, b!]), colorOf(wish.to)!)).toBeLessThan(2)
    }

    // In its place everywhere; the original stays under a name of its own, and undo takes both back.
    const { width, height, fileName } = made.value
    const original = { id: pictureId.parse(`kept-${as}`), fileName: originalName }
    const edit = {
      type: 'exchangePicture',
      picture: picture.id,
      file,
      fileName,
      mediaType,
      width,
      height,
      alt: '',
      original,
    } as const
    expect((await save(edit)).ok).toBe(true)
    const pictures = async () => {
      const listed = await listPictures(localOwner, siteId)
      return listed.ok ? listed.value : []
    }
    const now = await pictures()
    expect(now.find(({ id }) => id === picture.id)?.file).toBe(file)
    expect(now.find(({ id }) => id === original.id)).toEqual({ ...picture, ...original })
    await undo(localOwner, siteId, await revisionOf(siteId))
    expect((await pictures()).find(({ id }) => id === picture.id)).toEqual(picture)
    expect((await pictures()).some(({ id }) => id === original.id)).toBe(false)
  },
)

test('what cannot be recoloured is told', async () => {
  const grey = await put('grey.png', await half('png', '#808080', '#202020'))
  const ask = (id: string) => recoloredPicture(localOwner, siteId, id, wish)
  expect(await ask(grey.id)).toEqual({
    ok: false,
    problem: { code: 'picture', why: 'no-such-hue' },
  })
  expect(await ask('nothing')).toEqual({ ok: false, problem: { code: 'not-found' } })
  const listed = await listPictures(localOwner, siteId)
  const vector = listed.ok && listed.value.find(({ mediaType }) => mediaType === 'image/svg+xml')
  expect(await ask(vector ? vector.id : '')).toEqual({
    ok: false,
    problem: { code: 'picture', why: 'vector' },
  })
})
