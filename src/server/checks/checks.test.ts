import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  save,
  siteId,
  stranger,
} from '../database/database.fixture'
import { loadWhole } from '../records'
import { stopReaders } from '../reading'
import { checkSiteApart } from '.'
import { checkSite } from './check-site'

beforeAll(() => openTestDatabase('checks_test'))
afterAll(async () => {
  await stopReaders()
  await closeTestDatabase()
})

const checked = async () => {
  const result = await checkSite(localOwner, siteId)
  if (!result.ok) throw new Error(result.problem.code)
  return result.value
}

test('all pages are checked; what header and footer hold is told once', async () => {
  const { pages, measured, low, faults } = await checked()
  expect(pages).toBe(7)
  expect(measured).toBeGreaterThan(300)
  const keys = [...low, ...faults].map(({ key }) => key)
  expect(new Set(keys).size).toBe(keys.length)
  expect(faults.map(({ rule }) => rule)).toContain('form-goes-nowhere')
})

test('what is set on one page is found there, in a thread as well', async () => {
  const before = await checked()
  const docs = await loadWhole(siteId)
  const [page, heading] = Object.values(docs.pages).flatMap(({ id, body }) => {
    const found = Object.values(body.elements).find(({ kind }) => kind === 'heading')
    return id === 'about' && found ? [[id, found] as const] : []
  })[0]!
  const on = { doc: page, element: heading.id }
  const setting = { on, key: 'text', state: 'rest', value: { value: '#f4efe3' } }
  expect(await save({ type: 'setLooks', settings: [setting] })).toMatchObject({ ok: true })
  const now = await checkSiteApart(localOwner, siteId)
  expect(now).toMatchObject({ ok: true, value: { count: before.count + 1 } })
})

test('nobody checks a site that is not theirs', async () => {
  expect(await checkSiteApart(stranger, siteId)).toMatchObject({ problem: { code: 'not-found' } })
})
