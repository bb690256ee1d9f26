import { recordKinds, type Frame } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  save,
  siteId,
  tamper,
} from '../database/database.fixture'
import { publish, publishedFile } from '../publishing'
import { loadWhole, rebuildIndex } from '.'

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
