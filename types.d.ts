declare module 'wcag-contrast' {
  type Rgb = [number, number, number]
  const wcagContrast: { rgb: (a: Rgb, b: Rgb) => number; hex: (a: string, b: string) => number }
  export default wcagContrast
}
declare module '*/supervise.mjs' {
  interface Limit {
    restarts: number
    within: number
  }
  export const restartLimit: (name: string, limit?: Limit, now?: () => number) => () => void
  export const supervise: (
    services: ReadonlyArray<{
      name: string
      check: () => Promise<'well' | 'dead' | 'hanging'>
      restart: () => Promise<void>
      patience?: number
    }>,
    options: {
      isWanted: () => boolean
      every?: number
      say?: (words: string) => void
      now?: () => number
      limit?: Limit
    },
  ) => Promise<void>
}
declare module '*/lock.mjs' {
  export const lock: (name: string, waiting: string, folder?: string) => Promise<() => void>
}
declare module '*/refusal.mjs' {
  export const refusalOf: (request: {
    readonly method?: string
    readonly url?: string
  }) => { readonly status: number; readonly words: string } | undefined
}
declare module '*/fair.mjs' {
  import type { RequestListener } from 'node:http'
  export const fairly: (handle: RequestListener, longest?: number) => RequestListener
}

declare module 'fontverter' {
  type Format = 'sfnt' | 'woff' | 'woff2'
  export function convert(font: Buffer, to: Format): Promise<Buffer>
}

declare module 'subset-font' {
  export default function subsetFont(
    font: Buffer,
    text: string,
    options: { readonly targetFormat: 'sfnt' | 'woff' | 'woff2' },
  ): Promise<Buffer>
}
