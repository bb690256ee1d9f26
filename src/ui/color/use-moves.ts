import { useState } from 'react'
import { colorKey, type Color } from '@/core/color'
import { coordinatesOf, type ColorModel, type Coordinates } from './color-models'

/** For how long a move counts as where things are by now, though the value it led to is not given back yet, in milliseconds. */
const FRESH = 400

interface Move {
  readonly at: Coordinates
  readonly alpha: number
  readonly key: string
  readonly when: number
}

interface Moves {
  /** Where a colour lies: where it was moved to, also where the colour as it is written rounds that. */
  readonly placeOf: (model: ColorModel, color: Color) => Coordinates
  /** The place and the alpha of a move made just now. */
  readonly now: () => readonly [Coordinates, number] | undefined
  readonly note: (at: Coordinates, color: Color) => void
  /** A colour was set in another way: the last move is no longer where things are. */
  readonly over: () => void
  readonly forget: () => void
}

function createMoves(): Moves {
  let last: Move | undefined
  return {
    placeOf: (model, color) =>
      last?.key === colorKey(color) ? last.at : coordinatesOf(model, color, last?.at),
    now: () =>
      last && performance.now() - last.when < FRESH ? ([last.at, last.alpha] as const) : undefined,
    note(at, color) {
      last = { at, alpha: color.alpha, key: colorKey(color), when: performance.now() }
    },
    over() {
      if (last) last = { ...last, when: -FRESH }
    },
    forget() {
      last = undefined
    },
  }
}

/** The moves through a colour model: they are many a second, while what shows the colour is drawn anew more calmly. */
export function useMoves(): Moves {
  const [moves] = useState(createMoves)
  return moves
}
