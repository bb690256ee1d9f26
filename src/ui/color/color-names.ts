import type { Color } from '@/core/color'
import { colorNamer } from '@/core/palette'

type Namer = (color: Color, taken?: Iterable<string>) => string
let loading: Promise<Namer> | undefined

/** The list of names is loaded when a name is asked for, and only then. */
export function loadNamer(): Promise<Namer> {
  loading ??= import('color-name-list/bestof').then(({ colornames }) =>
    colorNamer(Object.fromEntries(colornames.map(({ hex, name }) => [hex.slice(1), name]))),
  )
  return loading
}
