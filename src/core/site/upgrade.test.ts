import { ternFrame } from '@demo/tern/frame'
import { DocumentUnreadable, readFrame, readPage } from './upgrade'
import { home } from '@demo/tern/home'

test('a frame of the first schema gains its studies', () => {
  const { studies: _none, ...old } = ternFrame
  expect(readFrame({ ...old, schema: 1 })).toEqual(ternFrame)
  expect(readPage({ ...home, schema: 1 })).toEqual(home)
})

test('a document of a later version, or of none, is not guessed at', () => {
  expect(() => readFrame({ ...ternFrame, schema: 99 })).toThrow(DocumentUnreadable)
  expect(() => readFrame({})).toThrow(DocumentUnreadable)
  expect(() => readPage(null)).toThrow(DocumentUnreadable)
})
