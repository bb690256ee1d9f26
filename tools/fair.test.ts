import { EventEmitter, once } from 'node:events'
import { createServer, request as httpRequest, type Server } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { fairly } from './fair.mjs'

class Socket extends EventEmitter {
  destroyed = false
  close() {
    this.destroyed = true
    this.emit('close')
  }
}

function asked(longest?: number) {
  const begun: string[] = []
  const handle = fairly(({ url }) => void begun.push(url!), longest)
  return {
    begun,
    ask(url: string, socket = new Socket()) {
      const response = new EventEmitter()
      handle({ url, socket, headers: {}, complete: true } as never, response as never)
      return response
    },
  }
}

test('one site after the other by turns, other sites and pages at once', () => {
  const { begun, ask } = asked()
  const first = ask('/api/sites/a/edits')
  const second = ask('/api/sites/a')
  ask('/api/sites/a?x')
  ask('/api/sites/b')
  ask('/stage')
  ask('/')
  expect(begun).toEqual(['/api/sites/a/edits', '/api/sites/b', '/stage', '/'])
  first.emit('close')
  expect(begun.at(-1)).toBe('/api/sites/a')
  second.emit('close')
  expect(begun.at(-1)).toBe('/api/sites/a?x')
  expect(begun).toHaveLength(6)
})

test('whoever went away is passed over, and a turn is passed on once', () => {
  const { begun, ask } = asked()
  const first = ask('/api/sites/a/1')
  const gone = new Socket()
  ask('/api/sites/a/2', gone)
  gone.close()
  const third = ask('/api/sites/a/3')
  ask('/api/sites/a/4')
  first.emit('close')
  first.emit('close')
  expect(begun).toEqual(['/api/sites/a/1', '/api/sites/a/3'])
  third.emit('close')
  expect(begun.at(-1)).toBe('/api/sites/a/4')
})

test('a connection with many requests takes turns with others, and takes them along when it closes', () => {
  const { begun, ask } = asked()
  const crowd = new Socket()
  for (let n = 0; n < 500; n += 1) ask(`/api/sites/a/crowd${n}`, crowd)
  const other = ask('/api/sites/a/other')
  expect(begun).toEqual(['/api/sites/a/crowd0'])
  crowd.close()
  expect(begun).toEqual(['/api/sites/a/crowd0', '/api/sites/a/other'])
  other.emit('close')
  ask('/api/sites/a/after')
  expect(begun).toHaveLength(3)
  expect(crowd.listenerCount('close')).toBe(0)
})

test('a request that takes long keeps nobody waiting for ever', async () => {
  const { begun, ask } = asked(20)
  const slow = ask('/api/sites/a/slow')
  ask('/api/sites/a/next')
  ask('/api/sites/a/last')
  /** On a busy machine a while may be long. */
  const untilBegun = async (count: number) => {
    while (begun.length < count) await new Promise((resolve) => setTimeout(resolve, 10))
  }
  await untilBegun(3)
  expect(begun).toEqual(['/api/sites/a/slow', '/api/sites/a/next', '/api/sites/a/last'])
  slow.emit('close')
  ask('/api/sites/a/after')
  await untilBegun(4)
  expect(begun.at(-1)).toBe('/api/sites/a/after')
})

test('event streams are opened one at a time, whichever site they belong to; no other request waits for them', async () => {
  const heads: Array<() => void> = []
  const begun: string[] = []
  const handle = fairly(({ url }, response) => {
    begun.push(url!)
    heads.push(() => void response.writeHead(200))
  })
  const ask = (url: string) =>
    void handle(
      { url, socket: new Socket(), headers: {}, complete: true } as never,
      Object.assign(new EventEmitter(), { writeHead: () => undefined }) as never,
    )
  ask('/api/sites/a/live?window=1')
  ask('/api/sites/b/live?window=2')
  ask('/api/sites/a')
  expect(begun).toEqual(['/api/sites/a/live?window=1', '/api/sites/a'])
  heads[0]!()
  // A request that came meanwhile is taken before the next stream.
  ask('/api/sites/b')
  await new Promise((resolve) => setImmediate(resolve))
  expect(begun.slice(2)).toEqual(['/api/sites/b', '/api/sites/b/live?window=2'])
})

describe('on a real server', () => {
  /** So long that a turn that is not passed on makes the test fail by its own limit. */
  const forever = 10_000_000
  let server: Server
  let port = 0
  const bodies: string[] = []
  beforeAll(async () => {
    const handle = fairly((request, response) => {
      let body = ''
      request.on('data', (data: Buffer) => (body += data.toString()))
      request.on('end', () => {
        bodies.push(body)
        response.end(`${request.url} ${body.length}`)
      })
    }, forever)
    server = createServer(handle)
    server.listen(0, '127.0.0.1')
    await once(server, 'listening')
    port = (server.address() as AddressInfo).port
  })
  afterAll(() => {
    server.closeAllConnections()
    server.close()
  })
  const post = (path: string, body: string) =>
    new Promise<string>((resolve, reject) => {
      const sent = httpRequest({ port, path, method: 'POST', host: '127.0.0.1' }, (response) => {
        let text = ''
        response.on('data', (data: Buffer) => (text += data.toString()))
        response.on('end', () => resolve(text))
      })
      sent.on('error', reject)
      sent.end(body)
    })
  const opened = async (text: string) => {
    const socket = connect(port, '127.0.0.1')
    await once(socket, 'connect')
    socket.on('error', () => undefined)
    socket.write(text)
    await new Promise((resolve) => setTimeout(resolve, 50))
    return socket
  }
  const head = (length: number) =>
    `POST /api/sites/a/edits HTTP/1.1\r\nhost: x\r\ncontent-length: ${length}\r\n\r\n`

  test('bodies that never come, or only in part, keep nobody waiting', async () => {
    const sockets = [await opened(head(100)), await opened(`${head(100)}half`)]
    sockets.push(await opened(head(900_000) + 'x'.repeat(200_000)))
    expect(await post('/api/sites/a/edits', 'whole')).toBe('/api/sites/a/edits 5')
    for (const socket of sockets) socket.destroy()
  })

  test('a connection that closes with requests under way lets others on', async () => {
    const one = `GET /api/sites/a HTTP/1.1\r\nhost: x\r\n\r\n`
    const socket = await opened(one.repeat(300) + head(5))
    socket.destroy()
    expect(await post('/api/sites/a/edits', 'whole')).toBe('/api/sites/a/edits 5')
  })

  test('an event stream gives its turn up as soon as it sends something, or its connection closes', async () => {
    const opened: string[] = []
    const streams = createServer(
      fairly(({ url }, response) => {
        opened.push(url!)
        // The head goes out with the first write, unasked.
        if (!url!.endsWith('silent')) response.write('data: 1\n\n')
      }, forever),
    )
    streams.listen(0, '127.0.0.1')
    await once(streams, 'listening')
    const at = (streams.address() as AddressInfo).port
    const ask = async (path: string) => {
      const socket = connect(at, '127.0.0.1')
      socket.write(`GET /api/sites/${path} HTTP/1.1\r\nhost: x\r\n\r\n`)
      socket.on('error', () => undefined)
      return socket
    }
    const first = await ask('a/live?1')
    await once(first, 'data')
    const silent = await ask('b/live?silent')
    while (opened.length < 2) await new Promise((resolve) => setTimeout(resolve, 5))
    const third = await ask('a/live?3')
    silent.destroy()
    await once(third, 'data')
    expect(opened).toEqual(
      ['a/live?1', 'b/live?silent', 'a/live?3'].map((path) => `/api/sites/${path}`),
    )
    streams.closeAllConnections()
    streams.close()
  })

  test.each([1, 60_000, 70_000, 3_000_000])('a body of %i bytes arrives whole', async (length) => {
    const body = Array.from({ length }, (_, i) => String(i % 10)).join('')
    expect(await post('/api/sites/a/edits', body)).toBe(`/api/sites/a/edits ${length}`)
    expect(bodies.at(-1)).toBe(body)
  })
})
