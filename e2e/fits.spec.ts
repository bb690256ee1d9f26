import { expect, test, type Page } from '@playwright/test'
import { leavesTheSiteAsItWas, openView, tern, views } from './editor'

leavesTheSiteAsItWas()

const SIZES = [
  [1024, 640],
  [1280, 800],
  [1920, 1080],
] as const

/** How far the document reaches out of the window, and the part of the view that reaches furthest, in CSS pixels. */
const beyond = (page: Page) =>
  page.evaluate(() => {
    const { scrollHeight, scrollWidth } = document.documentElement
    const parts = document.querySelectorAll('main, main > *, main > * > *')
    const boxes = [...parts].map((node) => node.getBoundingClientRect())
    const lowest = Math.max(...boxes.map(({ bottom }) => Math.round(bottom)))
    const rightmost = Math.max(...boxes.map(({ right }) => Math.round(right)))
    return {
      below: Math.max(0, scrollHeight - innerHeight, lowest - innerHeight),
      beside: Math.max(0, scrollWidth - innerWidth, rightmost - innerWidth),
    }
  })

async function fitsAtEverySize(page: Page, what: string): Promise<void> {
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    await expect
      .poll(() => beyond(page), { message: `${what} at ${width}×${height}` })
      .toEqual({ below: 0, beside: 0 })
  }
}

test('no view is larger than the window', async ({ page }) => {
  test.slow()
  for (const view of views) {
    await openView(page, view)
    await fitsAtEverySize(page, view || 'the page')
  }
})

test('nor is what opens inside of a view: the parts of Looks, the specimen, ways to a palette, the theme of a slot', async ({
  page,
}) => {
  test.slow()
  await openView(page, '/looks')
  for (const pane of ['Type', 'Styles', 'Liveries', 'CSS', 'Shapes']) {
    await page.getByRole('radio', { name: pane, exact: true }).click()
    await fitsAtEverySize(page, pane)
  }
  await openView(page, '/themes')
  await page.getByRole('button', { name: 'Specimen' }).click()
  await fitsAtEverySize(page, 'the specimen')
  await page.setViewportSize({ width: 1280, height: 800 })
  await openView(page, '')
  for (const way of ['List or file', 'One colour', 'Ready-made', 'Brighter …', 'A picture']) {
    await page.getByRole('button', { name: way }).click()
    await fitsAtEverySize(page, way)
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.locator('[data-slot="brand"]').click()
  await fitsAtEverySize(page, 'a slot')
})

test('nor is a site of a long name with a dark edition, many kept studies and another window', async ({
  page,
  request,
}) => {
  const { revision: base } = await (await request.get(`/api${tern}`)).json()
  const colors = ['#102030', '#e0d0c0'].map((value) => ({ value }))
  const name = 'Tern & Thistle, bookbinders by the old harbour'
  const rename = { clientId: crypto.randomUUID(), edit: { type: 'renameSite', name } }
  const studies = ['Harbour', 'A study with quite a long name', 'Third', 'Fourth'].map(
    (name, i) => ({
      clientId: crypto.randomUUID(),
      edit: { type: 'keepStudy', study: { id: `kept-${i}`, name, colors } },
    }),
  )
  const saved = await request.post(`/api${tern}/edits`, {
    data: { base, edits: [...studies, rename] },
  })
  expect(saved.ok(), await saved.text()).toBe(true)
  await openView(page, '/themes')
  await page.getByLabel('Dark edition').selectOption({ label: 'Dark by a switch' })
  await openView(await page.context().newPage(), '')
  await openView(page, '')
  await expect(page.getByRole('button', { name: /other windows? on this site$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Harbour/ })).toBeVisible()
  await fitsAtEverySize(page, 'four studies')
})

test('what takes files in Looks scrolls its panel into view, not the window', async ({ page }) => {
  await openView(page, '/looks')
  await page.getByRole('radio', { name: 'Type', exact: true }).click()
  const take = page.getByText('Take font files')
  await take.scrollIntoViewIfNeeded()
  await page.locator('input[type=file]').last().focus()
  expect(await page.evaluate(() => [scrollY, document.body.scrollTop])).toEqual([0, 0])
  await expect(take).toBeInViewport()
  await expect(page.getByRole('button', { name: 'Publish' })).toBeInViewport()
})
