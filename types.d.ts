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
