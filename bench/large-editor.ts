import { randomUUID } from 'node:crypto'
import type { Browser, Page } from '@playwright/test'
import type { SiteDocs } from '@/core/site'

export const address = process.env.EASEL_ADDRESS ?? ''

export async function call<T>(route: string, body: unknown): Promise<T> {
  const response = await fetch(`${address}/api/${route}`, {
    method: 'POST',
    body: JSON.stringify(body),
  })
  if (!response.ok) throw new Error(`${route}: ${response.status} ${await response.text()}`)
  return (await response.json()) as T
}

/** A page of many elements in a site of its own; the address of the site. */
export async function largeSite(docs: SiteDocs, name: string): Promise<string> {
  const [page] = Object.values(docs.pages)
  const site = await call<{ id: string }>('sites', { name, from: { design: 'empty' } })
  const sections = Object.fromEntries(
    Object.entries(page!.body.sections).map(([id, section]) => [
      id,
      { ...section, theme: 'on-ground' },
    ]),
  )
  const large = { ...page, order: 'Zz', body: { ...page!.body, sections } }
  const edit = { clientId: randomUUID(), edit: { type: 'addPage', page: large } }
  await call(`sites/${site.id}/edits`, { base: 0, edits: [edit] })
  return `${address}/sites/${site.id}`
}

/** Opens the large page in the editor. */
export async function openLarge(browser: Browser, site: string): Promise<Page> {
  const editor = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await editor.goto(site)
  await editor.waitForTimeout(3000)
  const target = editor.frameLocator('iframe[title="The page, live"]').locator('h2.heading').first()
  if ((await target.count()) === 0) {
    await editor.getByRole('button', { name: /^Page: / }).click()
    await editor.getByRole('menuitemradio', { name: 'Large' }).click()
  }
  await target.waitFor()
  return editor
}
