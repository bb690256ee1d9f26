import sharp from 'sharp'

/** Pixels of a picture in sRGB, four bytes each. */
export interface RawPixels {
  readonly data: Uint8Array
  readonly width: number
  readonly height: number
}

/** The pixels of a picture, no longer than `longest`; undefined where it cannot be read. */
export async function pixelsOf(
  bytes: Uint8Array,
  longest?: number,
): Promise<RawPixels | undefined> {
  try {
    const whole = sharp(bytes).toColourspace('srgb').ensureAlpha()
    const fitted = longest
      ? whole.resize({ width: longest, height: longest, fit: 'inside', withoutEnlargement: true })
      : whole
    const { data, info } = await fitted.raw().toBuffer({ resolveWithObject: true })
    return { data, width: info.width, height: info.height }
  } catch {
    // What is no picture has no pixels; who asked says so.
    return undefined
  }
}

/** A picture of pixels to the last bit: what was not touched stays as it was. */
export async function lossless(
  { data, width, height }: RawPixels,
  as: 'png' | 'webp',
): Promise<Uint8Array> {
  const picture = sharp(data, { raw: { width, height, channels: 4 } })
  return as === 'png' ? picture.png().toBuffer() : picture.webp({ lossless: true }).toBuffer()
}
