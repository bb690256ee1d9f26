import * as z from 'zod'
import { kindIds, kindOf, type KindId } from '../elements'
import type { SpotSort } from './spot'

/** Where in the content of an element a text lies; `*` stands for every entry of a list. */
export type LeafPath = readonly string[]

export interface Leaf {
  readonly at: LeafPath
  /** `runs`: words in stretches, each perhaps with a link. `html`: a snippet. */
  readonly as: Extract<SpotSort, 'words' | 'link' | 'picture'> | 'runs' | 'html'
}

/** Texts by the names of their members; others are words, and choices are none. */
const BY_NAME: Readonly<Record<string, Leaf['as'] | 'nothing'>> = {
  href: 'link',
  asset: 'picture',
  html: 'html',
  icon: 'nothing',
}

function* leavesIn(schema: unknown, at: LeafPath): Generator<Leaf> {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable) {
    yield* leavesIn(schema.unwrap(), at)
  } else if (schema instanceof z.ZodArray) {
    if (at.at(-1) === 'runs') yield { at, as: 'runs' }
    else yield* leavesIn(schema.element, [...at, '*'])
  } else if (schema instanceof z.ZodObject) {
    for (const [name, inside] of Object.entries(schema.shape))
      yield* leavesIn(inside, [...at, name])
  } else if (schema instanceof z.ZodString) {
    const as = BY_NAME[at.findLast((name) => name !== '*') ?? ''] ?? 'words'
    if (as !== 'nothing') yield { at, as }
  }
}

/** The texts that elements of a kind hold, as the shape of their content tells; a snippet's name is for its owner alone. */
function readLeaves(kind: KindId): readonly Leaf[] {
  const leaves = [...leavesIn(kindOf(kind).content, [])]
  return kind === 'embed' ? leaves.filter(({ as }) => as === 'html') : leaves
}

const known = new Map(kindIds.map((kind) => [kind, readLeaves(kind)]))

export const leavesOf = (kind: KindId): readonly Leaf[] => known.get(kind) ?? []

/** What stands at the places that a path with stars names, each with its place. */
export function* valuesAt(
  content: unknown,
  [next, ...rest]: LeafPath,
  above: ReadonlyArray<string | number> = [],
): Generator<readonly [ReadonlyArray<string | number>, unknown]> {
  if (next === undefined) {
    if (content !== undefined) yield [above, content]
  } else if (next === '*') {
    for (const [i, each] of (content as readonly unknown[]).entries()) {
      yield* valuesAt(each, rest, [...above, i])
    }
  } else if (typeof content === 'object' && content !== null) {
    yield* valuesAt((content as Readonly<Record<string, unknown>>)[next], rest, [...above, next])
  }
}
