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
