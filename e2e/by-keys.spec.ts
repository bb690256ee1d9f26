import { expect, test, type Page } from '@playwright/test'
import { isSaved, stageFrame } from './editor'

/** What the keyboard is on, by its role's usual tag and its name. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const node = document.activeElement
    const label = node?.getAttribute('aria-label') ?? node?.textContent ?? ''
    const id = node?.id && document.querySelector(`label[for="${node.id}"]`)?.textContent
    return `${id || label}`.replaceAll(/\s+/g, ' ').trim()
  })

/** Presses Tab until something is reached. */
async function tabTo(page: Page, name: RegExp, back = false): Promise<void> {
  for (let i = 0; i < 120; i += 1) {
    if (name.test(await focused(page))) return
    await page.keyboard.press(back ? 'Shift+Tab' : 'Tab')
  }
  throw new Error(`not reached by Tab: ${name}; at ${await focused(page)}`)
}

test('a site is begun, written, given a section and a page, and published by keys alone', async ({
  page,
  request,
}) => {
  test.setTimeout(180_000)
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a site' }).waitFor()
  await tabTo(page, /^Begin a site$/)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Name of the site')).toBeFocused()
  await page.keyboard.type('Keys Only Cycles')
  await tabTo(page, /^Colours of yours/)
  await page.keyboard.type('#0f3d5c, #ff8a3d')
  await tabTo(page, /^Empty: /)
  // Arrow keys go round: from the last design to the first.
  const wheelhouse = page.getByRole('radio', { name: /^Wheelhouse/ })
  const chosen = () => page.getByRole('radio', { checked: true }).last().getAttribute('aria-label')
  for (let i = 0; i < 12 && !(await wheelhouse.isChecked()); i += 1) {
    const before = await chosen()
    // Held until the next one is chosen: a group chooses only while the key is down, and a slow machine comes late.
    await page.keyboard.down('ArrowUp')
    await expect.poll(chosen).not.toBe(before)
    await page.keyboard.up('ArrowUp')
  }
  await expect(wheelhouse).toBeChecked()
  await tabTo(page, /^Begin it$/, true)
  await page.keyboard.press('Enter')
  await page.waitForURL('**/sites/keys-only-cycles*')
  const frame = stageFrame(page)
  await frame.locator('h1').waitFor()

  // Words: the title of the page.
  await page.getByTestId('stage').waitFor()
  await tabTo(page, /^The page/)
  const trace = page.getByTestId('trace').getByRole('heading', { level: 2 })
  for (let i = 0; i < 60; i += 1) {
    await page.keyboard.press('ArrowDown')
    if (/Flat at eight/.test((await trace.textContent().catch(() => '')) ?? '')) break
  }
  await page.keyboard.press('Enter')
  await expect(frame.locator('[contenteditable=true]')).toBeFocused()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Bring it flat, ride it home')
  await page.keyboard.press('Escape')
  await expect(frame.locator('h1')).toHaveText('Bring it flat, ride it home')

  // A section from the library.
  await page.keyboard.press('n')
  const library = page.getByRole('dialog', { name: 'Add a section' })
  await tabTo(page, /^Find a section$/)
  await page.keyboard.type('hours')
  await tabTo(page, /^Opening hours/)
  await page.keyboard.press('Enter')
  await expect(library).toHaveCount(0)
  await expect(frame.getByText('When we are here')).toBeVisible()

  // A page, out of a design.
  await tabTo(page, /^Page: Home$/, true)
  await page.keyboard.press('Enter')
  const add = page.getByRole('menuitem', { name: 'Add a page …' })
  for (let i = 0; i < 20; i += 1) {
    if (await add.evaluate((node) => node === document.activeElement)) break
    await page.keyboard.press('ArrowDown')
  }
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Title')).toBeFocused()
  await page.keyboard.type('Winter storage')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Page: Winter storage' })).toBeVisible()
  await isSaved(page)

  // Out into the world.
  await tabTo(page, /^Publish$/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('has not been published yet')).toBeVisible()
  await tabTo(page, /^Publish now$/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('What you see is what is published.')).toBeVisible()
  const folder = `${process.env.EASEL_PUBLISHED}/published/keys-only-cycles`
  expect(await (await request.get(`${folder}/index.html`)).text()).toContain('ride it home')
  expect((await request.get(`${folder}/winter-storage.html`)).ok()).toBe(true)
  const name = 'Keys Only Cycles'
  await request.post('/api/sites/keys-only-cycles/shelf', { data: { deed: 'remove', name } })
})
