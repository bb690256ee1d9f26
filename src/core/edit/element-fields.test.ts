import { kindIds, kindOf, type Field } from '../elements'
import { contentAt, withContentAt, type ContentPath } from './content-edits'

const withFresh = kindIds.flatMap((id) => {
  const kind = kindOf(id)
  return kind.fresh === undefined ? [] : [[id, kind, kind.fresh] as const]
})

/** What a field of some content can be set to, and what it cannot. */
function settings(
  field: Field,
  content: unknown,
  at: ContentPath,
): { fit: unknown[]; unfit: unknown[] } {
  switch (field.as) {
    case 'line':
      return {
        fit: ['x'.repeat(field.longest), ...(field.mayGo ? [undefined] : [''])],
        unfit: ['x'.repeat(field.longest + 1), ...(field.mayGo ? [] : [undefined])],
      }
    case 'link':
      return {
        fit: ['page:home', 'https://example.org', ...(field.mayGo ? [undefined] : [])],
        unfit: ['x'.repeat(501), 7, ...(field.mayGo ? [] : [undefined])],
      }
    case 'choice':
      return {
        fit: field.options.map(([value]) => (value === field.absent ? undefined : value)),
        unfit: ['no such option', ...(field.absent === undefined ? [undefined] : [])],
      }
    case 'tick':
      return { fit: [true, undefined], unfit: ['yes'] }
    case 'icon':
      return { fit: ['leaf', 'tick'], unfit: ['x'.repeat(21), undefined] }
    case 'picture':
      return { fit: ['logo', ...(field.mayGo ? [] : [''])], unfit: ['x'.repeat(61)] }
    case 'list': {
      const many = (count: number) => Array.from({ length: count }, () => field.fresh)
      return {
        fit: [many(field.least), many(field.most)],
        unfit: [many(field.most + 1), undefined],
      }
    }
    case 'table': {
      const row = (width: number) => Array.from({ length: width }, () => 'x')
      const rows = (count: number) => Array.from({ length: count }, () => row(2))
      void [content, at]
      return {
        fit: [[], rows(field.mostRows), [row(field.mostColumns)]],
        unfit: [rows(field.mostRows + 1), [row(field.mostColumns + 1)]],
      }
    }
  }
}

test.each(withFresh)('%s: what a new one holds is what its own schema takes', (_, kind, fresh) => {
  expect(kind.content.safeParse(fresh).error).toBeUndefined()
  expect(kind.title(fresh).length).toBeGreaterThan(0)
})

test.each(withFresh)(
  '%s: what the panel sets is what its schema takes, and no more',
  (_, kind, fresh) => {
    const check = (fields: readonly Field[], content: unknown, above: ContentPath) => {
      for (const field of fields) {
        const at = [...above, field.at]
        const { fit, unfit } = settings(field, content, at)
        for (const value of fit) {
          const next = kind.content.safeParse(withContentAt(content, at, value))
          expect([field.label, value, next.error?.issues]).toEqual([field.label, value, undefined])
        }
        for (const value of unfit) {
          const next = kind.content.safeParse(withContentAt(content, at, value))
          expect([field.label, value, next.success]).toEqual([field.label, value, false])
        }
        if (field.as === 'list') {
          const one = withContentAt(content, at, [field.fresh])
          check(field.fields, one, [...at, 0])
        }
      }
    }
    check(kind.fields ?? [], fresh, [])
  },
)

test.each(withFresh)(
  '%s: words on the page say where they lie, and are shown from there',
  (_, kind, fresh) => {
    const write = (content: unknown) =>
      kind.html(content, {
        root: { class: 'root', 'data-el': 'an-id' },
        children: '',
        asset: () => undefined,
        room: 1080,
        isFirst: true,
        within: { kind: 'band', name: 'Section', before: () => 0 },
        link: (href) => href,
        isCurrent: () => false,
        isEdited: true,
        words: (...at) => ({ 'data-words': at.join('.') }),
      })
    for (const [, path] of write(fresh).matchAll(/data-words="([^"]+)"/g)) {
      const at = path!.split('.').map((key) => (/^\d+$/.test(key) ? Number(key) : key))
      const found = contentAt(fresh, at)
      expect(typeof found === 'string' || Array.isArray(found)).toBe(true)
      const to = typeof found === 'string' ? 'Nonesuch' : [{ text: 'Nonesuch' }]
      expect(write(withContentAt(fresh, at, to))).toContain('Nonesuch')
    }
  },
)
