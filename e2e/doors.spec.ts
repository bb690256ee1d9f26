import http from 'node:http'
import net from 'node:net'
import { expect, test } from '@playwright/test'
import { openPaint, openView, publishSite, undo, views } from './editor'

const editor = new URL(process.env.EASEL_ADDRESS ?? 'http://127.0.0.1')
const published = new URL(process.env.EASEL_PUBLISHED ?? 'http://127.0.0.1')

interface Answer {
  readonly status: number
  readonly headers: http.IncomingHttpHeaders
}

/** Asks with any `Host`, as a page could that gave this machine a name of its own. */
function ask(
  path: string,
  host: string,
  at = editor,
  method = 'GET',
  more: http.OutgoingHttpHeaders = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = http.request(
      { host: at.hostname, port: at.port, path, method, headers: { host, ...more } },
      (response) => {
        response.resume()
        response.on('end', () =>
          resolve({ status: response.statusCode!, headers: response.headers }),
        )
      },
    )
    request.on('error', reject).end()
  })
}

const paths = [
  '/',
  '/sites/tern-and-thistle',
  '/api/sites/tern-and-thistle',
  '/stage',
  '/published/tern-and-thistle/',
  '/files/tern-and-thistle/logo',
  '/api/health',
]

test('only known names are answered, for reading too', async () => {
  for (const host of [
    'evil.test',
    `evil.test:${editor.port}`,
    `127.0.0.1.evil.test:${editor.port}`,
  ]) {
    for (const path of paths) expect([path, (await ask(path, host)).status]).toEqual([path, 421])
    expect((await ask('/api/sites/tern-and-thistle/undo', host, editor, 'POST')).status).toBe(421)
  }
  for (const host of [editor.host, `localhost:${editor.port}`]) {
    expect((await ask('/api/health', host)).status).toBe(200)
  }
})

test('pages of other origins ask for nothing, and begin nothing', async () => {
  const zip = '/api/sites/tern-and-thistle/publication/zip'
  for (const site of ['cross-site', 'same-site']) {
    for (const path of ['/api/sites/tern-and-thistle', zip]) {
      const answer = await ask(path, editor.host, editor, 'GET', { 'sec-fetch-site': site })
      expect([path, site, answer.status]).toEqual([path, site, 403])
    }
  }
  const own = { 'sec-fetch-site': 'same-origin' }
  expect((await ask('/api/health', editor.host, editor, 'GET', own)).status).toBe(200)
})

test('addresses that make no text, and methods that nobody uses, are refused and not failed', async () => {
  for (const broken of ['%C0%AF', '%ff', '%', '%E0%A4', '%00']) {
    for (const place of ['/', '/api/sites/', '/published/', '/files/', '/sites/', '/?q=']) {
      const { status } = await ask(place + broken, editor.host)
      expect([place + broken, status]).toEqual([place + broken, 400])
    }
  }
  expect((await ask('/api/health', editor.host, editor, 'TRACE')).status).toBe(405)
})

test('every answer carries a policy, and nobody may show the editor inside of a page', async () => {
  for (const path of paths) {
    const { headers } = await ask(path, editor.host)
    expect([path, headers['x-content-type-options']]).toEqual([path, 'nosniff'])
    expect([path, headers['referrer-policy']]).toEqual([path, 'same-origin'])
    if (path.startsWith('/published')) continue
    const policy = String(headers['content-security-policy'])
    expect([path, policy]).toEqual([path, expect.stringContaining('default-src')])
    if (path !== '/stage' && !path.startsWith('/files'))
      expect(policy).toContain("frame-ancestors 'none'")
  }
})

test('published sites have an origin of their own, and the editor is not to be had there', async ({
  request,
  page,
}) => {
  await publishSite(request)
  expect(published.origin).not.toBe(editor.origin)
  for (const path of [
    '/',
    '/api/sites/tern-and-thistle',
    '/sites/tern-and-thistle',
    '/files/tern-and-thistle/logo',
  ]) {
    expect([path, (await ask(path, published.host, published)).status]).toEqual([path, 404])
  }
  await page.goto('/published/tern-and-thistle/')
  expect(new URL(page.url()).origin).toBe(published.origin)
  // From a published page the editor cannot be read.
  const read = await page.evaluate(
    (address) =>
      fetch(address, { credentials: 'include' }).then(
        () => 'read',
        () => 'refused',
      ),
    `${editor.origin}/api/sites/tern-and-thistle`,
  )
  expect(read).toBe('refused')
})

test('no view of the editor breaks its own policy', async ({ page }) => {
  const told: string[] = []
  page.on('console', (message) => {
    if (message.type() === 'error') told.push(message.text())
  })
  await page.addInitScript(() =>
    document.addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
      console.error(`policy: ${violatedDirective} ${blockedURI}`),
    ),
  )
  await page.goto('/')
  for (const view of views) await openView(page, view)
  await openPaint(page)
  await page.getByRole('button', { name: 'A picture' }).click()
  await page.getByRole('button', { name: 'Ready-made' }).click()
  await page.getByRole('radio', { name: 'Salt and paprika' }).click()
  await expect(page.getByRole('button', { name: /^Apply to/ })).toBeVisible()
  expect(told).toEqual([])
})

test('a body that comes drop by drop is not waited for', async () => {
  test.slow()
  const socket = net.connect(Number(editor.port), editor.hostname)
  const head = `POST /api/sites/tern-and-thistle/undo HTTP/1.1\r\nHost: ${editor.host}\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{`
  const start = Date.now()
  socket.write(head)
  const drip = setInterval(() => socket.writable && socket.write(' '), 400)
  const answer = await new Promise<string>((resolve) => {
    let text = ''
    socket.on('data', (data) => (text += data.toString()))
    socket.on('error', () => resolve(text))
    socket.on('close', () => resolve(text))
  })
  clearInterval(drip)
  expect(answer).toContain(' 408 ')
  expect(Date.now() - start).toBeLessThan(60_000)
})

test('where the browser refuses to keep anything, the editor opens and saves all the same', async ({
  page,
}) => {
  await page.addInitScript(() => {
    for (const name of ['sessionStorage', 'localStorage']) {
      Object.defineProperty(window, name, {
        get: () => {
          throw new DOMException('refused', 'SecurityError')
        },
      })
    }
  })
  await openPaint(page)
  await expect(page.locator('[data-save="saved"]')).toBeVisible()
})

test('a window with unsent work asks before it is closed', async ({ page }) => {
  await openPaint(page)
  await page.route('**/api/sites/*/edits', (route) => route.abort())
  await page.locator('[data-slot="brand"]').click()
  const field = page.getByLabel('Colour, in any notation', { exact: true })
  await field.fill('#123456')
  await field.press('Enter')
  await expect(page.locator('[data-save="waiting"]')).toBeVisible()
  const asked: string[] = []
  page.once('dialog', (dialog) => {
    asked.push(dialog.type())
    void dialog.dismiss()
  })
  await page.close({ runBeforeUnload: true })
  await expect.poll(() => asked).toEqual(['beforeunload'])
  await page.unroute('**/api/sites/*/edits')
  await expect(page.locator('[data-save="saved"]')).toBeVisible({ timeout: 30_000 })
  await page.keyboard.press('Escape')
  await undo(page)
})
