import { refusalOf } from './refusal.mjs'

test.each(['/%C0%AF', '/api/sites/%ff', '/api/sites/a%', '/?q=%E0%A4', '/published/a/%00'])(
  'an address with broken escapes is refused: %s',
  (url) => expect(refusalOf({ method: 'GET', url })).toMatchObject({ status: 400 }),
)

test.each(['/', '/sites/tern?page=home&q=100%25', '/published/a/%C3%A9.html', '/api/sites/a%2Fb'])(
  'an address that can be read is passed on: %s',
  (url) => expect(refusalOf({ method: 'GET', url })).toBeUndefined(),
)

test('methods that nobody uses are refused', () => {
  expect(refusalOf({ method: 'TRACE', url: '/' })).toMatchObject({ status: 405 })
  expect(refusalOf({ method: 'CONNECT', url: '/' })).toMatchObject({ status: 405 })
  expect(refusalOf({ method: 'PATCH', url: '/' })).toBeUndefined()
})
