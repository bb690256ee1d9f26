import { colorKey, colorOf } from '@/core/color'

/** How far the points lie apart that a page is looked at in, in its own pixels. */
const STEP = 12
/** Rows of points that are looked at before anything else has its turn. */
const ROWS = 8

/** What shows something else than colour: a picture, a film, a drawing. */
const SHOWS = new Set(['IMG', 'PICTURE', 'VIDEO', 'CANVAS', 'svg'])

/** The colour that lies under the words of an element, by its key; undefined where that is no single colour. */
function groundReader(page: Document): (element: Element | null) => string | undefined {
  const known = new Map<Element, string | undefined>()
  const own = (element: Element): string | undefined | 'clear' => {
    if (SHOWS.has(element.tagName)) return undefined
    const { backgroundImage, backgroundColor } = page.defaultView!.getComputedStyle(element)
    if (backgroundImage !== 'none') return undefined
    const color = colorOf(backgroundColor)
    return color && color.alpha > 0 ? colorKey(color) : 'clear'
  }
  const read = (element: Element | null): string | undefined => {
    if (!element) return undefined
    if (known.has(element)) return known.get(element)
    const painted = own(element)
    const ground = painted === 'clear' ? read(element.parentElement) : painted
    known.set(element, ground)
    return ground
  }
  return read
}

/**
 * How much of a page each colour covers, 0…1 by the key of the colour: the ground that is seen at
 * points of a grid. Words and lines on it are not taken off; pictures and gradients are no colour.
 */
export async function paintedAreas(page: Document): Promise<ReadonlyMap<string, number>> {
  const { width, height } = page.body.getBoundingClientRect()
  const groundOf = groundReader(page)
  const counts = new Map<string, number>()
  let points = 0
  for (let y = STEP / 2, row = 0; y < height; y += STEP, row += 1) {
    if (row % ROWS === ROWS - 1) await new Promise((resolve) => setTimeout(resolve))
    for (let x = STEP / 2; x < width; x += STEP) {
      points += 1
      const key = groundOf(page.elementFromPoint(x, y))
      if (key) counts.set(key, (counts.get(key) ?? 0) + 1)
    }
  }
  return new Map([...counts].map(([key, count]) => [key, count / Math.max(points, 1)]))
}
