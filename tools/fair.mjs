/** The site that a request is about, by its address; but for those that wait for something that happens elsewhere. */
const SITE = /^\/api\/sites\/([^/?]+)(?!\/(?:live|jobs|wide|present|publication)\b)(?:[/?]|$)/

/** How long a request may keep others of its site waiting, in milliseconds: one that arrives slowly, or takes long, does not stop them. */
const LONGEST = 1000

/**
 * Takes requests about one site one after the other. One process answers
 * everybody: without this a crowd on one site stands before every other site,
 * too. A request gives its turn up when it is answered, or after a while.
 */
export function fairly(handle, longest = LONGEST) {
  /** Those who wait, by site; a site is there while one of its requests has the turn. */
  const waiting = new Map()
  const pass = (site) => {
    const next = waiting.get(site)?.shift()
    if (next) next()
    else waiting.delete(site)
  }
  return (request, response) => {
    const site = SITE.exec(request.url ?? '')?.[1]
    if (site === undefined) return void handle(request, response)
    const begin = () => {
      // Whoever has gone away meanwhile is not answered.
      if (response.destroyed) return pass(site)
      let hasTurn = true
      const end = () => {
        clearTimeout(timer)
        if (hasTurn) pass(site)
        hasTurn = false
      }
      const timer = setTimeout(end, longest)
      response.once('close', end)
      handle(request, response)
    }
    const queue = waiting.get(site)
    if (queue) queue.push(begin)
    else {
      waiting.set(site, [])
      begin()
    }
  }
}
