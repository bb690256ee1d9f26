import type { Edit } from '@/core/edit'
import { pictureVersion, type PageId, type Picture } from '@/core/site'
import type { SweepRequest } from '@/core/sweep'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { loadWhole, tidyUp } from '../records'
import { fileStore, vectorText } from '../storage'
import { publish, publishedFile } from '../publishing'
import { readPicture, takePicture } from '../sites'
import { dryRun, planHits, unreadPlaces } from '../uses'
import { carryOutWide, listCheckpoints, undo } from '.'

beforeAll(() => openTestDatabase('pictures_swept_test'))
afterAll(closeTestDatabase)

const request = (value: string, to: string): SweepRequest => ({
  pairs: [{ from: { value, within: 0 }, to: { value: to } }],
  scope: 'site',
})

const logoNow = async (): Promise<Picture> => (await loadWhole(siteId)).pictures.logo!
const textNow = async () => (await vectorText((await logoNow()).file))!

async function sweepOn(asked: SweepRequest) {
  const base = await revisionOf(siteId)
  return carryOutWide(localOwner, siteId, base, { type: 'sweep', request: asked })
}

test('a sweep lists what a vector picture paints, puts another file in its place, and undo brings the first one back', async () => {
  const [state, logo, text] = [await stateOf(siteId), await logoNow(), await textNow()]
  const asked = request('#d65a2a', '#2a5ad6')
  const planned = await dryRun(localOwner, siteId, asked)
  if (!planned.ok) throw new Error(planned.problem.code)
  const hits = await planHits(localOwner, siteId, planned.value.plan, { from: 0, count: 500 })
  const lines = hits.ok ? hits.value.hits.filter(({ place }) => place === 'pictures') : []
  expect(lines).toEqual([
    expect.objectContaining({
      label: 'logo.svg',
      before: '#d65a2a',
      after: '#2a5ad6',
      paints: 'fill',
    }),
  ])
  expect(lines[0]!.context).toContain('#d65a2a')

  expect(await sweepOn(asked)).toMatchObject({ ok: true, value: { changed: planned.value.count } })
  const after = await logoNow()
  expect(after).toEqual({ ...logo, file: after.file })
  expect(await textNow()).toBe(text.replaceAll('#d65a2a', '#2a5ad6'))
  // The file that was there is needed by the history.
  const later = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 7_200_000)
  await tidyUp()
  later.mockRestore()
  expect(await fileStore().has(logo.file)).toBe(true)

  await undo(localOwner, siteId, await revisionOf(siteId))
  expect(await stateOf(siteId)).toBe(state)
  expect(await textNow()).toBe(text)
})

test('two colours of a picture that swap, swap; those it does not hold leave it alone', async () => {
  const text = await textNow()
  const pairs = [...request('#d65a2a', '#1c5a54').pairs, ...request('#1c5a54', '#d65a2a').pairs]
  expect(await sweepOn({ pairs, scope: 'site' })).toMatchObject({ ok: true })
  const swapped = await textNow()
  expect(swapped).toBe(
    text.replaceAll(/#d65a2a|#1c5a54/g, (found) => (found === '#d65a2a' ? '#1c5a54' : '#d65a2a')),
  )
  expect(await sweepOn({ pairs, scope: 'site' })).toMatchObject({ ok: true })
  expect(await textNow()).toBe(text)
})

test('the checkpoint before a sweep brings the file back as well', async () => {
  const [state, text] = [await stateOf(siteId), await textNow()]
  expect(await sweepOn(request('#d65a2a', '#2a5ad6'))).toMatchObject({ ok: true })
  const checkpoints = await listCheckpoints(localOwner, siteId)
  const checkpoint = checkpoints.ok ? checkpoints.value[0]!.id : ''
  const intent = { type: 'restore' as const, checkpoint }
  const back = await carryOutWide(localOwner, siteId, await revisionOf(siteId), intent)
  expect(back).toMatchObject({ ok: true })
  expect(await stateOf(siteId)).toBe(state)
  expect(await textNow()).toBe(text)
})

test('where the file is gone nothing is changed, and that is told', async () => {
  const [state, { file }, text] = [await stateOf(siteId), await logoNow(), await textNow()]
  await fileStore().remove(file)
  expect(await sweepOn(request('#d65a2a', '#2a5ad6'))).toMatchObject({
    ok: false,
    problem: { code: 'edit-refused', problem: 'file-gone' },
  })
  expect(await stateOf(siteId)).toBe(state)
  expect(await unreadPlaces(localOwner, siteId)).toEqual({
    ok: true,
    value: { count: 1, first: [{ label: 'logo.svg', text: '', why: 'file-gone' }] },
  })
  // Without it the others go on.
  const asked = request('#d65a2a', '#2a5ad6')
  const rules = [{ where: { place: 'pictures' as const }, take: false }]
  expect(await sweepOn({ ...asked, ticks: { rules } })).toMatchObject({ ok: true })
  await undo(localOwner, siteId, await revisionOf(siteId))
  await fileStore().put(file, text)
})

test('pages that show a swept picture are counted, and none where it stands nowhere', async () => {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="8" height="8"><path fill="#123457" d="M0 0h8v8z"/></svg>'
  const taken = await takePicture(localOwner, siteId, 'mark.svg', Buffer.from(svg))
  if (!taken.ok || 'known' in taken.value) throw new Error('not taken')
  const picture = { schema: pictureVersion, id: 'mark' as Picture['id'], ...taken.value, alt: '' }
  expect((await save({ type: 'addPicture', picture })).ok).toBe(true)
  const pages = async () => {
    const run = await dryRun(localOwner, siteId, request('#123457', '#fff'))
    return run.ok && [run.value.count, run.value.pages]
  }
  expect(await pages()).toEqual([1, 0])
  const shop = (await loadWhole(siteId)).pages['shop' as PageId]!
  const { id: element, content } = Object.values(shop.body.elements).find(
    ({ kind }) => kind === 'picture',
  )!
  const { asset: was } = content as { asset: string }
  const edit = { type: 'setContent', doc: 'shop', element, at: ['asset'], was, to: 'mark' }
  expect((await save(edit as Edit)).ok).toBe(true)
  expect(await pages()).toEqual([1, 1])
})

test('a logo that is swept to a slot follows it from then on, on the published site too, and is let go again', async () => {
  const [state, logo] = [await stateOf(siteId), await logoNow()]
  const asked: SweepRequest = {
    pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' as never } }],
    scope: 'site',
  }
  expect(await sweepOn(asked)).toMatchObject({ ok: true })
  const bound = await logoNow()
  expect(bound).toEqual({ ...logo, file: bound.file, slots: ['brand'] })
  const { frame } = await loadWhole(siteId)
  const brand = frame.palette.slots['brand' as never] as { value: string }
  expect(await textNow()).toContain(`var(--slot-brand, ${brand.value.toLowerCase()})`)

  const shown = async () => {
    expect(await publish(localOwner, siteId)).toMatchObject({ ok: true })
    const data = await publishedFile(siteId, `assets/${logo.fileName}`)
    return new TextDecoder().decode(data)
  }
  expect(await shown()).toContain(`<style>:root { --slot-brand: ${brand.value.toLowerCase()} }`)
  await save({ type: 'setSlot', slot: 'brand', value: '#7a3fa0' } as Edit)
  expect(await shown()).toContain('<style>:root { --slot-brand: #7a3fa0 }')
  // The page asks for it in what the slot holds; without a hash it is in what is stored.
  const at = async (more: { file: string | null; slots: string | null }) =>
    new TextDecoder().decode((await readPicture(localOwner, siteId, 'logo', more))!.data)
  expect(await at({ file: null, slots: null })).toContain('--slot-brand: #7a3fa0')
  expect(await at({ file: bound.file, slots: 'brand:00ff00' })).toContain('--slot-brand: #00ff00')

  // The slot's uses are swept to a loose colour: it follows nothing any more.
  const loose: SweepRequest = {
    pairs: [{ from: { slot: 'brand' as never }, to: { value: '#123456' } }],
    scope: 'site',
  }
  expect(await sweepOn(loose)).toMatchObject({ ok: true })
  expect((await logoNow()).slots).toBeUndefined()
  expect(await textNow()).not.toContain('var(')
  for (let i = 0; i < 3; i += 1) await undo(localOwner, siteId, await revisionOf(siteId))
  expect(await stateOf(siteId)).toEqual(state)
})

test('a picture inside of a picture, written in base64, is swept with it and comes back', async () => {
  const held = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><path fill="#a1b2c3"/></svg>')
  const css = `.a { background: url(data:image/svg+xml;base64,${held.toString('base64')}); fill: #A1B2C3 }`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><style>${css}</style><path class="a" d="M0 0h9v9z"/></svg>`
  const taken = await takePicture(localOwner, siteId, 'held.svg', Buffer.from(svg))
  if (!taken.ok || 'known' in taken.value) throw new Error('not taken')
  const picture = { schema: pictureVersion, id: 'held', alt: '', ...taken.value } as Picture
  await save({ type: 'addPicture', picture })
  const state = await stateOf(siteId)
  const textOfHeld = async () => {
    const { pictures } = await loadWhole(siteId)
    return (await vectorText(pictures['held' as never]!.file))!
  }
  expect(await sweepOn(request('#a1b2c3', '#0f1e2d'))).toMatchObject({
    ok: true,
    value: { changed: 2 },
  })
  const after = await textOfHeld()
  const inside = /base64,([A-Za-z0-9+/=]+)/.exec(after)![1]!
  expect(Buffer.from(inside, 'base64').toString()).toBe(
    held.toString().replace('#a1b2c3', '#0f1e2d'),
  )
  expect(after).toContain('fill: #0F1E2D')
  await undo(localOwner, siteId, await revisionOf(siteId))
  expect(await stateOf(siteId)).toEqual(state)
})

test('a dry run shows a vector picture as it would leave it, and stores nothing of it', async () => {
  const [state, logo] = [await stateOf(siteId), await logoNow()]
  const planned = await dryRun(localOwner, siteId, request('#1c5a54', '#2a5ad6'))
  if (!planned.ok) throw new Error(planned.problem.code)
  const at = async (plan: string | null, slots: string | null = null) => {
    const more = { file: logo.file, slots, plan }
    return new TextDecoder().decode((await readPicture(localOwner, siteId, 'logo', more))!.data)
  }
  const now = await at(null)
  expect(await at(planned.value.plan)).toBe(now.replaceAll('#1c5a54', '#2a5ad6'))
  expect(await at(planned.value.plan)).not.toBe(now)
  expect(await at('no such plan')).toBe(now)
  const bound = await dryRun(localOwner, siteId, {
    pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' as never } }],
    scope: 'site',
  })
  if (!bound.ok) throw new Error(bound.problem.code)
  expect(await at(bound.value.plan, 'brand:00ff00')).toMatch(
    /--slot-brand: #00ff00.*var\(--slot-brand, #/s,
  )
  expect(await stateOf(siteId)).toEqual(state)
})

test('what a vector picture loses as it is taken is told, also where its bytes are there already', async () => {
  const draw = (inside: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="8" height="8"><path fill="#123458" d="M0 0h8v8z">${inside}</path></svg>`
  const take = (text: string) => takePicture(localOwner, siteId, 'turns.svg', Buffer.from(text))
  const moving = draw('<animate attributeName="fill" to="#fff"/>')
  const taken = await take(moving)
  if (!taken.ok || 'known' in taken.value) throw new Error('not taken')
  const { leftOut, ...kept } = taken.value
  expect(leftOut).toEqual(['animate'])
  const picture = { schema: pictureVersion, id: 'turns' as Picture['id'], ...kept, alt: '' }
  expect((await save({ type: 'addPicture', picture })).ok).toBe(true)
  expect(await take(moving)).toMatchObject({
    ok: true,
    value: { known: { id: 'turns' }, leftOut: ['animate'] },
  })
  const clean = await take(draw(''))
  expect(clean.ok && clean.value).not.toHaveProperty('leftOut')
})
