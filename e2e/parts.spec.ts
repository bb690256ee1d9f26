import { expect, test, type Page } from '@playwright/test'
import { isSaved, leavesTheSiteAsItWas, openPaint, stageFrame, undo } from './editor'

leavesTheSiteAsItWas()

const outline = (page: Page) => page.getByRole('group', { name: 'Outline' })
const note = (page: Page) => page.getByTestId('part')

async function toPage(page: Page, title: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .last()
    .click()
  await expect(page.getByRole('heading', { name: `${title}, top to bottom` })).toBeVisible()
}

test('a section is kept as a part, stands on two pages, changes on both, and is loosened on one', async ({
  page,
}) => {
  await openPaint(page)
  await outline(page)
    .getByRole('button', { name: /^Join a workshop/ })
    .click()
  await page.getByRole('button', { name: 'More to do' }).click()
  await page.getByRole('menuitem', { name: /^Keep as a part/ }).click()
  await expect(note(page)).toContainText('on 1 page (Home)')

  // By keys, onto another page.
  await toPage(page, 'About')
  await page.getByTestId('stage').focus()
  await page.keyboard.press('n')
  const library = page.getByRole('dialog', { name: 'Add a section' })
  await library.getByText('Parts of this site').click()
  await library.getByRole('button', { name: /^Join a workshop on 1 page/ }).focus()
  await page.keyboard.press('Enter')
  await expect(note(page)).toContainText('on 2 pages (Home, About)')
  await expect(note(page)).toContainText('What you change in it changes on all of them')
  const part = stageFrame(page).locator('main [data-doc=frame]')
  await expect(part).toHaveAttribute('data-theme', 'on-spark')

  // It is not there twice, and moves among the others.
  await page.getByTestId('stage').focus()
  await page.keyboard.press('Alt+ArrowUp')
  const names = () => outline(page).getByRole('button').allTextContents()
  await expect.poll(async () => (await names()).at(-3)).toMatch(/^Join a workshop/)
  await page.keyboard.press('n')
  await library.getByText('Parts of this site').click()
  await library.getByRole('button', { name: /^Join a workshop/ }).click()
  await expect(page.getByText('it stands on this page already')).toBeVisible()
  await page.keyboard.press('Escape')

  // A change here is a change there.
  await page.getByRole('radio', { name: /^On Brand/ }).click()
  await expect(part).toHaveAttribute('data-theme', 'on-brand')
  await toPage(page, 'Home')
  await expect(part).toHaveAttribute('data-theme', 'on-brand')

  // Loosened, it is this page's own.
  await outline(page)
    .getByRole('button', { name: /^Join a workshop/ })
    .click()
  await note(page).getByRole('button', { name: 'Make it this page’s own' }).click()
  await expect(note(page)).toHaveCount(0)
  await page.getByRole('radio', { name: /^On Mist/ }).click()
  await expect(part).toHaveCount(0)
  await toPage(page, 'About')
  await expect(part).toHaveAttribute('data-theme', 'on-brand')
  await isSaved(page)

  // The header as well.
  await outline(page)
    .getByRole('button', { name: /^Header/ })
    .click()
  await expect(note(page)).toContainText(/Header of the site, on \d+ pages/)
  await note(page).getByRole('button', { name: 'Make it this page’s own' }).click()
  await expect(note(page)).toContainText('a header of its own')
  await expect(stageFrame(page).locator('header')).toHaveCount(1)
  await note(page).getByRole('button', { name: 'Take the site’s again' }).click()
  await expect(stageFrame(page).locator('header[data-doc=frame]')).toHaveCount(1)
  await isSaved(page)

  // Kept, placed, moved, themed, loosened, themed, header loosened and taken back.
  for (let i = 0; i < 8; i += 1) await undo(page)
  await expect(part).toHaveCount(0)
})
