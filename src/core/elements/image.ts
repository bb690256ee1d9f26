import type { Surroundings } from './kind'
import { tag } from './markup'
import type { ShownPicture } from './shown-picture'

/** Where a picture that is cut lies behind its frame, as CSS has it. */
export const positionOf = (focus: ShownPicture['focus']): string =>
  focus ? `${focus.x}% ${focus.y}%` : 'center'

/** What a browser takes to be the width of a picture before it has laid out the page: for CSS `sizes`. */
function sizesOf({ room, isFirst }: Pick<Surroundings, 'room' | 'isFirst'>, across: number) {
  const width = `${Math.round(room / across)}px`
  const narrow = `(max-width: 720px) ${across > 1 ? '50vw' : '100vw'}`
  // One that is fetched when it comes into view is measured first.
  return isFirst ? `${narrow}, ${width}` : `auto, ${narrow}, ${width}`
}

/**
 * A picture of the site: in the widths that there are, cut where its focus is. On the first
 * screen of a page it is fetched at once, further down when it comes into view.
 */
export function image(
  picture: ShownPicture,
  around: Pick<Surroundings, 'room' | 'isFirst'>,
  { ratio, across = 1 }: { readonly ratio?: string; readonly across?: number } = {},
): string {
  const { url, alt, width, height, narrower, focus } = picture
  const style = [
    ...(ratio ? [`aspect-ratio: ${ratio}`] : []),
    ...(focus ? [`object-position: ${positionOf(focus)}`] : []),
  ]
  const sources = [...narrower, { url, width }].map((each) => `${each.url} ${each.width}w`)
  return tag('img', {
    src: url,
    ...(narrower.length ? { srcset: sources.join(', '), sizes: sizesOf(around, across) } : {}),
    alt,
    width,
    height,
    loading: around.isFirst ? undefined : 'lazy',
    style: style.length ? style.join('; ') : undefined,
  })
}
