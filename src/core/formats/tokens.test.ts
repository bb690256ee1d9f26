import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { parse, rgb, type Color as Reference } from 'culori'
import { colorOf, difference, sameColor } from '../color'
import { frameSchema } from '../site'
import { ternFrame } from '@demo/tern/frame'
import { readTokenTree, writeTokenTree, type Token, type TokenGroup } from './token-tree'
import { readTokens, tokenColor, writeTokens } from './tokens'

const folder = path.dirname(require.resolve('dtcg-examples/package.json'))
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.tokens.json') || /(?:^|\/)removed\.json$/.test(file))
  .filter((file) => !file.includes('node_modules'))
const textOf = (file: string) => readFileSync(path.join(folder, file), 'utf8')
const tokensOf = (group: TokenGroup): Token[] =>
  group.children.flatMap((child) => (child.kind === 'group' ? tokensOf(child) : [child]))
const treeOf = (json: unknown) => readTokenTree(json as Parameters<typeof readTokenTree>[0])!

describe('the files of the package dtcg-examples', () => {
  test('are there', () => expect(files.length).toBeGreaterThanOrEqual(90))

  test('are read and written back without loss', () => {
    for (const file of files) {
      const json = JSON.parse(textOf(file)) as unknown
      expect(writeTokenTree(treeOf(json))).toEqual(json)
    }
  })

  test('give the colours that the reference library gives (culori)', () => {
    let compared = 0
    for (const file of files) {
      for (const { value } of tokensOf(treeOf(JSON.parse(textOf(file))))) {
        if (value.form !== 'object') continue
        const ours = tokenColor(value)!
        const [x, y, z] = value.components
        const alpha = value.alpha === undefined ? '' : ` / ${value.alpha}`
        const space = value.colorSpace
        const css =
          space === 'hsl'
            ? `hsl(${x} ${y}% ${z}%${alpha})`
            : `color(${space} ${x} ${y} ${z}${alpha})`
        const theirs: Reference | undefined = rgb(parse(css))
        if (!theirs) continue
        compared += 1
        for (const channel of ['r', 'g', 'b'] as const) {
          expect(Math.abs(ours[channel] - theirs[channel])).toBeLessThan(1e-4)
        }
        expect(ours.alpha).toBeCloseTo(theirs.alpha ?? 1, 6)
      }
    }
    expect(compared).toBeGreaterThan(1000)
  })

  test('come in as candidates, with nothing that cannot be named', () => {
    const palettes = files.map((file) => readTokens(textOf(file))).filter(({ total }) => total > 0)
    expect(palettes.length).toBeGreaterThan(5)
    for (const { colors } of palettes) {
      for (const { value, name } of colors) {
        expect(colorOf(value)).toBeDefined()
        expect(name).toBeTruthy()
      }
    }
  })
})

describe('reading', () => {
  const read = (json: unknown) => readTokens(JSON.stringify(json))

  test('the string form, inherited types, notes, groups and extensions', () => {
    const { colors, problems } = read({
      brand: {
        $type: 'color',
        Harbour: {
          $value: '#27496d',
          $description: 'Grounds',
          $extensions: { 'org.example': [1] },
        },
        Half: { $value: '#27496d80' },
        pad: { $type: 'dimension', $value: { value: 4, unit: 'px' } },
      },
    })
    expect(problems).toEqual([])
    expect(colors).toEqual([
      {
        value: '#27496d',
        name: 'Harbour',
        group: 'brand',
        note: 'Grounds',
        extensions: { 'org.example': [1] },
      },
      { value: '#27496d80', name: 'Half', group: 'brand' },
    ])
  })

  test('aliases are followed, also to a root token and by pointer, and give no colour of their own', () => {
    const { colors, problems, total } = read({
      base: { $type: 'color', red: { $root: { $value: '#c00' }, soft: { $value: '#e88' } } },
      link: { $type: 'color', $value: '{base.red}' },
      mark: { $type: 'color', $ref: '#/base/red/soft/$value' },
    })
    expect(problems).toEqual([])
    expect(total).toBe(2)
    expect(colors.map(({ value }) => value)).toEqual(['#cc0000', '#ee8888'])
  })

  test.each([
    [
      'a circle',
      { a: { $type: 'color', $value: '{b}' }, b: { $value: '{a}' } },
      'cyclic-alias',
      'a',
    ],
    ['an alias to itself', { a: { $type: 'color', $value: '{a}' } }, 'cyclic-alias', 'a'],
    ['an alias to nothing', { a: { $type: 'color', $value: '{x.y}' } }, 'missing-alias', 'a'],
    ['a number', { g: { $type: 'color', a: { $value: 12 } } }, 'wrong-type', 'g.a'],
    ['a word', { a: { $type: 'color', $value: 'bluish' } }, 'not-a-color', 'a'],
    [
      'alpha above 1',
      { a: { $type: 'color', $value: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 7 } } },
      'not-a-color',
      'a',
    ],
    [
      'two components',
      { a: { $type: 'color', $value: { colorSpace: 'srgb', components: [0, 0] } } },
      'not-a-color',
      'a',
    ],
  ])('%s is told with its path, and what is sound beside it is read', (_, json, code, where) => {
    const { colors, problems } = read({ ...json, sound: { $type: 'color', $value: '#123456' } })
    expect(problems).toContainEqual({ code, where })
    expect(colors).toEqual([{ value: '#123456', name: 'sound' }])
  })

  test('what is no JSON, and JSON that is no object', () => {
    expect(readTokens('{"a": ').problems).toEqual([{ code: 'bad-json' }])
    expect(readTokens('[1, 2]').problems).toEqual([{ code: 'bad-json' }])
  })
})

describe('writing', () => {
  const frame = frameSchema.parse({
    ...ternFrame,
    palette: {
      ...ternFrame.palette,
      slots: {
        ...ternFrame.palette.slots,
        brand: {
          ...(ternFrame.palette.slots['brand' as never]! as object),
          note: 'Sign and spine',
          group: 'Own {colours}.',
          extensions: { 'org.example.tool': { keep: [1, null, 'x'] } },
        },
        mist: { id: 'mist', name: 'Paper', value: '#abcdef80', was: [] },
        slate: { id: 'slate', name: 'Slate', value: null, was: [] },
      },
    },
  })

  test.each(['object', 'string'] as const)('gives back what it wrote, in the %s form', (form) => {
    const text = writeTokens(frame.palette, frame.themes, form)
    const { colors, problems } = readTokens(text)
    expect(problems).toEqual([])
    expect(colors).toEqual([
      { value: '#f7f2e7', name: 'Paper' },
      { value: '#abcdef80', name: 'Paper 2' },
      { value: '#d65a2a', name: 'Spark' },
      { value: '#17211f', name: 'Ink' },
      {
        value: '#1d5955',
        name: 'Brand',
        group: 'Own colours',
        note: 'Sign and spine',
        extensions: { 'org.example.tool': { keep: [1, null, 'x'] } },
      },
    ])
  })

  test('themes are aliases to slots and shades, and all of them lead somewhere', () => {
    const json = JSON.parse(writeTokens(ternFrame.palette, ternFrame.themes, 'object'))
    expect(json.themes['on-ink'].ground).toEqual({ $value: '{palette.Ink}' })
    expect(json.themes['on-paper']['link-hover']).toEqual({ $value: '{shades.brand.darker-12}' })
    const all = tokensOf(treeOf(json))
    const paths = new Set(all.map((token) => token.path.join('.')))
    const aliases = all.flatMap(({ value }) =>
      value.form === 'alias' ? [value.path.join('.')] : [],
    )
    expect(aliases.length).toBeGreaterThan(100)
    expect(aliases.filter((alias) => !paths.has(alias))).toEqual([])
  })

  test('the object form means the same colour as the slot', () => {
    const json = JSON.parse(writeTokens(ternFrame.palette, ternFrame.themes, 'object'))
    const value = readTokenTree(json)!.children.flatMap((child) =>
      child.kind === 'group' && child.name === 'palette' ? child.children : [],
    )[2] as Token
    expect(sameColor(tokenColor(value.value)!, colorOf('#1D5955')!)).toBe(true)
    expect(difference(tokenColor(value.value)!, colorOf('#1D5955')!)).toBeLessThan(0.01)
  })
})
