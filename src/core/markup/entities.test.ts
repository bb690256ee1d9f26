import { withEntities } from './entities'

const MOST = 2_000_000
const withType = (declarations: string, body: string) =>
  withEntities(`<!DOCTYPE svg [${declarations}]>${body}`, MOST)

test.each([
  [
    'styles as drawing programs write them',
    `<!ENTITY st0 "fill:#1c5a54;">`,
    '<path style="&st0;"/>',
    '<path style="fill:#1c5a54;"/>',
  ],
  [
    'in single quotes, on lines',
    `<!ENTITY\n\tns_svg 'http://www.w3.org/2000/svg'\n>`,
    '<svg xmlns="&ns_svg;">',
    '<svg xmlns="http://www.w3.org/2000/svg">',
  ],
  ['one in another', `<!ENTITY a "&b;&b;"><!ENTITY b "x">`, '&a;', 'xx'],
  ['the first of two', `<!ENTITY a "1"><!ENTITY a "2">`, '&a;', '1'],
  ['none of XML itself', `<!ENTITY amp "x"><!ENTITY a "b">`, '&amp;&a;&#35;', '&amp;b&#35;'],
  [
    'none that is not declared',
    `<!ENTITY a "b"><!ENTITY c SYSTEM "file:///etc/hostname">`,
    '&c;&d;&a;',
    '&c;&d;b',
  ],
  ['names of objects', `<!ENTITY a "b">`, '&constructor;&__proto__;', '&constructor;&__proto__;'],
])('%s', (_, declarations, body, expected) => {
  expect(withType(declarations, body)).toMatch(
    new RegExp(`]>${expected.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`),
  )
})

test('a document without any is the same', () => {
  const text = '<svg fill="&st0;"/>'
  expect(withEntities(text, MOST)).toBe(text)
})

test.each([
  ['one that stands for itself', '<!ENTITY a "&b;"><!ENTITY b "&a;">', '&a;'],
  [
    'a few that come to billions',
    Array.from({ length: 12 }, (_, i) => `<!ENTITY e${i + 1} "${`&e${i};`.repeat(10)}">`).join('') +
      '<!ENTITY e0 "ha">',
    '&e12;',
  ],
  ['a long one often', `<!ENTITY a "${'x'.repeat(100_000)}">`, '&a;'.repeat(1000)],
  [
    'a long way from one to the next',
    Array.from({ length: 50_000 }, (_, i) => `<!ENTITY e${i + 1} "&e${i};">`).join(''),
    '&e50000;',
  ],
])('%s is refused', (_, declarations, body) => {
  expect(withType(declarations, body)).toBeUndefined()
})
