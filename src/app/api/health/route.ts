export const dynamic = 'force-dynamic'

/** Answers as soon as the application can. */
export function GET(): Response {
  return Response.json({ ok: true })
}
