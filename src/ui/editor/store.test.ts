import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import type { Edit } from '@/core/edit'
import { mostSent, type LoadedSite } from '@/core/payloads'
import { summarize } from '@/core/uses'
import { createEditor } from './store'

const site: LoadedSite = {
  id: 'tern',
  name: 'Tern',
  frame: ternFrame,
  pages: [{ id: home.id, title: 'Home', path: 'index', summary: summarize(home.body) }],
  revision: 4,
  assets: {},
  canUndo: false,
  canRedo: false,
}
const setSlot = (slot: string, value: string) =>
  ({ type: 'setSlot', slot, value }) as unknown as Edit
const slotOf = (editor: ReturnType<typeof createEditor>, slot: string) =>
  editor.store.getState().docs.frame.palette.slots[slot as never] as { value: string } | undefined

type Answer = { status: number; body: unknown }
type Server = (
  path: string,
  body: { base: number; edits: Array<{ clientId: string }> } | undefined,
) => Answer

/** A server of a few lines in place of `fetch`, with a record of what it heard. */
function serve(server: Server): string[] {
  const heard: string[] = []
  globalThis.fetch = (async (path: string, init?: RequestInit) => {
    heard.push(path.replace('/api/sites/tern', ''))
    const { status, body } = server(path, init?.body ? JSON.parse(init.body as string) : undefined)
    if (status === 0) throw new TypeError('network')
    return new Response(JSON.stringify(body), { status })
  }) as typeof fetch
  return heard
}
const settle = async () => {
  for (let i = 0; i < 60; i += 1) await Promise.resolve()
  await new Promise((resolve) => setTimeout(resolve, 5))
}
const saved = (revision: number) => ({
  status: 200,
  body: { revision, canUndo: true, canRedo: false },
})

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

describe('an edit that the server will not have', () => {
  const reloads = (path: string): Answer | undefined => {
    if (path.includes('/pages/')) return { status: 200, body: { page: home, revision: 4 } }
    return path.endsWith('/edits') ? undefined : { status: 200, body: site }
  }
  const bad = '#bad000'
  type Sent = { edits: Array<{ clientId: string; edit: { value?: string } }> }

  test.each([
    ['invalid', 400],
    ['not-json', 400],
    ['too-large', 413],
    ['too-deep', 400],
  ] as const)('%s: it alone is set aside and told; all others are stored', async (code, status) => {
    const stored: string[] = []
    let revision = 4
    serve((path, body) => {
      const other = reloads(path)
      if (other) return other
      const { edits } = body as unknown as Sent
      const values = edits.map(({ edit }) => edit.value!)
      if (values.includes(bad)) return { status, body: { problem: { code, where: '', what: '' } } }
      stored.push(...values)
      return saved((revision += edits.length))
    })
    const editor = createEditor(site, home)
    const wanted = Array.from({ length: 40 }, (_, i) => `#0000${String(i + 10)}`)
    wanted.splice(17, 0, bad)
    for (const value of wanted) editor.dispatch(setSlot('brand', value))
    for (let i = 0; i < 12; i += 1) await settle()
    expect(stored).toEqual(wanted.filter((value) => value !== bad))
    expect(editor.store.getState()).toMatchObject({
      pending: [],
      saveState: 'saved',
      lost: [{ told: `Brand set to ${bad}`, problem: { code } }],
    })
  })

  test.each([
    ['forbidden', 403],
    ['not-found', 404],
    ['foreign-origin', 403],
  ] as const)('%s: everything is taken back and told, line by line', async (code, status) => {
    serve((path) => reloads(path) ?? { status, body: { problem: { code } } })
    const editor = createEditor(site, home)
    editor.dispatch(setSlot('brand', '#111111'))
    editor.dispatch(setSlot('ink', '#222222'))
    for (let i = 0; i < 4; i += 1) await settle()
    const { lost, pending, docs } = editor.store.getState()
    expect(lost.map(({ told }) => told)).toEqual(['Brand set to #111111', 'Ink set to #222222'])
    expect([pending, docs.frame.palette]).toEqual([[], ternFrame.palette])
  })

  test('what goes wrong on the server is tried again, then set aside; nothing behind it waits for ever', async () => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate'] })
    try {
      let tries = 0
      serve((path, body) => {
        const other = reloads(path)
        if (other) return other
        const { edits } = body as unknown as Sent
        if (!edits.some(({ edit }) => edit.value === bad)) return saved(5)
        tries += 1
        return { status: 500, body: { problem: { code: 'unexpected' } } }
      })
      const editor = createEditor(site, home)
      editor.dispatch(setSlot('brand', bad))
      editor.dispatch(setSlot('ink', '#222222'))
      for (let i = 0; i < 60; i += 1) await jest.advanceTimersByTimeAsync(1000)
      expect(tries).toBeLessThan(12)
      expect(editor.store.getState()).toMatchObject({
        pending: [],
        saveState: 'saved',
        lost: [{ told: `Brand set to ${bad}` }],
      })
    } finally {
      jest.useRealTimers()
    }
  })

  test('what could never be stored is not shown first: told where it was tried', () => {
    serve(() => saved(5))
    const editor = createEditor(site, home)
    const name = (text: string) => ({ type: 'renameSlot', slot: 'brand', name: text }) as never
    expect(editor.dispatch(name('half \ud800'))).toBe('malformed')
    expect(editor.dispatch(name('\u200b'))).toBe('malformed')
    expect(editor.carryOut(name('Brand\u202egnp'))).toBe(false)
    expect(editor.store.getState()).toMatchObject({
      pending: [],
      docs: { frame: ternFrame },
      lost: [{ problem: { code: 'invalid', where: 'name' } }],
    })
  })

  test('requests stay below what the server reads, however long the edits are', async () => {
    const sizes: number[] = []
    let revision = 4
    serve((path, body) => {
      const other = reloads(path)
      if (other) return other
      sizes.push(JSON.stringify(body).length)
      return saved((revision += body!.edits.length))
    })
    const editor = createEditor(site, home)
    const css = (n: number) => ({ type: 'setCustomCss', css: `/*${n}*/`.padEnd(199_000, ' ') })
    for (let n = 0; n < 12; n += 1) editor.dispatch(css(n) as Edit)
    for (let i = 0; i < 8; i += 1) await settle()
    expect(editor.store.getState().pending).toEqual([])
    expect(Math.max(...sizes)).toBeLessThan(mostSent)
    expect(sizes.length).toBeGreaterThan(2)
  })
})

describe('what a window keeps beyond a reload', () => {
  const keep = (sessionStorage: Partial<Storage> | (() => never)) =>
    Object.defineProperty(globalThis, 'sessionStorage', {
      configurable: true,
      get: () => (typeof sessionStorage === 'function' ? sessionStorage() : sessionStorage),
    })
  afterEach(() => Reflect.deleteProperty(globalThis, 'sessionStorage'))
  const refuses = () => {
    throw new DOMException('refused', 'SecurityError')
  }

  test('where the browser refuses to keep anything, the editor works all the same', async () => {
    keep(refuses)
    serve((path) => (path.endsWith('/edits') ? saved(5) : { status: 200, body: site }))
    const editor = createEditor(site, home)
    expect(() => editor.resume()).not.toThrow()
    editor.dispatch(setSlot('brand', '#111111'))
    await settle()
    expect(editor.store.getState()).toMatchObject({ revision: 5, lost: [] })
  })

  test.each(['{', '[{"clientId":"x"}]', '[{"clientId":"x","edit":{"type":"removeSlot"}}]'])(
    'what can no longer be read of it is told: %s',
    (text) => {
      keep({ getItem: () => text, removeItem: () => undefined, setItem: () => undefined })
      serve(() => saved(5))
      const editor = createEditor(site, home)
      editor.resume()
      expect(editor.store.getState()).toMatchObject({
        pending: [],
        lost: [{ told: 'What this window had not sent before' }],
      })
    },
  )
})

test('words are those that held before the change', () => {
  serve(() => saved(5))
  const editor = createEditor(site, home)
  editor.dispatch({ type: 'renameSlot', slot: 'paper', name: 'Zinc' } as unknown as Edit)
  expect(editor.store.getState().pending[0]!.told).toBe('Paper renamed to Zinc')
})

test('a page that cannot be opened gives why, and the one that is shown stays', async () => {
  serve(() => ({ status: 503, body: { problem: { code: 'database-away' } } }))
  const editor = createEditor(site, home)
  expect(await editor.openPage('shop' as never)).toEqual({ code: 'database-away' })
  expect(editor.store.getState().pageId).toBe(home.id)
})
