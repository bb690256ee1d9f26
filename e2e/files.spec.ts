import { mkdtempSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { clickOnStage, isSaved, openPaint, stageFrame, tern, undo } from './editor'

const folder = mkdtempSync(path.join(os.tmpdir(), 'easel-files-'))
const file = (name: string, data: string | Uint8Array) => {
  const full = path.join(folder, name)
  writeFileSync(full, data)
  return full
}

test('a picture is taken from a file, cleaned, shown, described; what is none is told where it was dropped', async ({
  page,
}) => {
  const logo = file(
    'my logo.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="80" height="60"><script>alert(1)</script><rect width="80" height="60" fill="#5b2a86"/></svg>',
  )
  const photo = await sharp({
    create: { width: 900, height: 600, channels: 3, background: '#5b2a86' },
  })
    .jpeg()
    .toBuffer()
  const cut = file('cut.jpg', photo.subarray(0, 900))
  await openPaint(page)
  await clickOnStage(page, '[data-section="opening"] .picture')
  await page.getByRole('button', { name: /^Picture, Cut to/ }).click()
  await page.getByRole('button', { name: /^Picture: / }).click()
  const choice = page.getByRole('dialog', { name: 'Picture' })
  await choice.locator('input[type=file]').setInputFiles(cut)
  await expect(choice.getByRole('status')).toContainText('cut short or broken')
  await choice.locator('input[type=file]').setInputFiles(logo)
  await expect(choice).toHaveCount(0)
  await expect(page.getByText('Left out of my logo.svg: script.')).toBeVisible()
  const shown = stageFrame(page).locator('[data-section="opening"] .picture img')
  await expect(shown).toHaveAttribute('width', '80')
  const stored = await page.request.get((await shown.getAttribute('src'))!)
  expect(await stored.text()).not.toContain('script')
  await expect(page.getByText('Nobody who listens to the page learns of it yet.')).toBeVisible()
  const alt = page.getByLabel('What it shows, for who does not see it')
  await alt.fill('A violet block')
  await alt.press('Enter')
  await expect(shown).toHaveAttribute('alt', 'A violet block')

  // One of ours, in the colours of the site.
  await page.getByRole('button', { name: /^Picture: / }).click()
  await choice.getByText('Drawn for you, in your colours').click()
  await choice.getByRole('button', { name: 'One large leaf' }).click()
  await expect(shown).toHaveAttribute('alt', 'One large leaf')
  await isSaved(page)

  // What of it stays in sight, by keys; another file in its place, wherever it stands.
  const focus = page.getByRole('button', { name: /^Point that stays in sight/ })
  await focus.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowDown')
  await expect(shown).toHaveAttribute('style', /object-position: 55% 55%/)
  const before = await shown.getAttribute('src')
  await page
    .locator('label', { hasText: 'Exchange it everywhere' })
    .locator('input')
    .setInputFiles(file('whole.jpg', photo))
  await expect(page.getByText('Does “One large leaf” still say what it shows?')).toBeVisible()
  await expect(shown).toHaveAttribute('width', '900')
  expect(await shown.getAttribute('src')).not.toBe(before)
  await expect
    .poll(() => shown.evaluate((node) => (node as HTMLImageElement).naturalWidth))
    .toBe(900)
  await isSaved(page)
  for (let i = 0; i < 8; i += 1) await undo(page)
  await expect(shown).toHaveAttribute('alt', /marbled paper/)
})

test('a site is kept as a file and begun from it; a file that is none is told', async ({
  page,
}) => {
  const kept = await page.request.get(`/api${tern}/archive`)
  expect(kept.headers()['content-disposition']).toContain('tern-and-thistle.easel.zip')
  const archive = file('tern.easel.zip', await kept.body())
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a site' }).click()
  const dialog = page.getByRole('dialog', { name: 'Begin a site' })
  const input = dialog.locator('input[accept*=zip]')
  await input.setInputFiles(file('none.zip', 'nothing'))
  await expect(dialog.getByText('This file is no archive of a site')).toBeVisible()
  await input.setInputFiles(archive)
  await page.waitForURL('**/sites/tern-thistle*')
  await expect(stageFrame(page).getByText('Books bound by hand')).toBeVisible()
  const id = new URL(page.url()).pathname.split('/').pop()!
  const removed = await page.request.post(`/api/sites/${id}/shelf`, {
    data: { deed: 'remove', name: 'Tern & Thistle' },
  })
  expect(removed.ok()).toBe(true)
})
