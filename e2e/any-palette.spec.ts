import { expect, test, type APIRequestContext } from '@playwright/test'
import { goBackTo, isSaved, openPaint, tern, upToDate } from './editor'

const api = `/api${tern}`
const revisionOf = async (request: APIRequestContext) =>
  ((await (await request.get(api)).json()) as { revision: number }).revision

/** Palettes made up for this, one of them nasty. */
const palettes: ReadonlyArray<readonly [string, string]> = [
  ['a florist', 'f9f6ef e7ecd8 d98a9c 8a4f63 47633f 1e2a1c'],
  ['a ferry line', 'f4f8fb cfe0ea ffb238 2d7fb0 174a6b 0b1c2a'],
  ['a night bakery', 'fff8ec f2dfbf d99a3a 8c3b2a 4a2a2f 19100f'],
  ['a toy mender', 'fefefe e6e4ff ff5d73 5b4bdb 2b2470 0f0d24'],
  ['six near-identical mid greys', '757575 767676 777777 787878 797979 7a7a7a'],
]

for (const [name, colors] of palettes) {
  test(`${name}: palette, themes, rhythm, one button for all themes, everything readable`, async ({
    page,
    request,
  }) => {
    const start = Date.now()
    const base = await revisionOf(request)
    await request.post(`${api}/checkpoints`, { data: { base, name: 'Before a palette' } })
    const [before] = (await (await request.get(`${api}/checkpoints`)).json()) as Array<{
      id: string
    }>

    await openPaint(page)
    await page.getByRole('button', { name: 'List or file' }).click()
    await page.getByLabel(/Hex codes/).fill(colors.replaceAll(' ', '\n'))
    await page.getByRole('button', { name: /^Apply to [1-6] slots?$/ }).click()
    await isSaved(page)

    await page.getByRole('link', { name: 'Themes' }).click()
    // Where the old themes would leave less that can be read, they came anew with the palette.
    await page.getByRole('button', { name: 'Generate …' }).click()
    const dialog = page.getByRole('dialog')
    const generate = dialog.getByRole('button', { name: 'Generate', exact: true })
    await expect(dialog).toContainText(/would change/)
    if (await generate.isEnabled()) await generate.click()
    else await dialog.getByRole('button', { name: 'Close' }).click()
    await page.getByLabel('Roles that are shown').selectOption('failing')
    await expect(page.getByText('All theme pairs have enough contrast.')).toBeVisible()

    await page.getByRole('link', { name: 'Rhythm' }).click()
    await page.getByRole('button', { name: 'Propose a rhythm for all pages' }).click()
    await page.getByRole('button', { name: 'Give it' }).click()
    await expect(page.getByRole('button', { name: 'Give it' })).toHaveCount(0)

    // One button colour in all themes at once; labels that no longer read on it are put right.
    await page.getByRole('link', { name: 'Themes' }).click()
    await page.getByRole('button', { name: 'Fill', exact: true }).first().click()
    await page
      .getByRole('group', { name: /^Set all/ })
      .getByRole('button', { name: 'Spark', exact: true })
      .click()
    await isSaved(page)
    await page.getByRole('button', { name: 'Label', exact: true }).first().click()
    const together = page.getByRole('button', { name: 'Take the nearest that can, in each' })
    const single = page.getByRole('button', { name: /^Main button, label in .* to/ })
    await expect(page.getByRole('heading', { name: 'Main button, label' })).toBeVisible()
    await upToDate(page)
    if (await together.isVisible()) await together.click()
    else {
      for (let left = await single.count(); left; left = await single.count()) {
        await single.first().click()
        await expect.poll(() => single.count()).toBeLessThan(left)
      }
    }
    await page.getByLabel('Roles that are shown').selectOption('failing')
    await expect(page.getByText('All theme pairs have enough contrast.')).toBeVisible()
    await isSaved(page)
    test.info().annotations.push({ type: 'took', description: `${Date.now() - start} ms` })

    await goBackTo(request, before!.id)
  })
}
