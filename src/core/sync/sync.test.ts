import fc from 'fast-check'
import type { Edit } from '../edit'
import { canonicalJson, type PageId, type SiteDocs } from '../site'
import { looksOf, mergeLooks, reachOf } from '../uses'
import {
  firstDocs,
  home,
  isInStep,
  modelServer,
  setSlot,
  settle,
  slotOf,
} from './model-server.fixture'

test('an edit shows at once and is stored behind; what is shown stays the same object', async () => {
  const server = modelServer()
  const sync = server.open()
  expect(sync.dispatch(setSlot('brand', '#123456'))).toBeUndefined()
  const { docs } = sync.getState()
  expect(slotOf(sync, 'brand')!.value).toBe('#123456')
  await settle()
  expect(sync.getState()).toMatchObject({
    revision: 1,
    saveState: 'saved',
    pending: [],
    undo: { told: 'Brand set to #123456', origin: 'here' },
  })
  expect(sync.getState().docs).toBe(docs)
  expect(server.heard).toEqual(['save'])
  isInStep(sync, server.docs())
})

test('an edit that cannot be done, or that changes nothing, is not sent', async () => {
  const server = modelServer()
  const sync = server.open()
  expect(sync.dispatch(setSlot('nowhere', '#123456'))).toBe('slot-gone')
  expect(sync.dispatch(setSlot('brand', slotOf(sync, 'brand')!.value))).toBeUndefined()
  await settle()
  expect(server.heard).toEqual([])
})

test('behind what others did: what fits is stored on it, and nothing is loaded whole', async () => {
  const server = modelServer()
  const sync = server.open()
  server.landEdit({ type: 'renameSlot', slot: 'ink', name: 'Night' })
  server.landEdit({
    type: 'setSectionTheme',
    sections: [{ doc: 'home', section: 'bench' }],
    theme: 'on-ink',
  })
  sync.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(server.heard).toEqual(['save', 'changes'])
  isInStep(sync, server.docs())
  expect(sync.getState()).toMatchObject({ revision: 3, lost: [], clashes: [] })
})

test('what no longer fits is taken back and told; the rest is stored', async () => {
  const server = modelServer()
  const sync = server.open()
  server.landEdit({ type: 'keepStudy', study: { id: 's', name: 'S', colors: [{ value: '#123' }] } })
  await sync.catchUp()
  server.landEdit({ type: 'dropStudy', study: 's' })
  sync.dispatch({ type: 'dropStudy', study: 's' } as Edit)
  sync.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(sync.getState().lost).toMatchObject([
    { told: 'Study S dropped', problem: { code: 'edit-refused', problem: 'study-gone' } },
  ])
  isInStep(sync, server.docs())
  expect(slotOf(sync, 'brand')!.value).toBe('#123456')
})

test('while the server is away, changes wait and are sent again', async () => {
  const server = modelServer()
  const sync = server.open()
  server.answerWith(() => ({ code: 'database-away' }))
  sync.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(sync.getState()).toMatchObject({ saveState: 'waiting', revision: 0 })
  expect(slotOf(sync, 'brand')!.value).toBe('#123456')
  server.answerWith(() => undefined)
  await sync.catchUp()
  expect(sync.getState()).toMatchObject({ saveState: 'saved', revision: 1, pending: [] })
})

test('an answer that was lost on its way: the edit is sent again, and stored once', async () => {
  const server = modelServer()
  const sync = server.open()
  let losses = 1
  server.answerWith((call, edits) => {
    if (call !== 'save' || losses === 0) return undefined
    losses -= 1
    for (const { edit } of edits!) server.landEdit(edit)
    return { code: 'database-away' }
  })
  sync.dispatch({ type: 'addSlot', slot: 'moss', name: 'Moss', value: '#345' } as unknown as Edit)
  await settle()
  // It was stored under no name of ours, as by somebody else: sent again it no longer fits, and that is told.
  await sync.catchUp()
  expect(sync.getState().lost).toMatchObject([{ problem: { problem: 'slot-taken' } }])
  isInStep(sync, server.docs())
})

test('undo pressed twice in a row takes back two changes, each from the state the first left', async () => {
  const server = modelServer()
  const sync = server.open()
  sync.dispatch(setSlot('brand', '#111111'))
  sync.dispatch(setSlot('ink', '#222222'))
  await settle()
  expect(await Promise.all([sync.step('undo'), sync.step('undo')])).toEqual([undefined, undefined])
  expect(canonicalJson(sync.getState().docs.frame)).toBe(canonicalJson(firstDocs.frame))
  expect(sync.getState()).toMatchObject({
    revision: 4,
    undo: undefined,
    redo: { origin: 'here' },
    clashes: [],
  })
  isInStep(sync, server.docs())
})

test('undo on what was not seen is refused, and then it is seen', async () => {
  const server = modelServer()
  const sync = server.open()
  sync.dispatch(setSlot('brand', '#111111'))
  await settle()
  server.landEdit(setSlot('ink', '#222222'))
  expect(await sync.step('undo')).toMatchObject({ code: 'stale' })
  isInStep(sync, server.docs())
})

describe('what others do', () => {
  test('is followed as it lands; an edit of ours on its way stays on top', async () => {
    const server = modelServer()
    const sync = server.open()
    server.answerWith((call) => (call === 'save' ? { code: 'database-away' } : undefined))
    sync.dispatch(setSlot('brand', '#123456'))
    await settle()
    server.landEdit({ type: 'renameSlot', slot: 'brand', name: 'Sea' })
    server.announce(0)
    await settle()
    expect(slotOf(sync, 'brand')).toMatchObject({ value: '#123456', name: 'Sea' })
    expect(sync.getState()).toMatchObject({ revision: 1, pending: [{}] })
  })

  test('of pages that are not at hand is counted anew, not loaded', async () => {
    const server = modelServer()
    const sync = server.open()
    server.landEdit({
      type: 'setSectionTheme',
      sections: [{ doc: 'about', section: firstDocs.pages['about' as PageId]!.body.order[0] }],
      theme: 'on-spark',
    })
    server.announce(0)
    await settle()
    expect(server.heard).toEqual(['counts'])
    const looks = (docs: SiteDocs) => Object.values(docs.pages).flatMap(({ body }) => looksOf(body))
    const { docs, otherLooks } = sync.getState()
    expect(reachOf(docs.frame, mergeLooks(looks(docs), otherLooks))).toEqual(
      reachOf(docs.frame, mergeLooks(looks(server.docs()))),
    )
    expect(sync.getState()).toMatchObject({ revision: 1, pagesGeneration: expect.any(Number) })
  })

  test('in so many steps that loading is less: the site is loaded anew', async () => {
    const server = modelServer()
    const sync = server.open()
    server.landEdit(setSlot('brand', '#654321'))
    server.beFar(true)
    await sync.catchUp()
    expect(server.heard).toEqual(['changes', 'site', 'page home'])
    isInStep(sync, server.docs())
  })

  test('a page that somebody takes away goes; one that comes is counted', async () => {
    const server = modelServer()
    const sync = server.open()
    expect(await sync.holdPage('about' as PageId)).toBeUndefined()
    server.landEdit({ type: 'removePage', page: 'about' })
    server.landEdit({ type: 'addPage', page: { ...home, id: 'more', path: 'more', order: 'a9' } })
    server.announce(0)
    await settle()
    expect(sync.getState().docs.pages['about' as PageId]).toBeUndefined()
    expect(sync.getState()).toMatchObject({ revision: 2, pageCount: 7 })
  })

  test('over the same value: whose stands is told, once, on both sides', async () => {
    const server = modelServer()
    const [ours, theirs] = [server.open(), server.open()]
    theirs.dispatch(setSlot('brand', '#654321'))
    await settle()
    ours.dispatch(setSlot('brand', '#123456'))
    await settle()
    expect(slotOf(ours, 'brand')!.value).toBe('#123456')
    expect(ours.getState().clashes).toEqual([
      { told: expect.stringContaining('#123456'), stands: 'ours' },
    ])
    await theirs.catchUp()
    expect(theirs.getState().clashes).toEqual([
      { told: expect.stringContaining('#654321'), stands: 'theirs' },
    ])
    theirs.dismissLost()
    server.landEdit(setSlot('ink', '#101010'))
    await theirs.catchUp()
    expect(theirs.getState().clashes).toEqual([])
  })

  test('elsewhere, or to the same value, is told by nothing', async () => {
    const server = modelServer()
    const sync = server.open()
    server.landEdit(setSlot('brand', '#654321'))
    server.landEdit(setSlot('ink', '#101010'))
    sync.dispatch(setSlot('spark', '#123456'))
    sync.dispatch(setSlot('ink', '#101010'))
    await settle()
    expect(sync.getState()).toMatchObject({ clashes: [], lost: [] })
  })
})

describe('what a window keeps beyond a reload', () => {
  test('is made again on what is stored meanwhile, and sent', async () => {
    const server = modelServer()
    let kept: string | null = null
    const first = server.open({ keepUnsent: (text) => (kept = text) })
    server.answerWith(() => ({ code: 'database-away' }))
    first.dispatch(setSlot('brand', '#111111'))
    await settle()
    first.stop()
    expect(kept).toContain('#111111')
    server.answerWith(() => undefined)
    server.landEdit(setSlot('ink', '#222222'))
    const second = server.open({ readUnsent: () => kept, keepUnsent: (text) => (kept = text) })
    second.resume()
    await settle()
    expect(kept).toBeNull()
    expect(slotOf(second, 'brand')!.value).toBe('#111111')
    isInStep(second, server.docs())
  })

  test.each(['{', '[{"clientId":"x"}]', '[{"clientId":"x","edit":{"type":"removeSlot"}}]'])(
    'what can no longer be read of it is told: %s',
    (text) => {
      const sync = modelServer().open({ readUnsent: () => text })
      sync.resume()
      expect(sync.getState()).toMatchObject({
        pending: [],
        lost: [{ told: 'What this window had not sent before' }],
      })
    },
  )
})

test('a page that cannot be loaded gives why, and what is at hand stays', async () => {
  const server = modelServer()
  const sync = server.open()
  server.answerWith(() => ({ code: 'database-away' }))
  expect(await sync.holdPage('shop' as PageId)).toEqual({ code: 'database-away' })
  expect(Object.keys(sync.getState().docs.pages)).toEqual(['home'])
})

test('words are those that held before the change', () => {
  const sync = modelServer().open()
  sync.dispatch({ type: 'renameSlot', slot: 'paper', name: 'Zinc' } as unknown as Edit)
  expect(sync.getState().pending[0]!.told).toBe('Paper renamed to Zinc')
})

const anyEdit = fc.oneof(
  fc
    .tuple(fc.constantFrom('brand', 'ink', 'spark', 'slate'), fc.integer({ min: 0, max: 0xffffff }))
    .map(([slot, n]) => setSlot(slot, `#${n.toString(16).padStart(6, '0')}`)),
  fc
    .tuple(
      fc.constantFrom('opening', 'bench', 'join'),
      fc.constantFrom('on-ink', 'on-mist', 'on-paper'),
    )
    .map(
      ([section, theme]) =>
        ({
          type: 'setSectionTheme',
          sections: [{ doc: 'home', section }],
          theme,
        }) as unknown as Edit,
    ),
  fc
    .constantFrom('A', 'B', 'C')
    .map((name) => ({ type: 'renameSlot', slot: 'paper', name }) as unknown as Edit),
  fc.constantFrom('x', 'y').map(
    (id) =>
      ({
        type: 'keepStudy',
        study: { id, name: id, colors: [{ value: '#123' }] },
      }) as unknown as Edit,
  ),
  fc.constantFrom('x', 'y').map((study) => ({ type: 'dropStudy', study }) as unknown as Edit),
)

test('windows that edit at once end alike, whatever fails on the way, and nothing is dropped without a word', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat({ max: 2 }), anyEdit, fc.nat({ max: 5 })), { maxLength: 40 }),
      async (moves) => {
        const server = modelServer()
        const windows = [server.open(), server.open(), server.open()]
        let failures = 0
        let dispatched = 0
        server.answerWith(() => ((failures += 1) % 7 === 0 ? { code: 'database-away' } : undefined))
        for (const [who, edit, pause] of moves) {
          const before = windows[who]!.getState().pending.length
          windows[who]!.dispatch(edit)
          dispatched += windows[who]!.getState().pending.length - before
          if (pause === 0) await settle()
          if (pause === 1) server.announce(Math.max(0, server.revision() - 2))
        }
        server.answerWith(() => undefined)
        for (let i = 0; i < 3; i += 1) {
          for (const sync of windows) await sync.catchUp()
          await settle()
        }
        for (const sync of windows) {
          expect(sync.getState()).toMatchObject({ pending: [], revision: server.revision() })
          isInStep(sync, server.docs())
          sync.stop()
        }
        const lost = windows.reduce((sum, sync) => sum + sync.getState().lost.length, 0)
        expect(server.revision() + lost).toBe(dispatched)
      },
    ),
    { numRuns: 40 },
  )
}, 60_000)

test('of many pages those asked for last stay at hand; what is counted stays the same', async () => {
  const server = modelServer()
  for (let n = 0; n < 14; n += 1) {
    server.landEdit({ type: 'addPage', page: { ...home, id: `more-${n}`, path: `more-${n}` } })
  }
  const sync = server.open()
  const counts = () => {
    const { docs, otherLooks } = sync.getState()
    const own = Object.values(docs.pages).flatMap(({ body }) => looksOf(body))
    return reachOf(docs.frame, mergeLooks(own, otherLooks))
  }
  const before = counts()
  for (let n = 0; n < 14; n += 1) expect(await sync.holdPage(`more-${n}` as PageId)).toBeUndefined()
  const held = Object.keys(sync.getState().docs.pages)
  expect(held).toHaveLength(12)
  expect(held).toContain('more-13')
  expect(held).not.toContain('home')
  expect(counts()).toEqual(before)
})
