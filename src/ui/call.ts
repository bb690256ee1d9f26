import { refused, type Problem, type Result } from '@/core/payloads'

/**
 * Asks, or with a body tells, the sites of a server something. One that cannot be
 * reached counts as a database that is away: keep, wait, send again.
 */
export async function callAt<T>(address: string, path: string, body?: unknown): Promise<Result<T>> {
  let response: Response
  try {
    response = await fetch(`${address}/api/sites${path && `/${path}`}`, {
      method: body === undefined ? 'GET' : 'POST',
      cache: 'no-store',
      ...(body === undefined
        ? {}
        : body instanceof Blob
          ? { headers: { 'content-type': 'application/octet-stream' }, body }
          : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
  } catch {
    return refused({ code: 'database-away' })
  }
  try {
    const json: unknown = await response.json()
    if (response.ok) return { ok: true, value: json as T }
    return refused((json as { problem: Problem }).problem)
  } catch {
    // An answer that is not ours: something before the server speaks for it while it is away.
    if (response.status === 408) return refused({ code: 'too-slow' })
    return refused({ code: response.status >= 500 ? 'database-away' : 'unexpected' })
  }
}
