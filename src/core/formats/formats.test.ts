import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import { colorKey, colorOf, contrast, fromBytes, white, writeHex } from '../color'
import { anyColor } from '../color/random-color.fixture'
import { typedName } from '../site'
import { ternFrame } from '@demo/tern/frame'
import { brandSheet, namedColors } from './brand-sheet'
import { isGpl, readGpl, writeGpl } from './gpl'
import { writePlainText } from './plain-text'
import { readPalette } from './read-palette'
import { readThemes } from './read-themes'
import { writeSwatchSheet } from './swatch-sheet'

describe('GIMP palettes', () => {
  /** Of Debian's package calligra-data; the test command unpacks it here. */
  const folder = process.env.EASEL_GPL ?? ''
  const files = existsSync(folder) ? readdirSync(folder).filter((f) => f.endsWith('.gpl')) : []

  test('the files of calligra-data are there', () =>
    expect(files.length).toBeGreaterThanOrEqual(10))

  test.each(files)('%s is read to the last entry, written and read again', (file) => {
    const text = readFileSync(path.join(folder, file), 'utf8')
    // Counted another way: lines that begin with three numbers.
    const entries = text.split('\n').filter((line) => /^\s*\d+\s+\d+\s+\d+/.test(line))
    const { colors, problems, total } = readGpl(text)
    expect(problems).toEqual([])
    expect(total).toBe(entries.length)
    colors.forEach(({ value }, i) => {
      const bytes = entries[i]!.trim().split(/\s+/).slice(0, 3).map(Number)
      expect(colorKey(colorOf(value)!)).toBe(colorKey(fromBytes(bytes as never)))
    })
    const named = colors.map(({ value, name }) => ({ name: name ?? '', color: colorOf(value)! }))
    expect(readGpl(writeGpl(file, named)).colors).toEqual(colors)
  })

  test('CRLF, no names, no header lines, blanks in front, broken lines', () => {
    const text =
      'GIMP Palette\r\n 12  34 56\r\n\r\n# note\r\n300 0 0 too much\r\n1 2\r\n255\t0\t0\tRed  one \r\n'
    expect(readGpl(text)).toEqual({
      format: 'gpl',
      colors: [{ value: '#0c2238' }, { value: '#ff0000', name: 'Red one' }],
      problems: [
        { code: 'broken-line', where: '5' },
        { code: 'broken-line', where: '6' },
      ],
      total: 2,
    })
  })

  test('any colours come back as they were', () => {
    const color = fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255))
    fc.assert(
      fc.property(fc.array(color, { maxLength: 60 }), (all) => {
        const named = all.map((bytes, i) => ({ name: `No ${i}`, color: fromBytes(bytes) }))
        const back = readGpl(writeGpl('x', named)).colors
        expect(back.map(({ value }) => colorKey(colorOf(value)!))).toEqual(
          named.map(({ color: one }) => colorKey(one)),
        )
      }),
    )
  })
})

describe('reading anything', () => {
  test('tells the formats apart', () => {
    expect(readPalette('GIMP Palette\n1 2 3 a').format).toBe('gpl')
    expect(isGpl('gimp palettes are nice: #123456')).toBe(true)
    expect(readPalette(':root { --x: #123; }').format).toBe('css')
    expect(readPalette('{"a":{"$type":"color","$value":"#123"}}').format).toBe('tokens')
    expect(readPalette('Moss #334d33').format).toBe('text')
  })

  test('custom properties by name, with those that name others, without numbers', () => {
    const css = `:root{--color-soft-grey:#ccc;--brand: oklch(60% 0.1 200);--link:var(--brand);
      --weight: 300; --pad: 4px; --loop: var(--loop); --gone: var(--nowhere, red) } /* --no: #fff; */`
    const { colors, problems } = readPalette(css)
    expect(colors.map(({ name }) => name)).toEqual(['Soft grey', 'Brand', 'Link'])
    expect(colors[2]!.value).toBe(colors[1]!.value)
    expect(problems).toEqual([
      { code: 'cyclic-alias', where: '--loop' },
      { code: 'missing-alias', where: '--gone' },
    ])
  })

  test('ten thousand entries: the first 256 are offered, and that is told', () => {
    const lines = Array.from({ length: 10_000 }, (_, i) => `${i % 256} ${(i >> 8) % 256} 7 n${i}`)
    const { colors, problems, total } = readPalette(['GIMP Palette', ...lines].join('\n'))
    expect([colors.length, total]).toEqual([256, 10_000])
    expect(problems).toEqual([{ code: 'too-many', where: '10000' }])
  })

  test('nothing, and names that repeat', () => {
    expect(readPalette('no colour here').problems).toEqual([{ code: 'no-color' }])
    expect(readPalette('').problems).toEqual([{ code: 'no-color' }])
    const twice = readPalette('GIMP Palette\n1 1 1 Sand\n2 2 2 sand\n3 3 3 Sand')
    expect(twice.colors.map(({ name }) => name)).toEqual(['Sand', 'sand 2', 'Sand 3'])
  })

  test.each([
    [
      '{"brand":{"value":"#1d5955","type":"color"},"link":{"value":"{brand.value}"}}',
      ['brand #1d5955'],
    ],
    ['{"color":{"base":{"red":{"value":"#ff0000"}}}}', ['red #ff0000']],
    ["// tokens\n{ brand: { $type: 'color', $value: '#1d5955', }, }", ['brand #1d5955']],
    ['{"brand":{"$type":"color","$value":{"r":0.5,"g":0,"b":1,"a":0.5}}}', ['brand #8000ff80']],
    ['{"brand":{"type":"color","value":{"r":255,"g":0,"b":16}}}', ['brand #ff0010']],
    ['{"brand":{"r":255,"g":0,"b":16,"a":1}}', ['brand #ff0010']],
    [
      '[{"name":"Brick","hex":"#aa3311"},{"name":"Moss","hex":"#334d33"}]',
      ['Brick #aa3311', 'Moss #334d33'],
    ],
    ['{"blue":{"500":"#0000ff","600":"#0000aa"}}', ['blue 500 #0000ff', 'blue 600 #0000aa']],
    ['{"a":{"$value":"#111111"},"b":{"$value":"#222222"}}', ['a #111111', 'b #222222']],
    ['[data-x]{--brand:#1d5955}', ['Brand #1d5955']],
  ])('JSON of another dialect: %s', (text, told) => {
    const { colors } = readPalette(text)
    expect(colors.map(({ name, value }) => `${name} ${value}`)).toEqual(told)
  })

  test('what stands too deep, and JSON without an end, is refused with words', () => {
    const deep = `${'{"a":'.repeat(400_000)}1${'}'.repeat(400_000)}`
    expect(readPalette(deep).problems).toEqual([{ code: 'too-deep' }])
    expect(readThemes(deep, ternFrame.palette).problems).toEqual([{ code: 'too-deep' }])
    expect(readPalette('{"a": ').problems).toEqual([{ code: 'bad-json' }])
  })

  test('chains and circles of 20,000 names, each gone through once', () => {
    const names = Array.from({ length: 20_000 }, (_, i) => i)
    const css = `:root{${names.map((i) => `--a${i}:var(--a${i + 1});`).join('')}--a20000:#123}`
    expect(readPalette(css).total).toBe(20_001)
    const circle = `:root{${names.map((i) => `--a${i}:var(--a${(i + 1) % 20_000});`).join('')}--b:#123}`
    expect(readPalette(circle).problems.filter(({ code }) => code === 'cyclic-alias')).toHaveLength(
      20_000,
    )
    const tokens = Object.fromEntries(names.map((i) => [`a${i}`, { $value: `{a${i + 1}}` }]))
    const file = JSON.stringify({ ...tokens, a20000: { $type: 'color', $value: '#123' } })
    expect(readPalette(file).colors).toHaveLength(1)
  })

  test.each([
    ['comments that are not closed', '--a:#123;' + '/*'.repeat(200_000)],
    ['dashes', '-'.repeat(400_000) + '\n#123'],
    ['blanks', '--a:' + ' '.repeat(400_000) + '#123'],
    ['a long word', `${'a'.repeat(400_000)} #123`],
    ['brackets', '[' + '/**/'.repeat(100_000) + '#123'],
  ])('a long text of nothing but %s is read', (_, text) => {
    expect(readPalette(text).colors.length).toBeLessThan(2)
  })

  test('JSON that is no token file still gives its colours', () => {
    expect(readPalette('{"colors": ["#abcdef", "#123456"]}').colors).toHaveLength(2)
  })
})

describe('writing', () => {
  const colors = namedColors(ternFrame.palette)

  test('plain text, in columns', () => {
    expect(writePlainText(colors).split('\n')[0]).toBe('Paper  #f7f2e7    rgb(247 242 231)')
    expect(readPalette(writePlainText(colors)).colors).toHaveLength(6)
  })

  test('plain text gives back every colour and name, whatever they are', () => {
    const name = fc
      .string({ minLength: 1, maxLength: 60 })
      .filter((text) => typedName.safeParse(text).success)
      .map((text) => typedName.parse(text))
    const names = fc.uniqueArray(name, {
      minLength: 1,
      maxLength: 12,
      selector: (n) => n.toLowerCase(),
    })
    const palette = names.chain((all) =>
      fc.tuple(...all.map((own) => anyColor.map((color) => ({ name: own, color })))),
    )
    fc.assert(
      fc.property(palette, (written) => {
        const told = written.map((each) => ({ name: each.name, value: writeHex(each.color) }))
        expect(readPalette(writePlainText(written)).colors).toEqual(told)
      }),
      { examples: [[[{ name: '--x: #fff;', color: white }]], [[{ name: '{', color: white }]]] },
    )
  })

  test('a swatch sheet is well-formed and names every colour', () => {
    const odd = [...colors, { name: '<b> & "c"', color: { r: 1, g: 0, b: 0, alpha: 0.5 } }]
    const svg = writeSwatchSheet('Tern & Thistle', odd)
    expect(svg).toContain('<title>Tern &amp; Thistle</title>')
    expect(svg).toContain('&lt;b&gt; &amp; &quot;c&quot;')
    expect(svg).toContain('fill="#ff0000" fill-opacity="0.5"')
    expect(svg.match(/<rect /g)).toHaveLength(odd.length + 1)
  })

  test('a brand sheet holds every pair once each way', () => {
    const { contrasts, colors: all } = brandSheet('x', ternFrame.palette)
    expect(contrasts).toHaveLength(6)
    expect(contrasts[0]![5]).toBeCloseTo(contrast(all[0]!.color, all[5]!.color), 10)
    contrasts.forEach((row, i) => expect(row[i]).toBe(1))
  })
})
