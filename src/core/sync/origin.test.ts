import { modelServer, setSlot, settle } from './model-server.fixture'

test('a step says what it is about, and whether that was done here, elsewhere, or before this window', async () => {
  const server = modelServer()
  const first = server.open()
  first.dispatch(setSlot('brand', '#111111'))
  await settle()
  const second = server.open()
  expect(first.getState().undo).toMatchObject({ told: 'Brand set to #111111', origin: 'here' })
  expect(second.getState().undo).toMatchObject({ told: 'Brand set to #111111', origin: 'before' })
  second.dispatch(setSlot('ink', '#222222'))
  expect(second.getState().undo).toMatchObject({ origin: 'here' })
  await settle()
  await first.catchUp()
  expect(first.getState().undo).toMatchObject({ told: 'Ink set to #222222', origin: 'elsewhere' })
  await first.step('undo')
  expect(first.getState()).toMatchObject({
    undo: { told: 'Brand set to #111111', origin: 'here' },
    redo: { told: 'Ink set to #222222', origin: 'elsewhere' },
  })
})

test('an edit that is set aside is no step that could be taken back', async () => {
  const server = modelServer()
  const sync = server.open()
  server.answerWith((call) =>
    call === 'save' ? { code: 'edit-refused', problem: 'slot-gone', clientId: '' } : undefined,
  )
  sync.dispatch(setSlot('brand', '#111111'))
  expect(sync.getState().undo).toMatchObject({ origin: 'here' })
  await settle()
  expect(sync.getState().lost).toHaveLength(1)
  expect(sync.getState().undo).toBeUndefined()
})

test('a step has the same name before and after it is stored, and another one than every other step', async () => {
  const server = modelServer()
  const sync = server.open()
  sync.dispatch(setSlot('brand', '#111111'))
  const { id } = sync.getState().undo!
  await settle()
  expect(sync.getState().undo!.id).toBe(id)
  sync.dispatch(setSlot('ink', '#222222'))
  expect(sync.getState().undo!.id).not.toBe(id)
  await settle()
  await sync.step('undo')
  expect(sync.getState().undo!.id).toBe(id)
})
