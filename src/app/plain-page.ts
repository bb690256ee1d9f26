import { escapeHtml } from '@/core/elements'
import { isDatabaseAway } from './api/respond'

/** A page of words for whoever has come to something that cannot be shown. */
export function plainPage(status: number, title: string, words: string): Response {
  const html = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escapeHtml(title)}</title>
<style>body { font: 17px/1.5 system-ui, sans-serif; max-width: 34rem; margin: 15vh auto; padding: 0 1.5rem; color: #222; background: #fff } h1 { font-size: 1.4rem }</style></head>
<body><h1>${escapeHtml(title)}</h1><p>${escapeHtml(words)}</p></body>
</html>
`
  return new Response(html, {
    status,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy':
        "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'",
      'x-content-type-options': 'nosniff',
      'cache-control': 'no-store',
    },
  })
}

/** Runs what answers a visitor; what goes wrong is told as a page. */
export async function orPlainPage(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    if (isDatabaseAway(error)) {
      return plainPage(
        503,
        'Back in a moment',
        'What belongs here is not to be had just now. Nothing is lost; try again shortly.',
      )
    }
    console.error(error)
    return plainPage(
      500,
      'This could not be shown',
      'Something is amiss on the server. Try again shortly.',
    )
  }
}
