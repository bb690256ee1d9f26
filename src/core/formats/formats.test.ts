import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import { colorKey, colorOf, contrast, fromBytes } from '../color'
import { ternFrame } from '@demo/tern/frame'
import { brandSheet, namedColors } from './brand-sheet'
import { isGpl, readGpl, writeGpl } from './gpl'
import { writePlainText } from './plain-text'
import { readPalette } from './read-palette'
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
