import { isInStep, modelServer, setSlot, slotOf } from './model-server.fixture'

test('what the server changes for this window is counted until it is seen here', async () => {
  const server = modelServer()
  const sync = server.open()
  const to = { slot: 'ink' as never }
  const changes = [
    sync.wide({ type: 'removeSlot', slot: 'slate' as never, to }),
    sync.wide({ type: 'removeSlot', slot: 'mist' as never, to }),
  ]
  expect(sync.getState().remoteChanges).toBe(2)
  // The second is not dropped because the first is still under way.
  expect(await Promise.all(changes)).toMatchObject([{ ok: true }, { ok: true }])
  expect(sync.getState()).toMatchObject({ remoteChanges: 0, revision: 2 })
  isInStep(sync, server.docs())
})

test('a wide edit is seen here once it is done; what is wrong with it is told', async () => {
  const server = modelServer()
  const sync = server.open()
  sync.dispatch(setSlot('brand', '#111111'))
  const to = { slot: 'ink' } as never
  expect(await sync.wide({ type: 'removeSlot', slot: 'slate' as never, to })).toMatchObject({
    ok: true,
  })
  expect(slotOf(sync, 'slate')).toBeUndefined()
  isInStep(sync, server.docs())
  expect(await sync.wide({ type: 'removeSlot', slot: 'slate' as never, to })).toMatchObject({
    ok: false,
    problem: { problem: 'slot-gone' },
  })
})
