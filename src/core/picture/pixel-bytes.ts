/** Pixels as a canvas gives them: four bytes each, red, green, blue, alpha. */
export type PixelBytes = Uint8ClampedArray | Uint8Array
