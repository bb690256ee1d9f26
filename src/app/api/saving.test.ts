import net from 'node:net'
import { randomUUID } from 'node:crypto'
import { mostSent } from '@/core/payloads'
import { POST } from './sites/[site]/edits/route'
import { closeDatabase } from '@/server/database/connection'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stateOf,
} from '@/server/database/database.fixture'

/** A passage to the database that can be cut in the middle of a save. */
function passage(target: URL) {
  const sockets = new Set<net.Socket>()
  let cutAt = Infinity
  let seen = 0
  const server = net.createServer((client) => {
    const upstream = net.connect(Number(target.port), target.hostname)
    for (const socket of [client, upstream]) {
      sockets.add(socket)
      socket.on('error', () => undefined)
      socket.on('close', () => sockets.delete(socket))
    }
    client.on('data', (data) => {
      seen += data.toString('latin1').split('UPDATE').length - 1
      if (seen >= cutAt) return sockets.forEach((socket) => socket.destroy())
      return upstream.write(data)
    })
    upstream.on('data', (data) => client.write(data))
    upstream.on('close', () => client.destroy())
  })
  return {
    open: () =>
      new Promise<number>((resolve) =>
        server.listen(0, '127.0.0.1', () => resolve((server.address() as net.AddressInfo).port)),
      ),
    cutAfter: (updates: number) => {
      seen = 0
      cutAt = updates
    },
    close: () => {
      sockets.forEach((socket) => socket.destroy())
      server.close()
    },
  }
}

beforeAll(() => openTestDatabase('gone_test'))
afterAll(closeTestDatabase)

const post = (body: string) =>
  POST(new Request('http://localhost/api', { method: 'POST', body }), {
    params: Promise.resolve({ site: siteId }),
  })

test('a database that goes in the middle of a save leaves nothing by half, and says so', async () => {
  const direct = process.env.DATABASE_URL!
  const before = await stateOf(siteId)
  const base = await revisionOf(siteId)
  const way = passage(new URL(direct))
  const port = await way.open()
  await closeDatabase()
  const through = new URL(direct)
  through.port = String(port)
  process.env.DATABASE_URL = through.href
  const edits = ['#101010', '#202020'].map((value) => ({
    clientId: randomUUID(),
    edit: { type: 'setSlot', slot: 'brand', value },
  }))
  edits.push({
    clientId: randomUUID(),
    edit: {
      type: 'setSectionTheme',
      sections: [{ doc: 'home', section: 'bench' }],
      theme: 'on-ink',
    } as never,
  })
  const body = JSON.stringify({ base, edits })
  way.cutAfter(2)
  const cut = await post(body)
  expect(cut.status).toBe(503)
  expect(await cut.json()).toEqual({ problem: { code: 'database-away' } })
  way.close()
  await closeDatabase().catch(() => undefined)
  process.env.DATABASE_URL = direct

  expect(await stateOf(siteId)).toBe(before)
  const again = await post(body)
  expect(again.status).toBe(200)
  expect(await revisionOf(siteId)).toBe(base + 3)
}, 30_000)

test.each([
  ['no JSON', '{"base":', 400, 'not-json'],
  [
    'too large',
    JSON.stringify({ base: 0, edits: [], filler: 'x'.repeat(mostSent) }),
    413,
    'too-large',
  ],
  ['no edits', '{"base":0,"edits":[]}', 400, 'invalid'],
  [
    'an unknown edit',
    `{"base":0,"edits":[{"clientId":"${randomUUID()}","edit":{"type":"dropTable"}}]}`,
    400,
    'invalid',
  ],
  [
    'a colour that is none',
    `{"base":0,"edits":[{"clientId":"${randomUUID()}","edit":{"type":"setSlot","slot":"brand","value":"#12345"}}]}`,
    400,
    'invalid',
  ],
])('a body that is %s is told', async (_told, body, status, code) => {
  const response = await post(body)
  expect(response.status).toBe(status)
  expect(await response.json()).toMatchObject({ problem: { code } })
})

test.each([
  ['another host', 'http://elsewhere.example'],
  ['a page without an origin', 'null'],
  ['what is no address', '::'],
])('a request from %s is turned away', async (_told, origin) => {
  const request = new Request('http://localhost/api', {
    method: 'POST',
    body: '{}',
    headers: { origin, host: 'localhost' },
  })
  const response = await POST(request, { params: Promise.resolve({ site: siteId }) })
  expect(response.status).toBe(403)
  expect(await response.json()).toEqual({ problem: { code: 'foreign-origin' } })
})
