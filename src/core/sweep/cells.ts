import type { DocId } from '../site'
import type { State } from '../traits'
import { placeIds } from '../uses'
import type { Facets } from './ticks'

/** Hits that are alike in all that they are told apart by, counted; and how many of them tie a loose use to a slot, or let a bound one loose. */
export interface Cell extends Facets {
  readonly count: number
  readonly bind: number
  readonly loosen: number
}

/**
 * Cells as they travel: texts once each, and for every cell the numbers of its place, document,
 * object, what it paints, state (−1 for none) and pair, then its three counts.
 */
export interface CellTable {
  readonly docs: readonly string[]
  readonly objects: readonly string[]
  readonly paints: readonly string[]
  readonly states: readonly string[]
  readonly cells: ReadonlyArray<readonly number[]>
}

/** Gives every text a number, in the order in which they come. */
function numbering() {
  const numbers = new Map<string, number>()
  const numberOf = (text: string) => {
    const known = numbers.get(text) ?? numbers.size
    numbers.set(text, known)
    return known
  }
  return { numberOf, all: () => [...numbers.keys()] }
}

/** Counts hits into cells; these stand in the order in which their first hits come. */
export function countingCells() {
  const [docs, objects, paints, states] = [numbering(), numbering(), numbering(), numbering()]
  const cells = new Map<string, number[]>()
  return {
    /** `binds`: 1 where hits become bound, −1 where they become loose. */
    add(facets: Facets, count: number, binds: -1 | 0 | 1): void {
      const key = [
        placeIds.indexOf(facets.place),
        docs.numberOf(facets.doc),
        objects.numberOf(facets.object),
        paints.numberOf(facets.paints),
        facets.state === undefined ? -1 : states.numberOf(facets.state),
        facets.pair,
      ]
      const [bind, loosen] = [binds > 0 ? count : 0, binds < 0 ? count : 0]
      const cell = cells.get(key.join())
      if (!cell) return void cells.set(key.join(), [...key, count, bind, loosen])
      cell[6]! += count
      cell[7]! += bind
      cell[8]! += loosen
    },
    table: (): CellTable => ({
      docs: docs.all(),
      objects: objects.all(),
      paints: paints.all(),
      states: states.all(),
      cells: [...cells.values()],
    }),
  }
}

export const cellsOf = ({ docs, objects, paints, states, cells }: CellTable): Cell[] =>
  cells.map(([place, doc, object, paint, state, pair, count, bind, loosen]) => ({
    place: placeIds[place!]!,
    doc: docs[doc!] as DocId,
    object: objects[object!]!,
    paints: paints[paint!]!,
    ...(state! < 0 ? {} : { state: states[state!] as State }),
    pair: pair!,
    count: count!,
    bind: bind!,
    loosen: loosen!,
  }))

/** What some cells come to. */
export function totalOf(cells: readonly Pick<Cell, 'count' | 'bind' | 'loosen'>[]) {
  let [count, bind, loosen] = [0, 0, 0]
  for (const cell of cells) {
    count += cell.count
    bind += cell.bind
    loosen += cell.loosen
  }
  return { count, bind, loosen }
}
