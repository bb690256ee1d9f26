import { ternFrame } from '@demo/tern/frame'
import { siteDocs, mostThemes, type Frame, type Theme, type ThemeId } from '../site'
import { applyEdit, describeEdit } from './apply'
import { editSchema, type Edit } from './edits'

const [paper, mist] = ternFrame.themes.order as unknown as [ThemeId, ThemeId]
const theme = (id: string, frame: Frame = ternFrame) => frame.themes.byId[id as ThemeId]!
const apply = (edit: unknown, frame: Frame = ternFrame) =>
  applyEdit(siteDocs(frame), editSchema.parse(edit) as Edit)
const done = (edit: unknown, frame: Frame = ternFrame): Frame => {
  const result = apply(edit, frame)
  if (!result.ok) throw new Error(result.problem)
  return result.docs.frame
}
const refusal = (edit: unknown, frame: Frame = ternFrame) => {
  const result = apply(edit, frame)
  return result.ok ? undefined : result.problem
}
const cells = (over: object, ...some: object[]) => ({
  type: 'setCells',
  told: 'Test',
  cells: some.map((cell) => ({ theme: paper, role: 'link', decision: { slot: 'ink' }, ...cell })),
  hand: true,
  ...over,
})
const copyOf = (id: string, over: Partial<Theme> = {}) => ({
  ...theme(paper),
  id,
  name: id,
  ...over,
})

describe('deciding cells', () => {
  test('by hand is remembered, once', () => {
    const once = done(cells({}, {}))
    expect(theme(paper, once).hand.filter((role) => role === 'link')).toHaveLength(1)
    const twice = done(cells({}, { decision: { slot: 'brand' } }), once)
    expect(theme(paper, twice).hand).toEqual(theme(paper, once).hand)
    expect(theme(paper, twice).roles.link).toEqual({ slot: 'brand' })
  })

  test('back to generated is forgotten by the hand', () => {
    const back = done(cells({ hand: false }, {}), done(cells({}, {})))
    expect(theme(paper, back).hand).not.toContain('link')
  })

  test('of the dark edition leaves the light one, and begins from it', () => {
    const dark = done(cells({}, { dark: true }))
    expect(theme(paper, dark).roles).toBe(theme(paper).roles)
    expect(theme(paper, dark).dark).toEqual({ ...theme(paper).roles, link: { slot: 'ink' } })
    expect(theme(paper, dark).hand).toEqual(theme(paper).hand)
    expect(theme(paper, dark).darkHand).toEqual(['link'])
  })

  test('all or nothing: one cell that cannot be decided refuses all', () => {
    expect(refusal(cells({}, {}, { theme: 'nowhere' }))).toBe('theme-gone')
    expect(refusal(cells({}, {}, { decision: { slot: 'nowhere' } }))).toBe('slot-gone')
    expect(ternFrame.themes.byId[paper]!.roles.link).toEqual(theme(paper).roles.link)
  })

  test('adds themes at the end, and refuses one whose id is taken or whose slots are not there', () => {
    const added = done(cells({ add: [copyOf('on-new')] }))
    expect(added.themes.order.at(-1)).toBe('on-new')
    expect(refusal(cells({ add: [copyOf(paper)] }))).toBe('theme-taken')
    const roles = { ...theme(paper).roles, text: { slot: 'nowhere' } }
    expect(refusal(cells({ add: [copyOf('on-new', { roles: roles as never })] }))).toBe('slot-gone')
  })
})

describe('a theme', () => {
  test('is added behind another one, or at the end', () => {
    const frame = done({ type: 'addTheme', theme: copyOf('on-new'), after: paper })
    expect(frame.themes.order.slice(0, 3)).toEqual([paper, 'on-new', mist])
    expect(done({ type: 'addTheme', theme: copyOf('last') }).themes.order.at(-1)).toBe('last')
  })

  test('has a name of its own, whatever its letters', () => {
    const name = theme(mist).name
    expect(refusal({ type: 'renameTheme', theme: paper, name: name.toUpperCase() })).toBe(
      'theme-named',
    )
    const renamed = done({ type: 'renameTheme', theme: paper, name: 'On Chalk' })
    expect(theme(paper, renamed).name).toBe('On Chalk')
    expect(refusal({ type: 'renameTheme', theme: 'nowhere', name: 'x' })).toBe('theme-gone')
  })

  test('there are only so many', () => {
    let frame = ternFrame
    for (let i = frame.themes.order.length; i < mostThemes; i += 1) {
      frame = done({ type: 'addTheme', theme: copyOf(`t${i}`) }, frame)
    }
    expect(refusal({ type: 'addTheme', theme: copyOf('more') }, frame)).toBe('themes-full')
  })

  test('an order names every theme once', () => {
    const order = [...ternFrame.themes.order].reverse()
    expect(done({ type: 'orderThemes', order }).themes.order).toEqual(order)
    expect(refusal({ type: 'orderThemes', order: order.slice(1) })).toBe('theme-gone')
    expect(refusal({ type: 'orderThemes', order: [...order.slice(1), order[1]] })).toBe(
      'theme-gone',
    )
    expect(done({ type: 'orderThemes', order: ternFrame.themes.order })).toBe(ternFrame)
  })
})

test('an edition is set with what each theme is after dark; a theme that is gone refuses it', () => {
  const dark = { [paper]: theme(mist).roles }
  const frame = done({ type: 'setEdition', edition: 'switch', dark })
  expect(frame.edition).toBe('switch')
  expect(theme(paper, frame).dark).toEqual(theme(mist).roles)
  expect(theme(mist, frame).dark).toBeUndefined()
  expect(refusal({ type: 'setEdition', edition: 'visitor', dark: { gone: dark[paper] } })).toBe(
    'theme-gone',
  )
})

test.each([
  [
    { type: 'setRole', themes: [paper], role: 'link', decision: { slot: 'ink' } },
    'Link On Paper: Ink',
  ],
  [
    {
      type: 'setRole',
      themes: ternFrame.themes.order,
      role: 'buttonFill',
      decision: { slot: 'brand', shade: { lightness: -8 } },
    },
    'Main button, fill in all themes: Brand −8',
  ],
  [{ type: 'renameTheme', theme: paper, name: 'On Chalk' }, 'On Paper renamed to On Chalk'],
  [{ type: 'setEdition', edition: 'visitor' }, 'Dark edition, by the visitor’s setting'],
])('%j is told in words', (edit, told) => {
  expect(describeEdit(editSchema.parse(edit) as Edit, siteDocs(ternFrame))).toBe(told)
})
