import { framedPolicy } from '@/core/render'

const shell = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Stage</title></head>
<body></body>
</html>
`

/** The empty page that the editor fills: nothing in it can run, navigate, or call out. */
export function GET(): Response {
  return new Response(shell, {
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': framedPolicy,
      'cache-control': 'private, max-age=3600',
    },
  })
}
