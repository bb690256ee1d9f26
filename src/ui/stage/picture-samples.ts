import { createStore } from 'zustand/vanilla'
import { shownPicture } from '@/core/render'
import { samplePicture, type SampledPicture } from '@/core/resolve'
import type { Palette, Picture } from '@/core/site'

/** Longer side of what pictures are sampled as, in pixels: each stands for a few of the page. */
const LONGEST = 512

type Sample = SampledPicture | 'coming' | 'unreadable'

/** Pictures that were looked at, by address of their file. */
export const samples = createStore<Readonly<Record<string, Sample>>>(() => ({}))

async function sampleFrom(address: string, picture: Picture): Promise<SampledPicture> {
  const { width, height, focus = { x: 50, y: 50 } } = picture
  const image = new Image()
  image.src = address
  await image.decode()
  const scale = Math.min(1, LONGEST / Math.max(width, height))
  const size = {
    width: Math.max(1, Math.round(width * scale)),
    height: Math.max(1, Math.round(height * scale)),
  }
  const canvas = new OffscreenCanvas(size.width, size.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(image, 0, 0, size.width, size.height)
  const { data } = context.getImageData(0, 0, size.width, size.height)
  return samplePicture({ width, height }, focus, { ...size, data })
}

/**
 * A picture as it is sampled; nothing until it is there, and where the browser cannot show it.
 * Whoever looks at `samples` is told when it comes.
 */
export function sampleOf(
  site: string,
  palette: Palette,
  picture: Picture,
): SampledPicture | undefined {
  const address = shownPicture(site, palette)(picture)
  const { focus } = picture
  const key = `${address} ${focus ? `${focus.x} ${focus.y}` : ''}`
  const known = samples.getState()[key]
  if (known === undefined) {
    // Asked while drawing: what comes of it is told later.
    queueMicrotask(() => samples.setState({ [key]: 'coming' }))
    void sampleFrom(address, picture).then(
      (sample) => samples.setState({ [key]: sample }),
      () => samples.setState({ [key]: 'unreadable' }),
    )
  }
  return typeof known === 'object' ? known : undefined
}
