import { toast } from 'sonner'
import { createStore } from 'zustand/vanilla'
import { tellUndoable } from './steps'
import type { Editor } from './state'

jest.mock('sonner', () => ({
  toast: Object.assign(
    jest.fn(() => 'shown'),
    { error: jest.fn(), dismiss: jest.fn() },
  ),
}))
beforeEach(() => jest.clearAllMocks())

function window() {
  const store = createStore<object>(() => ({ undo: { id: 'own', told: 'Heading removed' } }))
  const step = jest.fn(() => Promise.resolve(undefined))
  const editor = { store, step } as unknown as Editor
  const press = () => {
    const options = jest.mocked(toast).mock.calls[0]![1] as unknown as {
      action: { onClick: () => void }
    }
    options.action.onClick()
  }
  return { store, step, editor, press }
}

test('a message undoes the change that it speaks of', () => {
  const { editor, step, press } = window()
  tellUndoable(editor, 'Heading removed.')
  press()
  expect(step).toHaveBeenCalledWith('undo')
})

test('a message is gone once its change was taken back, or another one was made', () => {
  const { editor, store, step, press } = window()
  tellUndoable(editor, 'Heading removed.')
  store.setState({ undo: { id: 'older', told: 'Slate set' } })
  expect(toast.dismiss).toHaveBeenCalledWith('shown')
  // Pressed while it fades, it takes nothing else back.
  press()
  expect(step).not.toHaveBeenCalled()
})
