import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import { saved, serve, setSlot, settle, site, slotOf } from './served.fixture'
import { createEditor } from './store'

/** A server on which somebody else has changed the palette since: stale first, then it takes all. */
function servedAfter(palette: object): void {
  const frame = { ...ternFrame, palette: { ...ternFrame.palette, ...palette } }
  serve((path, body) => {
    if (path.endsWith('/edits')) {
      return body!.base === 9
        ? saved(10)
        : { status: 409, body: { problem: { code: 'stale', revision: 9 } } }
    }
    if (path.includes('/pages/')) return { status: 200, body: { page: home, revision: 9 } }
    return { status: 200, body: { ...site, frame, revision: 9 } }
  })
}

/** The slots with another value for one. */
const withBrand = (value: string) => {
  const { brand, ...slots } = ternFrame.palette.slots as Record<string, object>
  return { slots: { ...slots, brand: { ...brand, value } } }
}

test('an edit shows at once and is stored behind', async () => {
  const heard = serve((_path, body) => saved(body!.base + body!.edits.length))
  const editor = createEditor(site, home)
  expect(editor.dispatch(setSlot('brand', '#123456'))).toBeUndefined()
  expect(slotOf(editor, 'brand')!.value).toBe('#123456')
  await settle()
  expect(editor.store.getState()).toMatchObject({
    revision: 5,
    saveState: 'saved',
    pending: [],
    canUndo: true,
  })
  expect(heard).toEqual(['/edits'])
})

test('an edit that cannot be done is told and not sent', async () => {
  const heard = serve(() => saved(5))
  const editor = createEditor(site, home)
  expect(editor.dispatch(setSlot('nowhere', '#123456'))).toBe('slot-gone')
  await settle()
  expect(heard).toEqual([])
})

test('an edit that changes nothing is not sent', async () => {
  const heard = serve(() => saved(5))
  createEditor(site, home).dispatch(
    setSlot('brand', ternFrame.palette.slots['brand' as never]!['value']!),
  )
  await settle()
  expect(heard).toEqual([])
})

test('with an old base: loads, replays what fits, and tells what does not', async () => {
  const { spark: _gone, ...slots } = ternFrame.palette.slots as Record<string, unknown>
  const order = ternFrame.palette.order.filter((id) => id !== 'spark')
  servedAfter({ order, slots })
  const editor = createEditor(site, home)
  editor.dispatch(setSlot('brand', '#123456'))
  editor.dispatch(setSlot('spark', '#abcdef'))
  await settle()
  const state = editor.store.getState()
  expect(slotOf(editor, 'brand')!.value).toBe('#123456')
  expect(slotOf(editor, 'spark')).toBeUndefined()
  expect(state.lost).toEqual([
    {
      told: expect.stringContaining('#abcdef'),
      problem: { code: 'edit-refused', problem: 'slot-gone', clientId: '' },
    },
  ])
  expect(state).toMatchObject({ revision: 10, saveState: 'saved' })
})

test('while the server is away, changes wait and are sent again', async () => {
  let away = true
  serve((_path, body) =>
    away ? { status: 0, body: null } : saved(body!.base + body!.edits.length),
  )
  const editor = createEditor(site, home)
  editor.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(editor.store.getState()).toMatchObject({ saveState: 'waiting', revision: 4 })
  expect(slotOf(editor, 'brand')!.value).toBe('#123456')
  away = false
  await editor.catchUp()
  expect(editor.store.getState()).toMatchObject({ saveState: 'saved', revision: 5, pending: [] })
})

test('what the server refuses is taken back and told', async () => {
  let revision = 4
  serve((path, body) => {
    if (path.endsWith('/edits')) {
      const { clientId } = body!.edits[0]!
      return {
        status: 422,
        body: { problem: { code: 'edit-refused', problem: 'slot-gone', clientId } },
      }
    }
    if (path.includes('/pages/')) return { status: 200, body: { page: home, revision } }
    return { status: 200, body: { ...site, revision } }
  })
  const editor = createEditor(site, home)
  editor.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(slotOf(editor, 'brand')!.value).toBe('#1D5955')
  expect(editor.store.getState()).toMatchObject({
    lost: [{ problem: { problem: 'slot-gone' } }],
    pending: [],
  })
  // It was never there, so nobody has changed it either.
  revision = 5
  await editor.catchUp()
  expect(editor.store.getState().revision).toBe(5)
  expect(editor.store.getState().clashes).toEqual([])
})

test('undo pressed twice in a row takes back two changes, each from the state the first left', async () => {
  let revision = 7
  const bases: number[] = []
  serve((path, body) => {
    if (path.endsWith('/undo')) {
      if (body!.base !== revision)
        return { status: 409, body: { problem: { code: 'stale', revision } } }
      bases.push(body!.base)
      revision += 1
      return saved(revision)
    }
    if (path.includes('/pages/')) return { status: 200, body: { page: home, revision } }
    return { status: 200, body: { ...site, revision } }
  })
  const editor = createEditor({ ...site, revision: 7, canUndo: true }, home)
  const both = await Promise.all([editor.step('undo'), editor.step('undo')])
  expect(both).toEqual([undefined, undefined])
  expect(bases).toEqual([7, 8])
})

test('two who change the same: the one whose change lies over the other is told', async () => {
  servedAfter(withBrand('#654321'))
  const editor = createEditor(site, home)
  editor.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(slotOf(editor, 'brand')!.value).toBe('#123456')
  expect(editor.store.getState()).toMatchObject({
    lost: [],
    clashes: [{ told: expect.stringContaining('#123456'), stands: 'ours' }],
  })
  editor.dismissLost()
  expect(editor.store.getState().clashes).toEqual([])
})

test('two who change different things, or the same to the same, are told nothing', async () => {
  servedAfter(withBrand('#654321'))
  const other = createEditor(site, home)
  other.dispatch(setSlot('ink', '#123456'))
  await settle()
  expect(other.store.getState().clashes).toEqual([])
  servedAfter(withBrand('#123456'))
  const same = createEditor(site, home)
  same.dispatch(setSlot('brand', '#123456'))
  await settle()
  expect(same.store.getState().clashes).toEqual([])
})

test('the one whose stored change was overruled is told when it is seen, once, and not for an undo of their own', async () => {
  let brand = '#123456'
  let revision = 4
  serve((path, body) => {
    if (path.endsWith('/edits')) return saved((revision = body!.base + body!.edits.length))
    if (path.endsWith('/undo')) return saved((revision += 1))
    if (path.includes('/pages/')) return { status: 200, body: { page: home, revision } }
    const palette = { ...ternFrame.palette, ...withBrand(brand) }
    return { status: 200, body: { ...site, frame: { ...ternFrame, palette }, revision } }
  })
  const editor = createEditor(site, home)
  editor.dispatch(setSlot('brand', '#123456'))
  await settle()
  ;[brand, revision] = ['#654321', 6]
  await editor.catchUp()
  const told = [{ told: expect.stringContaining('#123456'), stands: 'theirs' }]
  expect(editor.store.getState().clashes).toEqual(told)
  revision = 7
  await editor.catchUp()
  expect(editor.store.getState().clashes).toEqual(told)
  editor.dismissLost()

  editor.dispatch(setSlot('brand', '#111111'))
  await settle()
  await editor.step('undo')
  expect(editor.store.getState().clashes).toEqual([])
})
