import fc from 'fast-check'
import { colorKey, colorOf, difference, fromBytes, inGamut, over, toBytes, white } from '../color'
import { anyWritten } from '../color/random-color.fixture'
import { rolePairs } from '../elements'
import { roleIds, type RoleId } from '../roles'
import { buttonForms, type ButtonForm } from '../traits'
import { themeGenerator } from './generate'
import { groundKind, usefulGrounds } from './grounds'
import type { PaletteColor } from './inks'
import { colorOfDecision, pairsThatFail, referenceContrast, themeFaults } from './reference.fixture'

const paletteOf = (texts: readonly string[]): PaletteColor[] =>
  texts.map((text, i) => ({ id: `s${i}`, color: colorOf(text)! }))

const allThemes = (palette: readonly PaletteColor[], form: ButtonForm = 'solid') => {
  const generate = themeGenerator(palette, form)
  return usefulGrounds(palette).map(({ decision, color }) => generate(decision, color))
}

const nasty: ReadonlyArray<readonly [string, string[]]> = [
  [
    'six near-identical mid greys',
    ['#757575', '#767676', '#777777', '#787878', '#797979', '#7a7a7a'],
  ],
  ['one colour', ['#d65a2a']],
  ['one mid grey', ['#757575']],
  ['pure black', ['#000000']],
  ['pure white', ['#ffffff']],
  ['all alike', Array<string>(8).fill('#1d5955')],
  ['half transparent', ['#00000080', '#ff000040', '#ffffff80']],
  ['nothing to be seen', ['#00000000']],
  ['one cyan', ['#00ffff']],
  ['beyond sRGB', ['color(display-p3 0.25 0.77 0.14)', 'color(rec2020 1 0 0.2 / 0.4)']],
  ['neon', ['#ff00ff', '#00ff00', '#ffff00', '#00ffff']],
  ['three greys around the middle', ['#707070', '#777777', '#808080']],
]

describe('every pair that meets holds WCAG 2.2 AA, words keep their turn, buttons are told', () => {
  test.each(nasty)('%s', (_, texts) => {
    const palette = paletteOf(texts)
    for (const form of buttonForms) {
      const themes = allThemes(palette, form)
      expect(themes.length).toBeGreaterThanOrEqual(1)
      for (const roles of themes) expect([form, themeFaults(palette, roles)]).toEqual([form, []])
    }
  })

  test('any ground whatever, every 8-bit grey and 500 colours', () => {
    const palette = paletteOf(['#1d5955', '#d65a2a', '#f7f2e7'])
    const greys = Array.from({ length: 256 }, (_, i) => `rgb(${i} ${i} ${i})`)
    const colors = Array.from(
      { length: 500 },
      (_, i) => `hsl(${(i * 137) % 360} ${(i * 7) % 101}% ${(i * 13) % 101}%)`,
    )
    for (const text of [...greys, ...colors]) {
      const all = [...palette, { id: 'own', color: colorOf(text)! }]
      const roles = themeGenerator(all)({ slot: 'own' }, colorOf(text)!)
      expect([text, themeFaults(all, roles)]).toEqual([text, []])
    }
  })

  /** Ten thousand are tried by `guarantee.ts`, which the test command runs outside Jest, where they take a minute. */
  test('random palettes of 1 to 64 slots, some see-through', () => {
    const byte = fc.integer({ min: 0, max: 255 })
    const color = fc
      .tuple(byte, byte, byte, fc.oneof({ weight: 9, arbitrary: fc.constant(255) }, byte))
      .map(([r, g, b, a]) => ({ r: r / 255, g: g / 255, b: b / 255, alpha: a / 255 }))
    const palette = fc.array(color, { minLength: 1, maxLength: 64 })
    fc.assert(
      fc.property(palette, (colors) => {
        const slots = colors.map((each, i) => ({ id: `s${i}`, color: each }))
        for (const roles of allThemes(slots)) expect(themeFaults(slots, roles)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })

  test('random palettes beyond eight bits, and what each slot rounds to right after it', () => {
    fc.assert(
      fc.property(fc.array(anyWritten, { minLength: 1, maxLength: 10 }), (colors) => {
        const palette = colors.map((color, i) => ({ id: `s${i}`, color }))
        const rounded = palette.map(({ id, color }) => ({
          id,
          color: fromBytes(toBytes(color), color.alpha),
        }))
        const first = allThemes(palette)
        for (const roles of first) expect(themeFaults(palette, roles)).toEqual([])
        for (const roles of allThemes(rounded)) expect(themeFaults(rounded, roles)).toEqual([])
        expect(allThemes(palette)).toEqual(first)
      }),
      { numRuns: 60 },
    )
  })

  test('one slot, two colours that round alike: each has the shades of its own', () => {
    for (const text of ['color(display-p3 0.25 0.77 0.14)', '#00c800']) {
      const palette = paletteOf([text])
      for (const roles of allThemes(palette)) expect(themeFaults(palette, roles)).toEqual([])
    }
  })
})

describe('roles that a kind of element brings together anew', () => {
  /** A badge puts the main button’s label on the accent. */
  const badge = [...rolePairs, { role: 'buttonLabel', on: 'accent', needs: 4.5 } as const]

  test.each(nasty)('%s', (_, texts) => {
    const palette = paletteOf(texts)
    const generate = themeGenerator(palette, 'solid', badge)
    for (const { decision, color } of usefulGrounds(palette)) {
      expect(pairsThatFail(palette, generate(decision, color), badge)).toEqual([])
    }
  })

  test('any palette', () => {
    const byte = fc.integer({ min: 0, max: 255 })
    const color = fc
      .tuple(byte, byte, byte)
      .map(([r, g, b]) => ({ r: r / 255, g: g / 255, b: b / 255, alpha: 1 }))
    fc.assert(
      fc.property(fc.array(color, { minLength: 1, maxLength: 12 }), (colors) => {
        const palette = colors.map((each, i) => ({ id: `s${i}`, color: each }))
        const generate = themeGenerator(palette, 'solid', badge)
        for (const ground of usefulGrounds(palette)) {
          const roles = generate(ground.decision, ground.color)
          expect(pairsThatFail(palette, roles, badge)).toEqual([])
        }
      }),
      { numRuns: 100 },
    )
  })

  test('what is given stays', () => {
    const palette = paletteOf(['#f7f2e7', '#1d5955'])
    const accent = { decision: { value: '#808080' }, color: colorOf('#808080')! }
    const roles = themeGenerator(palette, 'solid', badge)({ slot: 's0' }, colorOf('#f7f2e7')!, {
      accent,
    })
    expect(roles.accent).toEqual({ value: '#808080' })
  })
})

describe('a theme', () => {
  const tern = paletteOf(['#f7f2e7', '#dce5e0', '#1d5955', '#d65a2a', '#5c6866', '#17211f'])

  test('is the same for the same palette', () => {
    expect(allThemes(tern)).toEqual(
      allThemes(paletteOf(['#f7f2e7', '#dce5e0', '#1d5955', '#d65a2a', '#5c6866', '#17211f'])),
    )
  })

  test('decides every role by a slot or a shade of one', () => {
    for (const roles of allThemes(tern)) {
      expect(Object.keys(roles).sort()).toEqual([...roleIds].sort())
      for (const decision of Object.values(roles)) {
        expect(decision).toMatchObject({ slot: expect.stringMatching(/^s[0-5]$/) })
      }
    }
  })

  test('keeps roles apart: links from text, hover from rest, cards from ground, quiet from main', () => {
    for (const palette of [tern, paletteOf(['#ffffff', '#3b5bdb', '#111111'])]) {
      for (const roles of allThemes(palette)) {
        const color = (role: RoleId) => over(colorOfDecision(palette, roles[role]), white)
        const gap = (a: RoleId, b: RoleId) => difference(color(a), color(b))
        // On a ground of middle lightness only near-blacks read; there the underline tells a link (WCAG 2.2 §1.4.1).
        expect(gap('link', 'text')).toBeGreaterThan(groundKind(color('ground')) === 'vivid' ? 1 : 5)
        expect(gap('linkHover', 'link')).toBeGreaterThan(2)
        expect(gap('buttonHoverFill', 'buttonFill')).toBeGreaterThan(2)
        expect(gap('surface', 'ground')).toBeGreaterThan(1)
        expect(colorOfDecision(palette, roles.quietFill).alpha).toBe(0)
      }
    }
  })

  test('takes the slot itself where it reads: ink on paper, the accent on the button', () => {
    const [paper] = allThemes(tern)
    expect(paper).toMatchObject({
      ground: { slot: 's0' },
      heading: { slot: 's5' },
      mutedText: { slot: 's4' },
      buttonFill: { slot: 's3' },
      quietFill: { slot: 's0', shade: { alpha: -100 } },
    })
    expect(paper!.heading).not.toHaveProperty('shade')
    expect(paper!.buttonFill).not.toHaveProperty('shade')
  })

  /** Common practice, no source: of eight from light to dark, the fifth reads on the first and the fourth on the eighth. */
  test('eight slots from light to dark: the rule of thumb on pairs holds', () => {
    const ramp = [97, 90, 78, 66, 45, 34, 24, 12].map((l) => `oklch(${l}% 0.04 200)`)
    const eight = paletteOf(ramp)
    const ratio = (a: number, b: number) => referenceContrast(eight[a]!.color, eight[b]!.color)
    expect(ratio(4, 0)).toBeGreaterThanOrEqual(4.5)
    expect(ratio(3, 7)).toBeGreaterThanOrEqual(4.5)
    for (const roles of allThemes(eight)) expect(themeFaults(eight, roles)).toEqual([])
  })
})

describe('grounds', () => {
  test('two pale, one vivid, two dark, where the palette has them', () => {
    const tern = paletteOf(['#f7f2e7', '#dce5e0', '#1d5955', '#d65a2a', '#5c6866', '#17211f'])
    const found = usefulGrounds(tern).map(({ kind, decision }) => `${kind} ${decision.slot}`)
    expect(found).toEqual(['pale s0', 'pale s1', 'vivid s3', 'dark s2', 'dark s5'])
  })

  test('a shade stands in where there is no pale or no dark one', () => {
    const grounds = usefulGrounds(paletteOf(['#757575', '#767676']))
    expect(grounds.map(({ kind }) => kind)).toEqual(['pale', 'dark'])
    expect(grounds.map(({ color }) => groundKind(color))).toEqual(['pale', 'dark'])
    expect(grounds[0]!.decision.shade!.lightness).toBeGreaterThan(20)
  })

  test('are within sRGB, whatever their slots hold', () => {
    const wide = paletteOf(['color(display-p3 0 1 0)', 'color(rec2020 1 0 0)', 'lab(50 120 0)'])
    for (const { color } of usefulGrounds(wide)) expect(inGamut(color, 0)).toBe(true)
  })

  test('alike slots give one ground, no slots none', () => {
    expect(usefulGrounds(paletteOf(Array<string>(5).fill('#fafafa')))).toHaveLength(2)
    expect(usefulGrounds([])).toEqual([])
    expect(
      new Set(usefulGrounds(paletteOf(['#fff', '#000'])).map(({ color }) => colorKey(color))).size,
    ).toBe(2)
  })
})
