const LARGEST_FILE = 60_000_000
/** Pixels above which a browser may refuse a bitmap. */
const MOST_PIXELS = 120_000_000

/** Decodes off the main thread; a vector picture goes through an image element, which is what can draw it. */
async function decode(file: Blob, url: string): Promise<ImageBitmap> {
  if (!file.type.includes('svg')) return createImageBitmap(file)
  const image = new Image(512, 512)
  image.src = url
  await image.decode()
  return createImageBitmap(image, { resizeWidth: 512, resizeQuality: 'high' })
}

/** A picture of any kind the browser knows (of an animated one its first frame), or what is wrong with it in words. */
export async function decodePicture(file: Blob, url: string): Promise<ImageBitmap | string> {
  if (file.size > LARGEST_FILE) {
    return 'This file is over 60 MB. Save a smaller copy of the picture and take that.'
  }
  try {
    const bitmap = await decode(file, url)
    if (bitmap.width * bitmap.height <= MOST_PIXELS) return bitmap
    bitmap.close()
    return 'This picture has more than 120 megapixels. Save a smaller copy and take that.'
  } catch {
    return 'This file cannot be read as a picture; it may be damaged. Take a PNG, JPEG, WebP, GIF, AVIF or SVG.'
  }
}
