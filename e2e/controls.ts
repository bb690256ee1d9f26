import type { Page } from '@playwright/test'

/** What leads out of the site, changes what is not part of it, or asks the machine for a file. */
const LEFT_ALONE =
  /^(undo|redo)|publish|zip|pdf|download|carry|share|copy|link to|leave|all sites|chrome|keys and help|dropper|screen|file|checkpoint|back to (this|it)|other window|take back|notifications/i

/** Numbers 0…1 that follow from a seed (mulberry32). */
export function numbersFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export type Random = () => number
export const oneOf = <Item>(random: Random, items: readonly Item[]): Item =>
  items[Math.floor(random() * items.length)]!

interface Control {
  readonly index: number
  readonly does: 'click' | 'type' | 'slide' | 'select'
  readonly name: string
}

/** Marks every control that can be used just now, and tells them by number. */
export async function controlsOf(page: Page): Promise<Control[]> {
  const found = await page.evaluate(() => {
    const open = document.querySelector('[role=dialog], [role=menu], [role=listbox]')
    const all = [
      ...document.querySelectorAll<HTMLElement>(
        'button, [role=radio], [role=menuitem], [role=menuitemradio], [role=option], [role=slider], input, select, textarea',
      ),
    ]
    document
      .querySelectorAll('[data-control]')
      .forEach((node) => node.removeAttribute('data-control'))
    return all.flatMap((node, index) => {
      if (node.matches(':disabled, [aria-disabled=true], [type=file], [type=hidden]')) return []
      if (open && !open.contains(node)) return []
      const { left, top, width, height } = node.getBoundingClientRect()
      const [x, y] = [left + width / 2, top + height / 2]
      const hit = width > 0 && height > 0 ? document.elementFromPoint(x, y) : null
      const label = node.closest('label')
      if (!hit || !(node.contains(hit) || hit.contains(node) || label?.contains(hit))) return []
      node.setAttribute('data-control', String(index))
      const labelled = node.getAttribute('aria-labelledby')
      const name =
        node.getAttribute('aria-label') ??
        (labelled && document.getElementById(labelled)?.textContent) ??
        (node as HTMLInputElement).labels?.[0]?.textContent ??
        node.textContent ??
        ''
      const isText = node.matches(
        'textarea, input:not([type=checkbox], [type=radio], [type=range])',
      )
      const does = isText
        ? ('type' as const)
        : node.matches('select')
          ? ('select' as const)
          : node.matches('[role=slider], [type=range]')
            ? ('slide' as const)
            : ('click' as const)
      return [{ index, does, name: name.trim().slice(0, 80) }]
    })
  })
  return found.filter(({ name }) => !LEFT_ALONE.test(name))
}

const TEXTS = [
  '#6b2d5c',
  'teal',
  'oklch(62% 0.15 250)',
  'Ink −8',
  '12',
  '0',
  'Harbour',
  'not a colour ',
  '#fff8',
]

export async function use(page: Page, { index, does }: Control, random: Random): Promise<void> {
  const control = page.locator(`[data-control="${index}"]`)
  const patience = { timeout: 1_500 }
  if (does === 'type') {
    await control.fill(oneOf(random, TEXTS), patience)
    await control.press('Enter', patience)
  } else if (does === 'select') {
    const options = await control
      .locator('option')
      .evaluateAll((nodes) => nodes.map((node) => (node as HTMLOptionElement).value))
    await control.selectOption(oneOf(random, options), patience)
  } else if (does === 'slide') {
    await control.press(
      oneOf(random, ['ArrowRight', 'ArrowLeft', 'Home', 'End', 'PageUp']),
      patience,
    )
  } else await control.click(patience)
}
