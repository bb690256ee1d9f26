import { colorOf, toOklch, type Color } from '../color'

export const moods = {
  calm: 'Calm',
  warm: 'Warm',
  fresh: 'Fresh',
  bold: 'Bold',
  playful: 'Playful',
  elegant: 'Elegant',
  natural: 'Natural',
  modern: 'Modern',
} as const
export type Mood = keyof typeof moods

/** Families of hue on the OKLCH circle, each by the degree where it begins. */
const families = [
  ['pink', -30],
  ['red', 10],
  ['orange', 45],
  ['yellow', 80],
  ['green', 115],
  ['teal', 165],
  ['blue', 220],
  ['violet', 285],
] as const
export type HueFamily = (typeof families)[number][0]
export const hueFamilies: readonly HueFamily[] = families.map(([name]) => name)

export interface ReadyMade {
  readonly name: string
  readonly moods: readonly Mood[]
  /** Lightest to darkest, `#rrggbb`. */
  readonly colors: readonly string[]
}

const made = (name: string, moodWords: string, colors: string): ReadyMade => ({
  name,
  moods: moodWords.split(' ') as Mood[],
  colors: colors.split(' ').map((hex) => `#${hex}`),
})

/** Palettes to start from, made for this project. */
export const readyMade: readonly ReadyMade[] = [
  made('Low tide', 'calm natural', 'f6f4ee d5e0de e0a458 4f8a8b 27566b 14232b'),
  made('Tile kiln', 'warm natural', 'fbf3ea f0d9c0 e2725b b5482f 6b3a2e 2a1a17'),
  made('Orchard ladder', 'fresh natural', 'f7f8ee dde7c7 f2a541 7a9e4b 3f5e34 1d2a1b'),
  made('Night ferry', 'calm bold', 'f2f5f9 c9d6e6 f4b942 4c7baf 1f3a5f 0f1b2d'),
  made('Plum crumble', 'warm elegant', 'faf3f4 ebd5db d99a6c a4496b 5e2a4d 26121f'),
  made('Salt and paprika', 'elegant modern', 'fafaf8 e3e2de b8b5ae c8472b 3c3a37 161514'),
  made('Greenhouse', 'fresh modern', 'f4faf4 cfe8d5 f3c969 3fa27a 1f6b52 0e2a22'),
  made('Brass band', 'bold warm', 'fbf8f0 eadfc5 d4a62a b23a3a 6c2233 241317'),
  made('First frost', 'calm modern', 'f5f9fb d8e6ee a6c6da 3b86b8 2b4f6e 13212e'),
  made('Lemon cart', 'playful fresh', 'fffdf2 fbefb2 f5c518 3b8ea5 20556b 12262e'),
  made('Candy stripe', 'playful bold', 'fff6f8 fbd5e0 f48fb1 d6336c 7a2455 2b0f22'),
  made('Old library', 'elegant warm', 'f8f3e8 e4d6ba b8935a 7f4a24 4b2e1e 1e130d'),
  made('Rain on slate', 'calm modern', 'f4f5f6 d9dee2 8fa1ae d9683c 3f4f5b 171e24'),
  made('Peacock', 'bold elegant', 'f3faf9 c6e8e4 f2b441 14a098 0d5c75 0a2233'),
  made('Clay pot', 'natural warm', 'faf5f0 ecdccb d7a27a b4653a 5f5a45 25221a'),
  made('Blackcurrant', 'elegant bold', 'f8f5fa e0d4ea b79ad1 7d4fa3 45266b 1a0e29'),
  made('Meadow fair', 'playful natural', 'fafbf0 e5edc3 f7c948 e4572e 3e7c4f 16301f'),
  made('Copper roof', 'natural calm', 'f6f8f5 d3e3da 7db79e c46b3d 2f6b5a 12251f'),
  made('Ink well', 'modern calm', 'f7f8fb dce1ec 8ea0c6 3d5aa8 22315f 0e1428'),
  made('Signal lamp', 'bold modern', 'fcfcfc e8eaed ffb300 d93a2b 37474f 15191c'),
  made('Rosehip', 'warm elegant', 'fdf6f2 f6ddd0 f0a58a d1495b 6a2c3e 27121a'),
  made('Pine and snow', 'natural elegant', 'f7faf9 dfe9e4 a9bfb4 c98b2e 2c5545 0f201a'),
  made('Penny arcade', 'playful modern', 'f6f5ff d9d4ff ff6fae 6c4dff 2a1e78 100b2b'),
  made('Sea glass', 'fresh calm', 'f2faf8 cde9e3 8ccfc4 2f9299 1f5e70 0f2730'),
  made('Harvest moon', 'warm bold', 'fbf6ec f1e0be e8a93c c2622d 5b3a29 21160f'),
  made('Linen press', 'calm elegant', 'faf8f5 ece6dd cdbfae b06a45 54453c 201a17'),
  made('Cobalt glaze', 'modern bold', 'f5f8fe d3e0fa f59f3a 3a6be0 1b3a8c 0c1838'),
  made('Fern bank', 'fresh natural', 'f6f9f1 dce8cf a3c585 5c8f3e 2f5a35 12241a'),
  made('Tar and sail', 'bold elegant', 'f7f4ed ddd6c8 c2a878 a63d2f 3a3f45 14171a'),
  made('Heather path', 'natural calm', 'f8f6f8 e3d9e4 c9a6c5 8f5592 4a5a4a 1c221c'),
]

/** The family of the hue that a palette lives from: that of its most vivid colour. */
export function hueFamilyOf(colors: readonly Color[]): HueFamily {
  const { h } = colors.map(toOklch).reduce((best, each) => (each.c > best.c ? each : best))
  const turned = h >= 330 ? h - 360 : h
  return families.findLast(([, from]) => turned >= from)![0]
}

/** The ready-made palettes of a mood and a hue; each left out means any. */
export function findReadyMade(mood?: Mood, hue?: HueFamily): ReadyMade[] {
  return readyMade.filter(
    ({ moods: own, colors }) =>
      (!mood || own.includes(mood)) &&
      (!hue || hueFamilyOf(colors.map((hex) => colorOf(hex)!)) === hue),
  )
}
