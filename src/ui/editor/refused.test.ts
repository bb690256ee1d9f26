import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import type { Edit } from '@/core/edit'
import { mostSent } from '@/core/payloads'
import { saved, serve, setSlot, settle, site, type Answer } from './served.fixture'
import { createEditor } from './store'

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

  test('a long absence of the server does not use up the patience with it', async () => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate'] })
    try {
      let asked = 0
      serve((path) => {
        const other = reloads(path)
        if (other) return other
        asked += 1
        if (asked <= 8) return { status: 503, body: { problem: { code: 'database-away' } } }
        if (asked <= 10) return { status: 500, body: { problem: { code: 'unexpected' } } }
        return saved(5)
      })
      const editor = createEditor(site, home)
      editor.dispatch(setSlot('brand', '#111111'))
      for (let i = 0; i < 120; i += 1) await jest.advanceTimersByTimeAsync(1000)
      expect(editor.store.getState()).toMatchObject({ pending: [], lost: [], revision: 5 })
      expect(asked).toBe(11)
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
