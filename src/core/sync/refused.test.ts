import type { Edit } from '../edit'
import { mostSent, type Problem } from '../payloads'
import { home, isInStep, modelServer, setSlot, settle } from './model-server.fixture'

describe('an edit that the server will not have', () => {
  const bad = '#bad000'
  const values = (edits: ReadonlyArray<{ edit: Edit }> = []) =>
    edits.map(({ edit }) => (edit as { value?: string }).value!)

  test.each<[Problem['code']]>([['invalid'], ['not-json'], ['too-large'], ['too-deep']])(
    '%s: it alone is set aside and told; all others are stored',
    async (code) => {
      const server = modelServer()
      const sync = server.open()
      server.answerWith((_call, edits) =>
        values(edits).includes(bad) ? ({ code, where: '', what: '' } as Problem) : undefined,
      )
      for (let i = 0; i < 40; i += 1) {
        sync.dispatch(setSlot('brand', i === 17 ? bad : `#0000${String(i + 10)}`))
      }
      for (let i = 0; i < 12; i += 1) await settle()
      expect(server.revision()).toBe(39)
      expect(sync.getState()).toMatchObject({
        pending: [],
        saveState: 'saved',
        lost: [{ told: `Brand set to ${bad}`, problem: { code } }],
      })
      isInStep(sync, server.docs())
    },
  )

  test.each<[Problem['code']]>([['forbidden'], ['not-found'], ['foreign-origin']])(
    '%s: everything is taken back and told, line by line',
    async (code) => {
      const server = modelServer()
      const sync = server.open()
      server.answerWith((call) => (call === 'save' ? ({ code } as Problem) : undefined))
      sync.dispatch(setSlot('brand', '#111111'))
      sync.dispatch(setSlot('ink', '#222222'))
      for (let i = 0; i < 4; i += 1) await settle()
      const { lost, pending } = sync.getState()
      expect(lost.map(({ told }) => told)).toEqual(['Brand set to #111111', 'Ink set to #222222'])
      expect(pending).toEqual([])
      isInStep(sync, server.docs())
    },
  )

  const withFakeTime = async (work: () => Promise<void>) => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate'] })
    try {
      await work()
    } finally {
      jest.useRealTimers()
    }
  }

  test('what goes wrong on the server is tried again, then set aside; nothing behind it waits for ever', () =>
    withFakeTime(async () => {
      const server = modelServer()
      const sync = server.open()
      let tries = 0
      server.answerWith((_call, edits) => {
        if (!values(edits).includes(bad)) return undefined
        tries += 1
        return { code: 'unexpected' }
      })
      sync.dispatch(setSlot('brand', bad))
      sync.dispatch(setSlot('ink', '#222222'))
      for (let i = 0; i < 60; i += 1) await jest.advanceTimersByTimeAsync(1000)
      expect(tries).toBeLessThan(12)
      expect(sync.getState()).toMatchObject({
        pending: [],
        saveState: 'saved',
        lost: [{ told: `Brand set to ${bad}` }],
      })
    }))

  test('a long absence of the server does not use up the patience with it', () =>
    withFakeTime(async () => {
      const server = modelServer()
      const sync = server.open()
      let asked = 0
      server.answerWith(() => {
        asked += 1
        if (asked <= 8) return { code: 'database-away' }
        return asked <= 10 ? { code: 'unexpected' } : undefined
      })
      sync.dispatch(setSlot('brand', '#111111'))
      for (let i = 0; i < 120; i += 1) await jest.advanceTimersByTimeAsync(1000)
      expect(sync.getState()).toMatchObject({ pending: [], lost: [], revision: 1 })
      expect(asked).toBe(11)
    }))

  test('what could never be stored is not shown first: told where it was tried', () => {
    const sync = modelServer().open()
    const name = (text: string) => ({ type: 'renameSlot', slot: 'brand', name: text }) as never
    expect(sync.dispatch(name('half \ud800'))).toBe('malformed')
    expect(sync.dispatch(name('\u200b'))).toBe('malformed')
    expect(sync.carryOut(name('Brand\u202egnp'))).toBe(false)
    expect(sync.getState()).toMatchObject({
      pending: [],
      lost: [{ problem: { code: 'invalid', where: 'name' } }],
    })
  })

  test('requests stay below what the server reads, however long the edits are', async () => {
    const server = modelServer()
    const sync = server.open()
    const sizes: number[] = []
    server.answerWith((_call, edits) => {
      if (edits) sizes.push(JSON.stringify(edits).length)
      return undefined
    })
    const css = (n: number) => ({ type: 'setCustomCss', css: `/*${n}*/`.padEnd(1_100_000, ' ') })
    for (let n = 0; n < 12; n += 1) sync.dispatch(css(n) as Edit)
    for (let i = 0; i < 8; i += 1) await settle()
    expect(sync.getState().pending).toEqual([])
    expect(Math.max(...sizes)).toBeLessThan(mostSent)
    expect(sizes.length).toBeGreaterThan(2)
  })
})

test('words that cannot be kept are told in full', async () => {
  const server = modelServer()
  const sync = server.open()
  const { elements } = home.body
  const heading = Object.values(elements).find(({ kind }) => kind === 'heading')!
  const { runs: was } = heading.content as { runs: unknown }
  const reworded = (to: unknown) =>
    ({ type: 'setContent', doc: home.id, element: heading.id, at: ['runs'], was, to }) as Edit
  server.landEdit(reworded([{ text: 'Theirs' }]))
  const ours = 'Ours, which is so long that no line of the history would tell all of it'
  sync.dispatch(reworded([{ text: ours }, { text: '!', strong: true }]))
  await settle()
  expect(sync.getState().lost).toMatchObject([
    { problem: { problem: 'text-changed' }, typed: `${ours}!` },
  ])
  isInStep(sync, server.docs())
})
