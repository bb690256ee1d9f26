import { siteDocs, pageSchema, pageVersion, type Page, type SiteDocs } from '@/core/site'
import { ternFrame } from '@demo/tern/frame'

/** A page of some number of elements, of the kinds that a real one has, over all themes. */
export function largePage(count: number): SiteDocs {
  const elements: Record<string, unknown> = {}
  const sections: Record<string, unknown> = {}
  const order: string[] = []
  const perSection = 50
  for (let start = 0; start < count; start += perSection) {
    const id = `s-${start}`
    const children: string[] = []
    for (let i = start; i < Math.min(count, start + perSection); i += 1) {
      const element = `e-${i}`
      children.push(element)
      elements[element] = {
        id: element,
        ...[
          { kind: 'heading', content: { runs: [{ text: `Heading ${i}` }], level: 2 } },
          {
            kind: 'paragraph',
            content: { runs: [{ text: 'Words and ' }, { text: 'a link', href: '#' }] },
          },
          { kind: 'mainButton', content: { label: 'Book', href: '#' } },
          { kind: 'finePrint', content: { runs: [{ text: 'Small words' }] } },
          { kind: 'divider', content: {} },
        ][i % 5],
      }
    }
    order.push(id)
    const theme = ternFrame.themes.order[(start / perSection) % ternFrame.themes.order.length]
    sections[id] = { id, name: id, kind: 'band', theme, layout: 'stack', children }
  }
  const page: Page = pageSchema.parse({
    schema: pageVersion,
    id: 'large',
    order: 'a0',
    title: 'Large',
    path: 'large',
    description: '',
    body: { order, sections: {}, elements: {} },
  })
  const body = { order, sections, elements } as unknown as Page['body']
  return siteDocs(ternFrame, [{ ...page, body }])
}
