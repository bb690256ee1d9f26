import { useEffect, useState } from 'react'
import type { Color } from '@/core/color'
import { colorNamer, nameJudge } from '@/core/palette'

export interface Names {
  /** The name of the nearest colour that is not taken. */
  readonly namer: (color: Color, taken?: Iterable<string>) => string
  /** Whether a name says a colour that is no longer there. */
  readonly isOutdated: (name: string, before: Color, after: Color) => boolean
}
let loading: Promise<Names> | undefined

/** The list of names is loaded when a name is asked for, and only then. */
export function loadNames(): Promise<Names> {
  loading ??= import('color-name-list/bestof').then(({ colornames }) => {
    const list = Object.fromEntries(colornames.map(({ hex, name }) => [hex.slice(1), name]))
    return { namer: colorNamer(list), isOutdated: nameJudge(list) }
  })
  return loading
}

/** The names, once they are there. */
export function useNames(): Names | undefined {
  const [names, setNames] = useState<Names>()
  useEffect(() => {
    void loadNames().then(setNames)
  }, [])
  return names
}
