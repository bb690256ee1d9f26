/** Steps on anything of rows and columns. */
export type Steps = readonly [down: number, across: number]

/** The steps that the arrow keys take, by the key's name. */
export const arrowSteps: Readonly<Record<string, Steps>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}
