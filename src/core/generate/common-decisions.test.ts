import fc from 'fast-check'
import { failingRoles } from '../resolve'
import { themesInOrder, type Frame, type Theme } from '../site'
import { lackingThemes } from './common-decisions'
import { afterDark, darkEdition, withDark } from './dark-edition'
import { edited, frameOf } from './frames.fixture'
import { generateThemeOn } from './generated'

const NUMBERS = [0xf7f2e7, 0x1d5955, 0xd65a2a, 0x17211f]
const plain = frameOf(NUMBERS)
const ids = plain.themes.order
const inAll = (frame: Frame, role: string, decision: object) =>
  edited(frame, { type: 'setRole', themes: frame.themes.order, role, decision })
const withNew = (frame: Frame, ground: object): [Frame, Theme] => {
  const [theme] = withDark(frame, [
    generateThemeOn(frame, ground as never, themesInOrder(frame.themes))!,
  ])
  return [edited(frame, { type: 'addTheme', theme }), theme!]
}
const brought = (frame: Frame) =>
  edited(frame, {
    type: 'setCells',
    told: 'along',
    hand: false,
    cells: lackingThemes(frame).flatMap(({ cells }) => cells),
  })

test('themes as they were generated have nothing in common by hand', () => {
  expect(lackingThemes(plain)).toEqual([])
  expect(lackingThemes(inAll(plain, 'buttonFill', { slot: 's2' }))).toEqual([])
})

test('a theme that is generated later is found, with the cells that give it what the others have', () => {
  const decided = inAll(plain, 'buttonFill', { value: '#5b2a86' })
  const [frame, theme] = withNew(decided, { value: '#ffe9b0' })
  const [found, ...others] = lackingThemes(frame)
  expect(others).toEqual([])
  expect(found).toMatchObject({
    theme: { id: theme.id },
    dark: false,
    common: [{ role: 'buttonFill', decision: { value: '#5b2a86' }, count: ids.length }],
    unreadable: [],
  })
  const after = brought(frame)
  expect(after.themes.byId[theme.id]!.roles.buttonFill).toEqual({ value: '#5b2a86' })
  expect(after.themes.byId[theme.id]!.hand).toEqual(['buttonFill'])
  expect(lackingThemes(after)).toEqual([])
})

test('the dark edition is found as well; what could not be read there stays as it is', () => {
  const decided = inAll(inAll(plain, 'buttonFill', { value: '#ffd447' }), 'link', {
    value: '#0b3d91',
  })
  const frame = edited(decided, {
    type: 'setEdition',
    edition: 'visitor',
    dark: darkEdition(decided),
  })
  const found = lackingThemes(frame)
  expect(found.length).toBeGreaterThan(0)
  expect(found.every(({ dark }) => dark)).toBe(true)
  expect(found.some(({ unreadable }) => unreadable.includes('link'))).toBe(true)
  const after = themesInOrder(afterDark(brought(frame)).themes)
  for (const { roles } of after) expect(roles.buttonFill).toEqual({ value: '#ffd447' })
  expect(failingRoles(frame.palette, after)).toEqual([])
})

test('what a person decided in the theme itself is no omission', () => {
  const decided = inAll(plain, 'buttonFill', { value: '#5b2a86' })
  const [frame, theme] = withNew(decided, { value: '#ffe9b0' })
  const own = edited(frame, {
    type: 'setRole',
    themes: [theme.id],
    role: 'buttonFill',
    decision: { slot: 's1' },
  })
  expect(lackingThemes(own)).toEqual([])
})

test('the offered cells make nothing hard to read, whatever was decided', () => {
  const seed = Math.floor(Math.random() * 1e9)
  console.warn(`common decisions: seed ${seed}`)
  const color = fc.integer({ min: 0, max: 0xffffff })
  const hex = (n: number) => ({ value: `#${n.toString(16).padStart(6, '0')}` })
  fc.assert(
    fc.property(
      fc.array(color, { minLength: 2, maxLength: 5 }),
      color,
      color,
      color,
      (...given) => {
        const [colors, fill, label, ground] = given
        const decided = inAll(inAll(frameOf(colors), 'buttonFill', hex(fill)), 'text', hex(label))
        const [frame] = withNew(decided, hex(ground))
        const failing = (at: Frame) =>
          failingRoles(at.palette, themesInOrder(at.themes)).map(
            (each) => `${each.theme.id} ${each.role}`,
          )
        const before = failing(frame)
        expect(failing(brought(frame)).filter((each) => !before.includes(each))).toEqual([])
      },
    ),
    { seed, numRuns: 40 },
  )
})
