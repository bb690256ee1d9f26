/** Few shapes to draw flat pictures with, on a sheet of 800 by 600 units. */
export const WIDTH = 800
export const HEIGHT = 600

const n = (value: number) => String(Math.round(value * 10) / 10)

export const box = (x: number, y: number, w: number, h: number, fill: string, round = 0): string =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}"${round ? ` rx="${round}"` : ''} fill="${fill}"/>`
export const disc = (x: number, y: number, r: number, fill: string): string =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}"/>`
export const oval = (x: number, y: number, rx: number, ry: number, fill: string): string =>
  `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(rx)}" ry="${n(ry)}" fill="${fill}"/>`
export const shape = (d: string, fill: string): string => `<path d="${d}" fill="${fill}"/>`
export const line = (d: string, stroke: string, width: number): string =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"/>`
export const ring = (x: number, y: number, r: number, stroke: string, width: number): string =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="none" stroke="${stroke}" stroke-width="${width}"/>`
export const turned = (degrees: number, x: number, y: number, ...inner: string[]): string =>
  `<g transform="rotate(${n(degrees)} ${n(x)} ${n(y)})">${inner.join('')}</g>`
export const moved = (x: number, y: number, ...inner: string[]): string =>
  `<g transform="translate(${n(x)} ${n(y)})">${inner.join('')}</g>`

/** The same some times over. */
export const times = (count: number, each: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => each(i)).join('')

/** Numbers 0…1 that look like chance and are always the same for a seed. */
export function chance(seed: number): () => number {
  let state = seed * 2654435761 + 1
  return () => {
    state = (state * 1103515245 + 12345) % 2147483648
    return state / 2147483648
  }
}
