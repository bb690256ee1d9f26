import { createStore } from 'zustand/vanilla'
import { rememberViews } from './remember-views'
import type { EditorState } from './state'

function window() {
  const store = createStore<object>(() => ({ pageId: 'home', selection: { element: 'a' } }))
  let steps: string[] = ['before']
  let undone: string[] = []
  const stand = () =>
    store.setState({
      undo: { id: steps.at(-1) },
      redo: undone.length > 0 ? { id: `again ${undone.at(-1)}` } : undefined,
    })
  stand()
  const brought: object[] = []
  const sync = {
    dispatch: (edit: { id: string }) => {
      steps = [...steps, edit.id]
      stand()
      return undefined
    },
    carryOut: () => true,
    wide: () => Promise.resolve({ ok: true }),
    step: (kind: string) => {
      if (kind === 'undo') undone = [...undone, steps.at(-1)!]
      else steps = [...steps, undone.at(-1)!]
      if (kind === 'undo') steps = steps.slice(0, -1)
      else undone = undone.slice(0, -1)
      stand()
      return Promise.resolve(undefined)
    },
  }
  const deeds = rememberViews(
    sync as never,
    store as never as { getState: () => EditorState } as never,
    (view) => {
      brought.push(view)
      return Promise.resolve()
    },
  )
  return { store, deeds, brought }
}

test('who takes a change back sees the page and the thing that it was about', async () => {
  const { store, deeds, brought } = window()
  deeds.dispatch({ id: 'one' } as never)
  store.setState({ pageId: 'shop', selection: undefined })
  deeds.dispatch({ id: 'two' } as never)
  store.setState({ pageId: 'about', selection: { element: 'b' } })
  await deeds.step('undo')
  await deeds.step('undo')
  expect(brought).toEqual([
    { pageId: 'shop', selection: undefined },
    { pageId: 'home', selection: { element: 'a' } },
  ])
})

test('what was done before, or elsewhere, leaves the view as it is', async () => {
  const { deeds, brought } = window()
  await deeds.step('undo')
  expect(brought).toEqual([])
})

test('who does a change again sees what there was after it', async () => {
  const { store, deeds, brought } = window()
  deeds.dispatch({ id: 'one' } as never)
  store.setState({ pageId: 'home', selection: { element: 'next' } })
  await deeds.step('undo')
  store.setState({ pageId: 'home', selection: { element: 'a' } })
  await deeds.step('redo')
  expect(brought.at(-1)).toEqual({ pageId: 'home', selection: { element: 'next' } })
  await deeds.step('undo')
  expect(brought.at(-1)).toEqual({ pageId: 'home', selection: { element: 'a' } })
})
