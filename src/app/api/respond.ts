import type * as z from 'zod'
import { deepestJson, jsonDepth } from '@/core/formats'
import { done, mostSent, refused, type Problem, type Result } from '@/core/payloads'
import { isUnreadable, textFault } from '@/core/site'
import { StorageFailed } from '@/server'

/** Largest body that is read, in bytes: room for a sweep with many unticked lines, and no more. */
const LARGEST = mostSent
/** A file may take as many times as long as a body of words. */
const FILE_PATIENCE = 20
/** How long a body may take to arrive, in milliseconds. */
const patience = () => Number(process.env.EASEL_BODY_PATIENCE ?? 15_000)

const STATUS: Readonly<Record<Problem['code'], number>> = {
  'not-found': 404,
  forbidden: 403,
  stale: 409,
  'edit-refused': 422,
  'nothing-to-undo': 422,
  'nothing-to-redo': 422,
  'step-unfit': 422,
  'history-closed': 422,
  'nothing-to-sweep': 422,
  'moved-on': 409,
  'not-kept': 422,
  touched: 409,
  cancelled: 409,
  'plan-gone': 410,
  'too-much-to-check': 503,
  'nothing-to-copy': 422,
  'own-site': 422,
  'other-name': 422,
  'recipe-named': 422,
  'recipes-full': 422,
  'livery-named': 422,
  'liveries-full': 422,
  'not-published': 404,
  'publication-gone': 410,
  storage: 507,
  unreadable: 422,
  'not-json': 400,
  picture: 422,
  font: 422,
  archive: 422,
  'too-large': 413,
  'too-deep': 400,
  'too-slow': 408,
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
const AWAY = /^(?:57P0\d|08\d{3}|53300|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT)$/

export function isDatabaseAway(error: unknown): boolean {
  const {
    name = '',
    message = '',
    code = '',
    parent,
  } = (error ?? {}) as {
    name?: string
    message?: string
    code?: string
    parent?: { code?: string; message?: string }
  }
  return (
    name.startsWith('SequelizeConnection') ||
    name === 'SequelizeHostNotReachableError' ||
    AWAY.test(parent?.code ?? code) ||
    GONE.test(parent?.message ?? '') ||
    GONE.test(message)
  )
}

/** The database driver’s words for a connection that is no more; these errors have no code. */
const GONE = /Connection terminated|server closed the connection|not queryable|Client was closed/i

/** PostgreSQL's code for a disk without room (disk_full). */
const isDatabaseFull = (error: unknown) =>
  ((error ?? {}) as { parent?: { code?: string } }).parent?.code === '53100'

/** What went wrong, as far as it can be told what to do about it. */
function problemOf(error: unknown): Problem {
  if (isDatabaseAway(error)) return { code: 'database-away' }
  if (isDatabaseFull(error)) return { code: 'storage', why: 'full' }
  if (error instanceof StorageFailed) return { code: 'storage', why: error.why }
  if (isUnreadable(error)) return { code: 'unreadable' }
  console.error(error)
  return { code: 'unexpected' }
}

/** A whole number of an address; `otherwise` where it is none. */
export function wholeNumber(query: URLSearchParams, name: string, otherwise = 0): number {
  const text = query.get(name) ?? ''
  return /^\d{1,9}$/.test(text) ? Number(text) : otherwise
}

/** Runs a service and turns what comes out, or what goes wrong, into a response. */
export async function respond<T>(work: () => Promise<Result<T>>): Promise<Response> {
  try {
    return write(await work())
  } catch (error) {
    return write(refused(problemOf(error)))
  }
}

/** Reads at most some bytes, whatever the header promises, and waits for them no longer than there is patience. */
async function readBytes(
  request: Request,
  largest: number,
  patient = patience(),
): Promise<Result<Buffer>> {
  const reader = request.body?.getReader()
  if (!reader) return done(Buffer.of())
  const chunks: Uint8Array[] = []
  let size = 0
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<'late'>((resolve) => {
    timer = setTimeout(() => resolve('late'), patient)
  })
  try {
    for (;;) {
      const next = await Promise.race([reader.read(), late])
      if (next === 'late') return refused({ code: 'too-slow' })
      if (next.done) return done(Buffer.concat(chunks))
      size += next.value.byteLength
      if (size > largest) return refused({ code: 'too-large' })
      chunks.push(next.value)
    }
  } finally {
    clearTimeout(timer)
    // Whoever sends on is not listened to any longer.
    void reader.cancel().catch(() => undefined)
  }
}

/** What a body holds, checked: how large, how deep and how slow it is, what stands in its texts, and its shape. */
async function readBody<Body>(request: Request, schema: z.ZodType<Body>): Promise<Result<Body>> {
  const bytes = await readBytes(request, LARGEST)
  if (!bytes.ok) return bytes
  const text = bytes.value.toString('utf8')
  if (jsonDepth(text) > deepestJson) return refused({ code: 'too-deep' })
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return refused({ code: 'not-json' })
  }
  const fault = textFault(json)
  if (fault) return refused({ code: 'invalid', ...fault })
  const parsed = schema.safeParse(json)
  if (parsed.success) return done(parsed.data)
  const [issue] = parsed.error.issues
  const where = issue?.path.join('.') ?? ''
  return refused({ code: 'invalid', where, what: issue?.message ?? '' })
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
export const respondTo = <Body, T>(
  request: Request,
  schema: z.ZodType<Body>,
  work: (body: Body) => Promise<Result<T>>,
): Promise<Response> => respondWith(request, () => readBody(request, schema), work)

/** The same for a file: its bytes, as many as are taken. */
export const respondToBytes = <T>(
  request: Request,
  largest: number,
  work: (bytes: Buffer) => Promise<Result<T>>,
): Promise<Response> =>
  respondWith(request, () => readBytes(request, largest, patience() * FILE_PATIENCE), work)

async function respondWith<Body, T>(
  request: Request,
  read: () => Promise<Result<Body>>,
  work: (body: Body) => Promise<Result<T>>,
): Promise<Response> {
  if (isForeign(request)) return write(refused({ code: 'foreign-origin' }))
  const response = await respond(async () => {
    const body = await read()
    return body.ok ? work(body.value) : body
  })
  // A body that was not read to its end leaves the connection good for nothing more.
  if (response.status === 408 || response.status === 413)
    response.headers.set('connection', 'close')
  return response
}
