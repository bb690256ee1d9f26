import { ternFrame } from '@demo/tern/frame'
import { DocumentUnreadable, readFrame, readPage } from './upgrade'
import { home } from '@demo/tern/home'

test('a frame of the first schema gains its studies', () => {
  const { studies: _none, edition: _light, palette, themes, ...rest } = ternFrame
  const byId = Object.fromEntries(
    Object.entries(themes.byId).map(([id, { hand: _hand, ...theme }]) => [id, theme]),
  )
  const old = {
    ...rest,
    palette: { order: palette.order, slots: palette.slots },
    themes: { ...themes, byId },
  }
  expect(readFrame({ ...old, schema: 1 })).toEqual(ternFrame)
  expect(readPage({ ...home, schema: 1 })).toEqual(home)
})

test('a document of a later version, or of none, is not guessed at', () => {
  expect(() => readFrame({ ...ternFrame, schema: 99 })).toThrow(DocumentUnreadable)
  expect(() => readFrame({})).toThrow(DocumentUnreadable)
  expect(() => readPage(null)).toThrow(DocumentUnreadable)
})

test('a frame of the second schema gains the usual shades and remembers its palette', () => {
  const { shades: _scale, original: _first, ...palette } = ternFrame.palette
  const { edition: _light, ...frame } = ternFrame
  const read = readFrame({ ...frame, schema: 2, palette })
  expect(read.palette.shades).toEqual({ lighter: 2, darker: 2, step: 8 })
  expect(read.palette.original.map(({ id }) => id)).toEqual(ternFrame.palette.order)
})
