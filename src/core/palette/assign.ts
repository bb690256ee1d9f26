import { toOklab, type Color } from '../color'

/** How unlike two colours are in what they can be used for: lightness first, then chroma, hue last. */
function cost(a: Color, b: Color): number {
  const [p, q] = [toOklab(a), toOklab(b)]
  const chroma = Math.abs(Math.hypot(p.a, p.b) - Math.hypot(q.a, q.b))
  return 3 * Math.abs(p.l - q.l) + 2 * chroma + Math.hypot(p.a - q.a, p.b - q.b) * 0.5
}

/**
 * What it costs to leave a slot as it is: a colour that is farther than about a
 * quarter of the way from black to white does not suit, so a near-black slot
 * keeps its colour where a picture or a list holds none. Common practice, no source.
 */
const LEAVE = 0.75

/**
 * Which colour goes to which slot, so that each slot keeps what it is for: the
 * assignment of least total cost. Returns for every slot the index of its
 * colour, or −1 where none suits or none is left.
 * Source: the Hungarian method with potentials (Kuhn 1955, Munkres 1957), O(n³);
 * a column per slot stands for leaving it as it is.
 */
export function assignColors(slots: readonly Color[], colors: readonly Color[]): number[] {
  const n = slots.length
  const m = colors.length + n
  const costOf = (row: number, column: number) => {
    const color = colors[column - 1]
    return color ? cost(slots[row - 1]!, color) : LEAVE
  }
  const u = Array<number>(n + 1).fill(0)
  const v = Array<number>(m + 1).fill(0)
  const rowOf = Array<number>(m + 1).fill(0)
  const way = Array<number>(m + 1).fill(0)
  for (let row = 1; row <= n; row += 1) {
    rowOf[0] = row
    let column = 0
    const least = Array<number>(m + 1).fill(Infinity)
    const used = Array<boolean>(m + 1).fill(false)
    do {
      used[column] = true
      const at = rowOf[column]!
      let delta = Infinity
      let next = 0
      for (let j = 1; j <= m; j += 1) {
        if (used[j]) continue
        const reduced = costOf(at, j) - u[at]! - v[j]!
        if (reduced < least[j]!) {
          least[j] = reduced
          way[j] = column
        }
        if (least[j]! < delta) {
          delta = least[j]!
          next = j
        }
      }
      for (let j = 0; j <= m; j += 1) {
        if (used[j]) {
          u[rowOf[j]!]! += delta
          v[j]! -= delta
        } else least[j]! -= delta
      }
      column = next
    } while (rowOf[column] !== 0)
    while (column !== 0) {
      rowOf[column] = rowOf[way[column]!]!
      column = way[column]!
    }
  }
  const result = Array<number>(n).fill(-1)
  colors.forEach((_, i) => {
    const row = rowOf[i + 1]!
    if (row) result[row - 1] = i
  })
  return result
}
