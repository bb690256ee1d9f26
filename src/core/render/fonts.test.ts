import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { ternFrame } from '@demo/tern/frame'
import { typefaceCss } from './base-css'
import { fontFiles, fontsOf, siteFonts, stackOf, subsets, typefacesOf } from './fonts'

const packages = path.join(process.cwd(), 'node_modules', '@fontsource-variable')
const read = (name: string, file: string): never =>
  JSON.parse(readFileSync(path.join(packages, name, file), 'utf8')) as never

test('at least twenty typefaces ship, each once', () => {
  expect(siteFonts.length).toBeGreaterThanOrEqual(20)
  expect(new Set(siteFonts.map(({ family }) => family)).size).toBe(siteFonts.length)
})

interface Metadata {
  readonly family: string
  readonly license: { readonly type: string }
  readonly variable: { readonly wght: { readonly min: string; readonly max: string } }
}

/** Source: the metadata of each package, and the files in it. */
test.each(siteFonts)(
  '$family is what its package says: name, weights, an open licence, its files',
  (font) => {
    const { family, license, variable } = read(font.package, 'metadata.json') as Metadata
    expect(font.family).toBe(family)
    expect(font.license).toBe(license.type)
    expect(['OFL-1.1', 'Apache-2.0']).toContain(font.license)
    expect(font.weights).toEqual([Number(variable.wght.min), Number(variable.wght.max)])
    for (const file of fontFiles(font)) {
      expect(existsSync(path.join(packages, font.package, 'files', file))).toBe(true)
    }
    const ranges = read(font.package, 'unicode.json') as Readonly<Record<string, string>>
    for (const [subset, range] of Object.entries(subsets)) {
      // One of them counts four currency signs more, which hardly any page has.
      expect(range.replaceAll(' ', '')).toBe(ranges[subset]!.replace('20C4', '20C0'))
    }
  },
)

test('a site loads the typefaces of its faces, each once, and no others', () => {
  expect(typefacesOf(ternFrame).sort()).toEqual(['Fraunces', 'Karla'])
  const titled = { ...ternFrame.settings, titleFace: 'Lora' }
  expect(typefacesOf({ settings: titled }).sort()).toEqual(['Fraunces', 'Karla', 'Lora'])
  const css = typefaceCss(fontsOf(['Lora']), (file) => `fonts/${file}`)
  expect(css.match(/@font-face/g)).toHaveLength(2)
  expect(css).toContain('url("fonts/lora-latin-ext-wght-normal.woff2")')
})

test('the name of a typeface cannot end what it stands in', () => {
  expect(stackOf('Lora')).toBe('"Lora", Georgia, serif')
  expect(stackOf('a"; } * { color: red')).toBe('"a ; } * { color: red", system-ui, sans-serif')
  expect(stackOf('a\\\n')).toBe('"a  ", system-ui, sans-serif')
})
