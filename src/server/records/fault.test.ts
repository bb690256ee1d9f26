import { mostSnippet } from '@/core/elements'
import { mostCustomCss, recordKinds, type Frame } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  save,
  siteId,
  stateOf,
  tamper,
} from '../database/database.fixture'
import { publish, publishedFile } from '../publishing'
import { carryOutWide } from '../edits'
import { faultOf, loadWhole, rebuildIndex } from '.'

beforeAll(() => openTestDatabase('fault_test'))
afterAll(closeTestDatabase)

const frameNow = async () => (await loadWhole(siteId)).frame

function withSnippet(frame: Frame, html: string): Frame {
  const [id, element] = Object.entries(frame.body.elements).find(
    ([, { kind }]) => kind === 'embed',
  )!
  const content = { ...(element.content as object), html }
  const elements = { ...frame.body.elements, [id]: { ...element, content } }
  return { ...frame, body: { ...frame.body, elements } } as Frame
}

test('a snippet that lies in a database from elsewhere keeps nobody from other changes, and is published clean', async () => {
  const dirty = withSnippet(await frameNow(), '<p onclick="x()">hi</p>')
  const frame = { kind: 'frame', id: 'frame' } as const
  await tamper(siteId, frame, JSON.stringify(dirty), recordKinds.frame.version)
  await rebuildIndex(siteId)
  const saved = await save({ type: 'setSlot', slot: 'brand', value: '#1c5a55' })
  expect(saved).toMatchObject({ ok: true })
  expect((await frameNow()).palette.slots['brand' as never]).toMatchObject({ value: '#1c5a55' })

  // What is published of it runs nothing all the same.
  expect(await publish(localOwner, siteId)).toMatchObject({ ok: true })
  const page = Buffer.from((await publishedFile(siteId, 'index.html'))!).toString()
  expect(page).toContain('<p>hi</p>')
  expect(page).not.toContain('onclick')
})

test('a text that is too long is told as that, whatever is else the matter is not', async () => {
  const frame = await frameNow()
  const fault = (changed: object) => faultOf('frame', { ...frame, ...changed } as Frame, frame)
  expect(fault({})).toBeUndefined()
  expect(fault({ customCss: ' '.repeat(mostCustomCss) })).toBeUndefined()
  expect(fault({ customCss: ' '.repeat(mostCustomCss + 1) })).toBe('text-too-long')
  expect(fault(withSnippet(frame, '<p>x</p>'.repeat(mostSnippet)))).toBe('text-too-long')
  expect(fault({ customCss: 7 })).toBe('not-whole')
  expect(fault({ palette: {} })).toBe('not-whole')
})

test('a sweep by which custom CSS would become too long is refused as that, and nothing is changed', async () => {
  const rule = '.a{color:#1f3}'
  const pad = '/* kept as it is */'
  const css = rule + pad.repeat(Math.floor((mostCustomCss - rule.length) / pad.length))
  expect(await save({ type: 'setCustomCss', css })).toMatchObject({ ok: true })
  const before = await stateOf(siteId)
  const sweep = (to: object) =>
    carryOutWide(localOwner, siteId, 'any', {
      type: 'sweep',
      request: { pairs: [{ from: { value: '#1f3', within: 0 }, to: to as never }], scope: 'site' },
    })
  expect(await sweep({ slot: 'brand' })).toEqual({
    ok: false,
    problem: { code: 'edit-refused', problem: 'text-too-long', clientId: '' },
  })
  expect(await stateOf(siteId)).toBe(before)
  expect(await sweep({ value: '#abc' })).toMatchObject({ ok: true, value: { changed: 1 } })
})
