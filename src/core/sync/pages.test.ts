import type { PageId } from '../site'
import { looksOf, mergeLooks, reachOf } from '../uses'
import { home, modelServer, settle } from './model-server.fixture'

test('a page that is added here stays at hand once it is stored, and is counted', async () => {
  const server = modelServer()
  const sync = server.open()
  const more = { ...home, id: 'more' as PageId, path: 'more', order: 'a9' }
  expect(sync.dispatch({ type: 'addPage', page: more })).toBeUndefined()
  await settle()
  await settle()
  const { docs, pageCount, otherLooks, pending } = sync.getState()
  expect(pending).toEqual([])
  expect(docs.pages['more' as PageId]).toEqual(server.docs().pages['more' as PageId])
  expect(pageCount).toBe(8)
  const looks = Object.values(docs.pages).flatMap(({ body }) => looksOf(body))
  const all = Object.values(server.docs().pages).flatMap(({ body }) => looksOf(body))
  expect(reachOf(docs.frame, mergeLooks(looks, otherLooks))).toEqual(
    reachOf(docs.frame, mergeLooks(all)),
  )
  sync.dispatch({ type: 'removePage', page: more.id })
  await settle()
  await settle()
  expect(sync.getState()).toMatchObject({ pageCount: 7 })
  expect(sync.getState().docs.pages[more.id]).toBeUndefined()
})

test('a page of ours that lands behind what others did, and is too long to be told, stays at hand', async () => {
  const server = modelServer()
  const sync = server.open()
  server.landEdit({ type: 'renameSlot', slot: 'ink', name: 'Night' })
  const more = { ...home, id: 'more' as PageId, path: 'more', order: 'a9' }
  expect(sync.dispatch({ type: 'addPage', page: more })).toBeUndefined()
  await settle()
  await settle()
  const { docs, pageCount, pending } = sync.getState()
  expect(pending).toEqual([])
  expect(docs.pages[more.id]).toEqual(server.docs().pages[more.id])
  expect(docs.frame).toEqual(server.docs().frame)
  expect(pageCount).toBe(8)
})
