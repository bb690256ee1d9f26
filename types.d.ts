declare module 'wcag-contrast' {
  type Rgb = [number, number, number]
  const wcagContrast: { rgb: (a: Rgb, b: Rgb) => number; hex: (a: string, b: string) => number }
  export default wcagContrast
}
declare module '*/watch.mjs' {
  type Limit = () => void
  export const restartLimit: (
    name: string,
    limit?: { restarts: number; within: number },
    now?: () => number,
  ) => Limit
  export const lookAfter: (service: {
    name: string
    isAlive: () => Promise<boolean>
    restart: () => Promise<void>
    isWanted: () => boolean
    every?: number
    limit?: Limit
  }) => Promise<void>
}
declare module '*/fair.mjs' {
  interface Answer {
    readonly destroyed: boolean
    once(event: 'close', listener: () => void): unknown
  }
  export const fairly: (
    handle: (request: { url: string }, response: Answer) => void,
    longest?: number,
  ) => (request: { url: string }, response: Answer) => void
}
