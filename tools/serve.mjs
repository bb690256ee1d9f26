import { createServer } from 'node:http'
import next from 'next'
import { fairly } from './fair.mjs'
import { refusalOf } from './refusal.mjs'

/**
 * The built application behind a server of our own, for what the framework’s
 * own start does not let one say: how long a request may take to arrive (one
 * that comes drop by drop is answered with 408 and its connection closed), and
 * that a crowd on one site waits for itself rather than before everybody else.
 */
const [port, hostname] = [Number(process.argv[2]), '127.0.0.1']
const application = next({ dev: false, hostname, port })
const answer = application.getRequestHandler()
const turns = fairly((request, response) => void answer(request, response))
const handle = (request, response) => {
  const refusal = refusalOf(request)
  if (!refusal) return turns(request, response)
  response.writeHead(refusal.status, { 'content-type': 'text/plain; charset=utf-8' })
  response.end(`${refusal.words}\n`)
}
await application.prepare()
const server = createServer(
  { requestTimeout: 20_000, headersTimeout: 10_000, connectionsCheckingInterval: 1000 },
  handle,
)
server.listen(port, hostname)

for (const signal of ['SIGTERM', 'SIGINT']) {
  process.once(signal, () => {
    server.close(() => process.exit(0))
    server.closeIdleConnections()
    // What is under way may end; what does not is cut off.
    setTimeout(() => server.closeAllConnections(), 2000).unref()
  })
}
