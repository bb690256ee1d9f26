import type { Pictures } from '../site'
import { faceSetting, faces, type Settings } from '../traits'
import { withPictures } from './follow'
import type { Livery } from './livery'

/** Something of a livery that a site cannot follow, because what it needs is not there. */
export type Lack =
  | { readonly what: 'typeface'; readonly family: string; readonly stays: string }
  | { readonly what: 'picture'; readonly style: string; readonly count: number }

/** What a site has that a livery may ask for. */
export interface Stock {
  readonly settings: Settings
  readonly pictures: Pictures
  /** The names of all typefaces that can be used. */
  readonly families: ReadonlySet<string>
}

const weightOf = {
  title: 'titleWeight',
  heading: 'headingWeight',
  body: 'bodyWeight',
  interactive: 'interactiveWeight',
} as const

/** Typefaces that are not there stay what they are, with their weights. */
function facesOf(livery: Livery, { settings, families }: Stock) {
  const missing = faces.filter((face) => !families.has(livery.settings[faceSetting[face]]))
  const stays = missing.flatMap((face) => {
    const [family, weight] = [faceSetting[face], weightOf[face]]
    return [
      [family, settings[family]],
      [weight, settings[weight]],
    ] as const
  })
  const lacks = new Map(
    missing.map((face) => {
      const key = faceSetting[face]
      return [
        livery.settings[key],
        { what: 'typeface', family: livery.settings[key], stays: settings[key] } as const,
      ]
    }),
  )
  return {
    settings: { ...livery.settings, ...Object.fromEntries(stays) },
    lacks: [...lacks.values()],
  }
}

/** A livery without what a site has nothing for, and what that is. Pictures are known by their files. */
export function clearLivery(
  livery: Livery,
  stock: Stock,
): { readonly livery: Livery; readonly lacks: readonly Lack[] } {
  const byFile = new Map(Object.values(stock.pictures).map(({ file, id }) => [file, id as string]))
  const elsewhere = (id: string) => byFile.get(livery.files[id] ?? '')
  const { settings, lacks } = facesOf(livery, stock)
  const without = Object.values(livery.styles).map((style) => {
    const { looks, lost } = withPictures(style.looks, elsewhere)
    return { style: { ...style, looks }, lost }
  })
  const styles = without.map(({ style }) => [style.id, style] as const)
  return {
    livery: {
      ...livery,
      settings,
      styles: Object.fromEntries(styles) as Livery['styles'],
      files: {},
    },
    lacks: [
      ...lacks,
      ...without.flatMap(({ style, lost }) =>
        lost ? [{ what: 'picture', style: style.name, count: lost } as const] : [],
      ),
    ],
  }
}
