/** The site that a request is about, by its address; but for those that wait for something that happens elsewhere. */
const SITE = /^\/api\/sites\/([^/?]+)(?!\/(?:live|jobs|wide|present|publication)\b)(?:[/?]|$)/

/** The event stream of a site: its answer never ends. */
const STREAM = /^\/api\/sites\/[^/?]+\/live(?:[/?]|$)/

/** How long a request may keep others of its site waiting, in milliseconds: one that takes long does not stop them. */
const LONGEST = 1000

const hasBody = ({ headers }) =>
  headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0

/**
 * Calls back once the body of a request is here as a whole: one that never comes keeps nobody
 * waiting. `isWhole` is false for a body that is larger than what a stream holds unread.
 */
function onceArrived(request, callback) {
  if (request.complete || !hasBody(request)) return callback(true)
  const look = () => {
    const isFull = request.readableLength >= request.readableHighWaterMark
    if (!request.complete && !isFull) return
    request.off('readable', look)
    callback(request.complete)
  }
  request.on('readable', look)
}

/** Those who wait for their turn: by connection, so that one with many requests stands before others once only. */
class Waiting {
  #bySocket = new Map()
  add(socket, begin) {
    const own = this.#bySocket.get(socket)
    if (own) own.push(begin)
    else this.#bySocket.set(socket, [begin])
  }
  /** The next to have the turn; what belongs to a closed connection is dropped. */
  take() {
    for (const [socket, own] of this.#bySocket) {
      this.#bySocket.delete(socket)
      if (socket.destroyed) continue
      const begin = own.shift()
      if (own.length) this.#bySocket.set(socket, own)
      return begin
    }
    return undefined
  }
}

/** The queue of all event streams; no site can have this name, because of its slash. */
const STREAMS = '/streams'

/** The queue that a request waits in; undefined for those that wait for nobody. */
const queueOf = (url = '') => (STREAM.test(url) ? STREAMS : SITE.exec(url)?.[1])

/** Calls back before an answer's head is sent; Node has no event for that. */
function onceBegun(response, callback) {
  const { writeHead } = response
  response.writeHead = (...args) => {
    response.writeHead = writeHead
    callback()
    return writeHead.apply(response, args)
  }
}

/**
 * Takes requests about one site one after the other. One process answers
 * everybody: without this a crowd on one site stands before every other site,
 * too. A request gives its turn up when it is answered, when its connection
 * closes, or after a while. A body that is too large to wait unread takes no turn.
 * Event streams are opened one at a time, whichever site they belong to, so that other
 * requests get in between: opening five hundred at once would block everybody for seconds.
 */
export function fairly(handle, longest = LONGEST) {
  /** Those who wait, by queue; a queue is there while one of its requests has the turn. */
  const queues = new Map()
  const pass = (queue) => {
    const begin = queues.get(queue).take()
    if (begin) begin()
    else queues.delete(queue)
  }
  return (request, response) => {
    const queue = queueOf(request.url)
    if (queue === undefined) return void handle(request, response)
    const { socket } = request
    const begin = () => {
      let hasTurn = true
      const end = () => {
        clearTimeout(timer)
        socket.off('close', end)
        if (hasTurn) pass(queue)
        hasTurn = false
      }
      const timer = setTimeout(end, longest)
      response.once('close', end)
      if (queue === STREAMS) onceBegun(response, () => void setImmediate(end))
      // The answers of a connection wait for one another; those behind the first are not told of its end.
      socket.once('close', end)
      handle(request, response)
    }
    onceArrived(request, (isWhole) => {
      if (socket.destroyed) return
      if (!isWhole) return void handle(request, response)
      const waiting = queues.get(queue)
      if (waiting) waiting.add(socket, begin)
      else {
        queues.set(queue, new Waiting())
        begin()
      }
    })
  }
}
