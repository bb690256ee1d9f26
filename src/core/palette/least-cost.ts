/**
 * For every row the column of the assignment of least total cost, or −1 where
 * leaving it costs less.
 * Source: the Hungarian method with potentials (Kuhn 1955, Munkres 1957), O(n³);
 * a column per row stands for leaving it, which costs `leave`.
 */
export function leastCost(
  n: number,
  count: number,
  leave: number,
  price: (row: number, column: number) => number,
): number[] {
  const m = count + n
  const costOf = (row: number, column: number) =>
    column <= count ? price(row - 1, column - 1) : leave
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
  for (let column = 1; column <= count; column += 1) {
    const row = rowOf[column]!
    if (row) result[row - 1] = column - 1
  }
  return result
}
