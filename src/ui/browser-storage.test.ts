import { keepText, keptText } from './browser-storage'

const names = ['sessionStorage', 'localStorage'] as const
const put = (storage: unknown) =>
  names.forEach((name) =>
    Object.defineProperty(globalThis, name, { configurable: true, ...(storage as object) }),
  )
afterEach(() => put({ value: undefined }))

test('keeps and gives back', () => {
  const kept = new Map<string, string>()
  const value = {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, text: string) => void kept.set(name, text),
    removeItem: (name: string) => void kept.delete(name),
  }
  put({ value })
  expect(keptText('this-window', 'a')).toBeNull()
  expect(keepText('this-window', 'a', 'words')).toBe(true)
  expect(keptText('this-window', 'a')).toBe('words')
  expect(keepText('this-window', 'a', null)).toBe(true)
  expect(keptText('this-window', 'a')).toBeNull()
})

test('a browser that is full, or that gives no storage at all, is told and throws nothing', () => {
  const full = () => {
    throw new DOMException('full', 'QuotaExceededError')
  }
  put({ value: { getItem: full, setItem: full, removeItem: full } })
  expect(keepText('this-browser', 'a', 'words')).toBe(false)
  expect(keptText('this-browser', 'a')).toBeNull()
  put({ get: full })
  expect(keepText('this-window', 'a', null)).toBe(false)
  expect(keptText('this-window', 'a')).toBeNull()
})
