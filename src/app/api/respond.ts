import type { z } from 'zod'
import { refused, type Problem, type Result } from '@/core/payloads'

/** Largest body that is read: room for a sweep with many unticked lines, and no more. */
const LARGEST = 1_000_000

const STATUS: Readonly<Record<Problem['code'], number>> = {
  'not-found': 404,
  forbidden: 403,
  stale: 409,
  'edit-refused': 422,
  'nothing-to-undo': 422,
  'nothing-to-redo': 422,
  'nothing-to-sweep': 422,
  'nothing-to-copy': 422,
  'not-published': 404,
  'not-json': 400,
  'too-large': 413,
  invalid: 400,
  'foreign-origin': 403,
  'database-away': 503,
  unexpected: 500,
}

function write<T>(result: Result<T>): Response {
  if (result.ok) return Response.json(result.value)
  return Response.json({ problem: result.problem }, { status: STATUS[result.problem.code] })
}

/** PostgreSQL's codes for a server that goes away (class 57P0x) or that nobody reaches. */
const AWAY = /^(?:57P0\d|08\d{3}|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT)$/

function isDatabaseAway(error: unknown): boolean {
  const { name = '', parent } = (error ?? {}) as {
    name?: string
    parent?: { code?: string; message?: string }
  }
  return (
    name.startsWith('SequelizeConnection') ||
    name === 'SequelizeHostNotReachableError' ||
    AWAY.test(parent?.code ?? '') ||
    /Connection terminated|server closed the connection/i.test(parent?.message ?? '')
  )
}

/** Runs a service and turns what comes out, or what goes wrong, into a response. */
export async function respond<T>(work: () => Promise<Result<T>>): Promise<Response> {
  try {
    return write(await work())
  } catch (error) {
    if (isDatabaseAway(error)) return write(refused({ code: 'database-away' }))
    console.error(error)
    return write(refused({ code: 'unexpected' }))
  }
}

/** Reads at most `LARGEST` bytes, whatever the header promises. */
async function readText(request: Request): Promise<string | undefined> {
  const chunks: Uint8Array[] = []
  let size = 0
  for await (const chunk of request.body ?? []) {
    size += chunk.byteLength
    if (size > LARGEST) return undefined
    chunks.push(chunk)
  }
  return Buffer.concat(chunks).toString('utf8')
}

/** Answers with a file to keep, or with why there is none. */
export async function respondFile(
  mediaType: string,
  fileName: string,
  work: () => Promise<Result<Uint8Array>>,
): Promise<Response> {
  let file: Uint8Array | undefined
  const refusal = await respond(async () => {
    const result = await work()
    if (result.ok) file = result.value
    return result.ok ? { ok: true, value: null } : result
  })
  if (!file) return refusal
  return new Response(file as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': mediaType,
      'content-disposition': `attachment; filename="${fileName}"`,
    },
  })
}

/** Whether a page of another host sends this; `null` is the origin of a page without one. */
function isForeign(request: Request): boolean {
  const origin = request.headers.get('origin')
  if (origin === null) return false
  return !URL.canParse(origin) || new URL(origin).host !== request.headers.get('host')
}

/** Checks where a request comes from and what it holds, then runs the service with its body. */
export async function respondTo<Body, T>(
  request: Request,
  schema: z.ZodType<Body>,
  work: (body: Body) => Promise<Result<T>>,
): Promise<Response> {
  if (isForeign(request)) return write(refused({ code: 'foreign-origin' }))
  const text = await readText(request)
  if (text === undefined) return write(refused({ code: 'too-large' }))
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return write(refused({ code: 'not-json' }))
  }
  const parsed = schema.safeParse(json)
  if (!parsed.success) {
    const issue = parsed.error.issues[0]
    const where = issue?.path.join('.') ?? ''
    return write(refused({ code: 'invalid', where, what: issue?.message ?? '' }))
  }
  return respond(() => work(parsed.data))
}
