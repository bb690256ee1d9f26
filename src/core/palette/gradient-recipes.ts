import { luminance, toOklch, type Color, type Shade } from '../color'

/** A colour of a recipe: a slot by its id, or a shade of it. */
export interface RecipeStop {
  readonly at: number
  readonly color: { readonly slot: string; readonly shade?: Shade }
}

/** A gradient out of a palette, as paints hold it. */
export interface RecipeGradient {
  readonly gradient: 'linear' | 'radial' | 'conic'
  readonly angle: number
  readonly stops: readonly RecipeStop[]
  readonly center?: { readonly x: number; readonly y: number }
  readonly space?: 'srgb' | 'oklab' | 'oklch'
}

/** A colour of the palette that recipes are made of. */
export interface RecipeColor {
  readonly id: string
  readonly color: Color
}

/** The parts that colours of a palette play in a recipe; with few colours, one plays several. */
interface Cast {
  readonly lightest: string
  readonly light: string
  readonly mid: string
  readonly dark: string
  readonly darkest: string
  readonly accent: string
  readonly second: string
  readonly inOrder: readonly string[]
}

/** Who plays what: by luminance from light to dark, and the most vivid of those that are neither very light nor very dark. */
function castOf(colors: readonly RecipeColor[]): Cast | undefined {
  if (colors.length === 0) return undefined
  const byLight = [...colors].sort((a, b) => luminance(b.color) - luminance(a.color))
  const ids = byLight.map(({ id }) => id)
  const pick = (share: number) => ids[Math.round(share * (ids.length - 1))]!
  const vividness = ({ color }: RecipeColor) => {
    const { l, c } = toOklch(color)
    return c * (l > 0.2 && l < 0.93 ? 1 : 0.4)
  }
  const byVivid = [...colors].sort((a, b) => vividness(b) - vividness(a))
  return {
    lightest: pick(0),
    light: pick(0.25),
    mid: pick(0.5),
    dark: pick(0.75),
    darkest: pick(1),
    accent: byVivid[0]!.id,
    second: (byVivid[1] ?? byVivid[0]!).id,
    inOrder: ids,
  }
}

type Recipe = readonly [id: string, label: string, make: (cast: Cast) => RecipeGradient]

const at = (place: number, slot: string, shade?: Shade): RecipeStop => ({
  at: place,
  color: shade ? { slot, shade } : { slot },
})

const linear = (angle: number, ...stops: RecipeStop[]): RecipeGradient => ({
  gradient: 'linear',
  angle,
  stops,
  space: 'oklab',
})

const radial = (x: number, y: number, ...stops: RecipeStop[]): RecipeGradient => ({
  gradient: 'radial',
  angle: 0,
  center: { x, y },
  stops,
  space: 'oklab',
})

const conic = (angle: number, ...stops: RecipeStop[]): RecipeGradient => ({
  gradient: 'conic',
  angle,
  stops,
  space: 'oklab',
})

const lighter = (lightness: number): Shade => ({ lightness })
const clear: Shade = { alpha: -100 }

/** Colours in equal steps from beginning to end; with `hard`, each a field of its own. */
function spread(ids: readonly string[], hard: boolean): RecipeStop[] {
  const some = ids.slice(0, hard ? 6 : 12)
  if (some.length === 1) return [at(0, some[0]!), at(100, some[0]!, lighter(-10))]
  const place = (i: number, of: number) => Math.round((i / of) * 1000) / 10
  return some.flatMap((id, i) =>
    hard
      ? [at(place(i, some.length), id), at(place(i + 1, some.length), id)]
      : [at(place(i, some.length - 1), id)],
  )
}

/** Recipes of our own for gradients, each out of whatever palette there is. */
const recipes: readonly Recipe[] = [
  [
    'deeper',
    'Deeper below',
    ({ accent }) => linear(180, at(0, accent), at(100, accent, lighter(-14))),
  ],
  [
    'lit',
    'Lit from above',
    ({ accent }) => linear(180, at(0, accent, lighter(14)), at(100, accent)),
  ],
  [
    'night',
    'Into the night',
    ({ darkest }) => linear(180, at(0, darkest, lighter(12)), at(100, darkest)),
  ],
  [
    'morning',
    'Morning mist',
    ({ lightest, light }) => linear(180, at(0, lightest), at(100, light)),
  ],
  [
    'slant',
    'Two brands, slanting',
    ({ accent, second }) => linear(120, at(0, accent), at(100, second)),
  ],
  [
    'turned',
    'Turned hue',
    ({ accent }) => linear(135, at(0, accent), at(100, accent, { hue: 40 })),
  ],
  [
    'turned-back',
    'Turned back',
    ({ accent }) => linear(135, at(0, accent), at(100, accent, { hue: -40 })),
  ],
  ['fading', 'Fading out', ({ accent }) => linear(180, at(0, accent), at(100, accent, clear))],
  [
    'fading-aside',
    'Fading aside',
    ({ accent }) => linear(90, at(0, accent), at(100, accent, clear)),
  ],
  [
    'foot',
    'Dark at the foot',
    ({ darkest }) => linear(180, at(0, darkest, clear), at(100, darkest, { alpha: -15 })),
  ],
  [
    'sheen',
    'Sheen',
    ({ accent }) => linear(105, at(0, accent), at(45, accent, lighter(14)), at(100, accent)),
  ],
  [
    'ledge',
    'Ledge',
    ({ accent }) =>
      linear(
        180,
        at(0, accent),
        at(92, accent),
        at(92, accent, lighter(-16)),
        at(100, accent, lighter(-16)),
      ),
  ],
  [
    'halves',
    'Halves',
    ({ accent, second }) =>
      linear(90, at(0, accent), at(50, accent), at(50, second), at(100, second)),
  ],
  [
    'horizon',
    'Horizon',
    ({ light, mid, dark }) =>
      linear(180, at(0, light), at(58, light, lighter(-6)), at(60, mid), at(100, dark)),
  ],
  [
    'dawn',
    'Dawn',
    ({ lightest, accent, second }) =>
      linear(200, at(0, lightest), at(70, accent, { alpha: -55 }), at(100, second)),
  ],
  [
    'dusk',
    'Dusk',
    ({ darkest, accent }) =>
      linear(160, at(0, darkest), at(75, accent, lighter(-18)), at(100, accent)),
  ],
  [
    'glow',
    'Glow in the middle',
    ({ accent }) => radial(50, 50, at(0, accent, lighter(16)), at(100, accent, lighter(-4))),
  ],
  [
    'lamp',
    'Lamp in the corner',
    ({ darkest, accent }) =>
      radial(85, 10, at(0, accent, lighter(6)), at(70, darkest), at(100, darkest)),
  ],
  [
    'paper',
    'Worn paper',
    ({ lightest }) => radial(50, 40, at(0, lightest), at(100, lightest, lighter(-7))),
  ],
  [
    'spot',
    'Spot of colour',
    ({ light, accent }) =>
      radial(20, 80, at(0, accent, { alpha: -40 }), at(60, light), at(100, light)),
  ],
  [
    'fan',
    'Fan',
    ({ accent }) =>
      conic(
        210,
        at(0, accent),
        at(25, accent, lighter(14)),
        at(50, accent),
        at(75, accent, lighter(-12)),
        at(100, accent),
      ),
  ],
  [
    'wheel',
    'All slots around',
    ({ inOrder }) => conic(0, ...spread([...inOrder.slice(0, 11), inOrder[0]!], false)),
  ],
  ['stripes', 'All slots in fields', ({ inOrder }) => linear(90, ...spread(inOrder, true))],
  ['ramp', 'All slots, light to dark', ({ inOrder }) => linear(90, ...spread(inOrder, false))],
]

export interface GradientRecipe {
  readonly id: string
  readonly label: string
  readonly paint: RecipeGradient
}

/**
 * Gradients out of a palette: every stop is one of its slots or a shade of one, so that they follow
 * it. None where the palette holds no colour.
 */
export function gradientRecipes(colors: readonly RecipeColor[]): GradientRecipe[] {
  const cast = castOf(colors)
  return cast ? recipes.map(([id, label, make]) => ({ id, label, paint: make(cast) })) : []
}
