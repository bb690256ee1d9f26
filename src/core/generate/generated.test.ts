import { ternFrame } from '@demo/tern/frame'
import { failingRoles } from '../resolve'
import { frameSchema, themesInOrder } from '../site'
import { palette, paletteOf, solid } from './frames.fixture'
import { completeTheme, explainRole, generateThemes, themesNamedAfter } from './generated'

describe('generated themes', () => {
  const made = generateThemes(solid(palette))

  test('are named after their grounds, and everything in them reads', () => {
    expect(made.map(({ name }) => name)).toEqual([
      'On Paper',
      'On Mist',
      'On Spark',
      'On Brand',
      'On Ink',
    ])
    expect(failingRoles(palette, made)).toEqual([])
    expect(
      frameSchema.shape.themes.shape.byId.safeParse(
        Object.fromEntries(made.map((each) => [each.id, each])),
      ).success,
    ).toBe(true)
  })

  test('of shades are named after what stands in', () => {
    const names = generateThemes(solid(paletteOf('#777777', null))).map(({ name }) => name)
    expect(names).toEqual(['On pale Slot 0', 'On dark Slot 0'])
    expect(generateThemes(solid(paletteOf(null)))).toEqual([])
    expect(generateThemes(solid(paletteOf()))).toEqual([])
  })

  test('take no name and no id that is there', () => {
    const again = generateThemes(solid(palette), made)
    expect(again.map(({ name }) => name)).toEqual(made.map(({ name }) => `${name} 2`))
    expect(new Set([...made, ...again].map(({ id }) => id)).size).toBe(10)
  })

  test('each choice is explained', () => {
    expect(explainRole(palette, made[0]!, 'heading', 'Ink')).toBe('Ink on Paper, 14.7:1')
    expect(explainRole(palette, made[0]!, 'line', 'Paper −12')).toBe('Paper −12')
  })

  test('a theme of a file is made whole around the roles that it has', () => {
    const roles = { ground: { value: '#202020' }, buttonLabel: { value: '#333333' } }
    const made = completeTheme(
      solid(palette),
      { name: 'On Ink', roles },
      themesInOrder(ternFrame.themes),
    )!
    expect(made).toMatchObject({ name: 'On Ink 2', hand: ['ground', 'buttonLabel'], roles })
    expect(failingRoles(palette, [made])).toEqual([])
  })
})

test('themes named after a slot are found by their names, with those that would follow', () => {
  const named = (...names: string[]) => {
    const byId = Object.fromEntries(names.map((name, i) => [`t${i}`, { id: `t${i}`, name }]))
    return themesNamedAfter({ order: Object.keys(byId), byId } as never, 'Brand', 'Sea').map(
      ({ theme, name }) => `${theme.name} → ${name}`,
    )
  }
  expect(named('On Brand', 'On pale Brand', 'On Brand 2', 'On Brandy', 'Brand', 'On Ink')).toEqual([
    'On Brand → On Sea',
    'On pale Brand → On pale Sea',
    'On Brand 2 → On Sea 2',
  ])
})
