import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test, type Page } from '@playwright/test'
import { designNames } from '../src/core/designs/names'
import { computedOnStage, stageFrame } from './editor'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** What axe-core 4.14 finds wrong with a published page, by rule and place. */
async function violations(page: Page): Promise<string[]> {
  return page.evaluate(async (source) => {
    // The page’s own policy lets no script in; a tester’s is put in from outside.
    new Function(source)()
    const { axe: runner } = window as unknown as {
      axe: {
        run: () => Promise<{
          violations: Array<{ id: string; nodes: Array<{ target: string[] }> }>
        }>
      }
    }
    const found = await runner.run()
    return found.violations.flatMap(({ id, nodes }) =>
      nodes.map(({ target }) => `${id} at ${target.join(' ')}`),
    )
  }, axe)
}

test('a design is seen in one’s own colours before the site exists, and is begun in them', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a site' }).click()
  const dialog = page.getByRole('dialog', { name: 'Begin a site' })
  await expect(dialog.getByRole('radio')).toHaveCount(designNames.length + 3)
  await dialog.getByLabel('Name of the site').fill('Spindle & Sons')
  await dialog.getByLabel(/Colours of yours/).fill('#5b2a86, #f2b705')
  const choice = dialog.getByRole('radio', { name: /^Wheelhouse/ })
  // The card around it shows the design.
  const card = dialog
    .locator('label')
    .filter({ has: page.getByRole('radio', { name: /^Wheelhouse/ }) })
  const heading = card.locator('iframe').contentFrame().locator('.main-button').first()
  await expect(heading).toHaveCSS('background-color', /rgb\((?:91, 42, 134|242, 183, 5)\)/)
  await expect(card.locator('iframe').contentFrame().locator('.wordmark')).toHaveText(
    'Spindle & Sons',
  )
  await dialog.getByLabel('Typefaces').selectOption({ label: 'Bitter, Figtree: sturdy' })
  const title = card.locator('iframe').contentFrame().locator('h1')
  await expect(title).toHaveCSS('font-family', /Bitter/)
  await choice.click()
  await dialog.getByRole('button', { name: 'Begin it' }).click()
  await page.waitForURL('**/sites/spindle-sons*')
  await stageFrame(page).locator('.main-button').first().waitFor()
  await expect(page.getByRole('button', { name: '✓ contrast AA' })).toBeVisible()
  await expect.poll(() => computedOnStage(page, 'h1', 'font-family')).toContain('Bitter')
  await expect.poll(() => computedOnStage(page, '.picture img', 'object-fit')).toBe('cover')
  const drawn = await stageFrame(page)
    .locator('.picture img')
    .first()
    .evaluate((node) =>
      (node as HTMLImageElement).decode().then(() => (node as HTMLImageElement).naturalWidth),
    )
  expect(drawn).toBe(800)
})

test('published, every page of every design keeps to its folder, and axe finds nothing at three widths', async ({
  page,
  request,
  browser,
}) => {
  test.setTimeout(600_000)
  const visitor = await browser.newPage({ bypassCSP: true })
  const outside: string[] = []
  const found = new Set<string>()
  const errors: string[] = []
  visitor.on('pageerror', (error) => errors.push(error.message))
  for (const { id, name } of designNames) {
    const begun = await request.post('/api/sites', { data: { name, from: { design: id } } })
    const site = (await begun.json()) as { id: string }
    const job = await (await request.post(`/api/sites/${site.id}/publication`, { data: {} })).json()
    await expect
      .poll(
        async () =>
          (await (await request.get(`/api/sites/${site.id}/jobs/${job.id}`)).json()).state,
      )
      .toBe('done')
    const folder = `${process.env.EASEL_PUBLISHED}/published/${site.id}/`
    const listen = (url: string) => {
      if (!url.startsWith(folder) && !url.startsWith('data:')) outside.push(url)
    }
    const onRequest = (sent: { url: () => string }) => listen(sent.url())
    visitor.on('request', onRequest)
    const { pages } = await (await request.get(`/api/sites/${site.id}/pages?count=20`)).json()
    for (const { path } of pages as ReadonlyArray<{ path: string }>) {
      for (const width of [1280, 820, 390]) {
        await visitor.setViewportSize({ width, height: 900 })
        await visitor.goto(`${folder}${path}.html`)
        await visitor.evaluate(() => document.fonts.ready)
        for (const each of await violations(visitor))
          found.add(`${id}/${path} at ${width}: ${each}`)
        const wider = await visitor.evaluate(
          () => document.documentElement.scrollWidth - innerWidth,
        )
        if (wider > 0) found.add(`${id}/${path} at ${width}: ${wider} px too wide`)
      }
    }
    visitor.off('request', onRequest)
    await request.post(`/api/sites/${site.id}/shelf`, { data: { deed: 'remove', name } })
  }
  expect([...found]).toEqual([])
  expect(outside).toEqual([])
  expect(errors).toEqual([])
  await visitor.close()
  void page
})
