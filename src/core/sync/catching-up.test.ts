import type { PageId } from '../site'
import { modelServer, setSlot, settle, slotOf } from './model-server.fixture'

test('what is heard of in several ways at once is asked for once', async () => {
  const server = modelServer()
  const sync = server.open()
  server.beFar(true)
  server.landEdit(setSlot('brand', '#123456'))
  server.heard.length = 0
  server.announce(0)
  server.announce(0)
  await Promise.all([sync.holdPage('journal' as PageId), settle()])
  expect(server.heard.filter((call) => call === 'changes')).toHaveLength(1)
  expect(server.heard.filter((call) => call === 'site')).toHaveLength(1)
  expect(sync.getState().revision).toBe(server.revision())

  // What came after it was asked is asked for anew.
  server.landEdit(setSlot('brand', '#654321'))
  server.announce(1)
  server.landEdit(setSlot('brand', '#abcdef'))
  server.announce(2)
  await settle()
  expect(slotOf(sync, 'brand')?.value).toBe('#abcdef')
  sync.stop()
})
