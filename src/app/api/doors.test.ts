import { readdirSync } from 'node:fs'
import path from 'node:path'
import { randomUUID } from 'node:crypto'
import { closeDatabase } from '@/server/database/connection'
import {
  closeTestDatabase,
  openTestDatabase,
  siteId,
  stateOf,
  tamper,
} from '@/server/database/database.fixture'
import { select, tell } from '@/server/database/sets'
import { closeQueue } from '@/server/jobs'
import { stopHearing } from '@/server/live'
import { stopReaders } from '@/server/reading'
import { isDatabaseAway, respond } from './respond'

type Handler = (
  request: Request,
  context: { params: Promise<Record<string, string | string[]>> },
) => Promise<Response>
type Route = Partial<Record<'GET' | 'POST', Handler>>

/** Every route handler of the application, found in the folder: a new one is tried without being named. */
const app = path.resolve(import.meta.dirname ?? __dirname, '..')
const routes = readdirSync(app, { recursive: true, encoding: 'utf8' })
  .filter((file) => path.basename(file) === 'route.ts')
  .sort()

beforeAll(() => openTestDatabase('doors_test'))
afterAll(async () => {
  await stopHearing()
  await closeQueue()
  await stopReaders()
  await closeTestDatabase()
})

/** Texts that a database refuses, and names that every object answers to. */
const odd = [
  '\0',
  'a\0b',
  '\ud800',
  'x\udfff',
  '\u202egnp',
  '__proto__',
  'constructor',
  'toString',
  '../..',
  ' ',
  '💥'.repeat(300),
]

const load = async (file: string) => (await import(path.join(app, file))) as Route
const paramsOf = (file: string, value: string) =>
  Object.fromEntries(
    [...file.matchAll(/\[+(\.\.\.)?(\w+)\]+/g)].map(([, rest, name]) => [
      name,
      rest ? [value, 'index.html'] : name === 'site' ? siteId : value,
    ]),
  )

const edit = (more: object) => ({ base: 0, edits: [{ clientId: randomUUID(), edit: more }] })
const bodies = (text: string) => [
  { base: 0, name: text },
  { base: 0, checkpoint: text },
  { base: 0, slot: text, to: { value: text } },
  { base: 0, theme: text, to: text },
  { to: text },
  { base: 0, intent: { type: text } },
  { base: 0, intent: { type: 'removeSlot', slot: text, to: { value: text } } },
  { base: 'any', intent: { type: 'restore', checkpoint: text } },
  { base: 0, intent: { type: 'giveThemes', told: text, sections: [{ doc: text }] } },
  { window: text, page: text },
  { window: randomUUID(), page: text },
  { shown: [text], pages: [text] },
  { share: text },
  { base: 0 },
  { [text]: text },
  {
    sweep: {
      pairs: [{ from: { value: '#fff', within: 1 }, to: { slot: text } }],
      scope: 'site',
      without: [text],
    },
  },
  { base: 0, sweep: { pairs: [{ from: { slot: text }, to: { value: '#fff' } }], scope: text } },
  edit({ type: 'renameSlot', slot: 'brand', name: text }),
  edit({ type: 'addSlot', slot: text, name: text, value: null }),
  edit({ type: 'noteSlot', slot: 'brand', note: text }),
  edit({ type: 'setCustomCss', css: text }),
  edit({ type: 'groupSlot', slot: 'brand', group: text }),
  edit({
    type: 'keepStudy',
    study: { id: 'x', name: text, colors: [{ value: '#fff', extensions: { [text]: text } }] },
  }),
  edit({
    type: 'setLooks',
    settings: [{ on: { doc: 'home', element: text }, key: text, state: 'rest', value: text }],
  }),
]

/** The answer is one that was meant: never a bare failure of the server. */
async function expectMeant(response: Response, told: string): Promise<void> {
  expect([told, response.status]).not.toEqual([told, 500])
  if (response.status < 400) return response.body?.cancel()
  const type = response.headers.get('content-type') ?? ''
  if (type.includes('json'))
    expect(await response.json()).toMatchObject({ problem: { code: expect.any(String) } })
  else expect(type).toContain('text/html')
}

test.each(routes)(
  '%s answers odd text with words',
  async (file) => {
    const route = await load(file)
    for (const text of odd) {
      for (const value of [text, siteId]) {
        const params = paramsOf(file, value)
        const own = { ...params, ...(value === text && 'site' in params ? { site: text } : {}) }
        if (route.GET) {
          const response = await route.GET(new Request('http://localhost/x'), {
            params: Promise.resolve(own),
          })
          await expectMeant(response, `GET ${JSON.stringify(text)}`)
        }
        for (const body of route.POST ? bodies(text) : []) {
          const request = new Request('http://localhost/x', {
            method: 'POST',
            body: JSON.stringify(body),
          })
          const response = await route.POST!(request, { params: Promise.resolve(own) })
          await expectMeant(response, `POST ${JSON.stringify(body)}`)
        }
      }
    }
  },
  60_000,
)

const saving = () => load('api/sites/[site]/edits/route.ts')
const post = async (body: string | ReadableStream) => {
  const init = { method: 'POST', body, duplex: 'half' } as RequestInit
  const { POST } = await saving()
  return POST!(new Request('http://localhost/x', init), {
    params: Promise.resolve({ site: siteId }),
  })
}

test.each([
  ['lists', `{"base":0,"edits":${'['.repeat(400_000)}${']'.repeat(400_000)}}`],
  [
    'extensions',
    `{"base":0,"edits":[{"clientId":"${randomUUID()}","edit":{"type":"keepStudy","study":{"id":"x","name":"x","colors":[{"value":"#fff","extensions":${'{"a":'.repeat(90_000)}1${'}'.repeat(90_000)}}]}}}]}`,
  ],
])('%s that stand in one another without end are refused in words', async (_, body) => {
  const response = await post(body)
  expect([response.status, await response.json()]).toEqual([400, { problem: { code: 'too-deep' } }])
})

test.each([2_147_483_648, 9e15, -1, 1.5])('a base of %d is refused in words', async (base) => {
  const body = { ...edit({ type: 'setSlot', slot: 'brand', value: '#111111' }), base }
  const response = await post(JSON.stringify(body))
  expect(response.status).toBe(400)
  expect(await response.json()).toMatchObject({ problem: { code: 'invalid', where: 'base' } })
})

test('a database whose disk is full is told as that, and nothing else', async () => {
  const full = Object.assign(new Error('could not extend file'), { parent: { code: '53100' } })
  const response = await respond(() => Promise.reject(full))
  expect(response.status).toBe(507)
  expect(await response.json()).toEqual({ problem: { code: 'storage', why: 'full' } })
})

test('one client id twice in a body is told', async () => {
  const one = edit({ type: 'setSlot', slot: 'brand', value: '#111111' }).edits[0]!
  const response = await post(JSON.stringify({ base: 0, edits: [one, one] }))
  expect(await response.json()).toMatchObject({
    problem: { code: 'invalid', what: expect.stringContaining('twice') },
  })
})

test('a body that does not arrive is not waited for', async () => {
  process.env.EASEL_BODY_PATIENCE = '80'
  const before = await stateOf(siteId)
  const slow = new ReadableStream({
    start: (control) => control.enqueue(new TextEncoder().encode('{"base":')),
  })
  const response = await post(slow)
  expect([response.status, response.headers.get('connection')]).toEqual([408, 'close'])
  expect(await response.json()).toEqual({ problem: { code: 'too-slow' } })
  expect(await stateOf(siteId)).toBe(before)
  delete process.env.EASEL_BODY_PATIENCE
})

test('a site that cannot be read is told so, and takes no other with it', async () => {
  const [{ hash: whole }] = (await select<{ hash: string }>(
    `select hash from records where site_id = $1 and kind = 'frame'`,
    [siteId],
  )) as [{ hash: string }]
  await tamper(siteId, { kind: 'frame', id: 'frame' }, '{"schema":99}', 99)
  const { GET } = await load('api/sites/[site]/route.ts')
  const response = await GET!(new Request('http://localhost/x'), {
    params: Promise.resolve({ site: siteId }),
  })
  expect(await response.json()).toEqual({ problem: { code: 'unreadable' } })
  const { listSites, localOwner } = await import('@/server')
  const shelf = await listSites(localOwner)
  expect(shelf.map(({ site }) => site === 'unreadable').sort()).toEqual([false, true])
  await tell(`update records set hash = $2 where site_id = $1 and kind = 'frame'`, [siteId, whole])
})

/**
 * What doors answer that ask the database nothing: the stage is a constant, designs are ours, and what
 * is no archive is turned away. A body that is none of a door's is turned away by every other one as well.
 */
const withoutDatabase: Readonly<Record<string, readonly number[]>> = {
  'stage/route.ts': [200],
  'designs/[design]/route.ts': [404],
  'fonts-of/[site]/[file]/route.ts': [404],
  'api/archives/route.ts': [422],
  'api/sites/[site]/liveries/[from]/[id]/route.ts': [400, 404],
  'api/sites/[site]/standing/[of]/route.ts': [400, 404],
}

test('with the database away every door says so, and none fails bare', async () => {
  const address = process.env.DATABASE_URL!
  await closeDatabase()
  // Threads have the environment that they were started with.
  await stopReaders()
  process.env.DATABASE_URL = 'postgres://app@127.0.0.1:1/nowhere'
  let told = 0
  try {
    for (const file of routes) {
      const { GET, POST } = await load(file)
      const context = { params: Promise.resolve(paramsOf(file, 'home')) }
      const answers = [
        ...(GET ? [await GET(new Request('http://localhost/x'), context)] : []),
        ...(POST
          ? await Promise.all(
              bodies('spark').map((body) => {
                const init = { method: 'POST', body: JSON.stringify(body) }
                return POST(new Request('http://localhost/x', init), context)
              }),
            )
          : []),
      ]
      const meant = withoutDatabase[file] ?? [400, 503]
      for (const { status } of answers)
        expect([file, meant]).toEqual([file, expect.arrayContaining([status])])
      told += answers.filter(({ status }) => status === 503).length
    }
  } finally {
    await closeDatabase()
    await stopReaders()
    process.env.DATABASE_URL = address
  }
  expect(told).toBeGreaterThan(routes.length)
}, 60_000)

test.each([
  new Error('Client has encountered a connection error and is not queryable'),
  new Error('Connection terminated unexpectedly'),
  Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }),
  Object.assign(new Error('x'), { parent: { code: '57P03' } }),
  Object.assign(new Error('x'), { name: 'SequelizeConnectionAcquireTimeoutError' }),
])('the database is away: %s', (error) => {
  expect(isDatabaseAway(error)).toBe(true)
  expect(isDatabaseAway(new TypeError('x is not a function'))).toBe(false)
})
