import { isReachable } from '@/server'

export const dynamic = 'force-dynamic'

/** Whether the application can do its work: it answers, and so does its database. */
export async function GET(): Promise<Response> {
  const database = await isReachable()
  return Response.json(
    { ok: database, database: database ? 'answers' : 'away' },
    { status: database ? 200 : 503 },
  )
}
