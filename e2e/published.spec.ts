import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { openPaint, publishSite } from './editor'

/** What a page asks for and complains of while it loads. */
function watch(page: Page) {
  const seen = { errors: [] as string[], requests: [] as string[] }
  page.on('console', (message) => {
    if (message.type() === 'error' || message.type() === 'warning') seen.errors.push(message.text())
  })
  page.on('pageerror', (error) => seen.errors.push(error.message))
  page.on('request', (request) => seen.requests.push(request.url()))
  page.on('requestfailed', (request) => {
    // Who goes on to the next page breaks off what comes last of this one, its icon.
    if (request.failure()?.errorText === 'net::ERR_ABORTED') return
    seen.errors.push(`failed: ${request.url()}`)
  })
  return seen
}

const pages = ['index', 'workshops', 'shop', 'journal', 'about', 'contact', 'checkout']

test('publishing from the editor; the pages load with no error and no request beyond their folder', async ({
  page,
  context,
  baseURL,
}) => {
  await openPaint(page)
  await page.getByRole('button', { name: 'Publish', exact: true }).click()
  await page.getByRole('button', { name: /^Publish (now|again)$/ }).click()
  const link = page.getByRole('link', { name: 'Open the published site' })
  await expect(link).toBeVisible()
  const folder = `${process.env.EASEL_PUBLISHED}/published/tern-and-thistle/`
  expect(new URL((await link.getAttribute('href'))!, baseURL).href).toBe(folder)

  const visitor = await context.newPage()
  const seen = watch(visitor)
  for (const name of pages) {
    await visitor.goto(`${folder}${name}.html`)
    await visitor.evaluate(() => document.fonts.ready)
    expect(await visitor.locator('.section').count()).toBeGreaterThan(2)
  }
  expect(seen.errors).toEqual([])
  expect(
    seen.requests.filter((url) => !url.startsWith(folder) && !url.startsWith('data:')),
  ).toEqual([])
  await visitor.goto(folder)
  await visitor.getByRole('link', { name: 'Shop', exact: true }).first().click()
  await expect(visitor).toHaveURL(`${folder}shop.html`)
})

test('the archive opens from a folder on disk, with the same colours', async ({
  page,
  context,
  request,
}) => {
  await publishSite(request)
  const response = await request.get('/api/sites/tern-and-thistle/publication/zip')
  expect(response.headers()['content-type']).toBe('application/zip')
  const folder = mkdtempSync(path.join(os.tmpdir(), 'easel-zip-'))
  for (const [name, data] of Object.entries(unzipSync(await response.body()))) {
    const file = path.join(folder, name)
    mkdirSync(path.dirname(file), { recursive: true })
    writeFileSync(file, data)
  }
  const seen = watch(page)
  await page.goto(`file://${folder}/tern-and-thistle/index.html`)
  const ground = (of: Page) =>
    of.evaluate(
      () => getComputedStyle(document.querySelector('[data-section=bench]')!).backgroundColor,
    )
  const onDisk = await ground(page)
  const served = await context.newPage()
  await served.goto('/published/tern-and-thistle/index.html')
  expect(onDisk).toBe(await ground(served))
  expect(onDisk).not.toBe('rgba(0, 0, 0, 0)')
  expect(seen.errors).toEqual([])
})

test('published is read-only', async ({ request }) => {
  for (const method of ['post', 'put', 'delete'] as const) {
    expect((await request[method]('/published/tern-and-thistle/index.html')).status()).toBe(405)
  }
})
