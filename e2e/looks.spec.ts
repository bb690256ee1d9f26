import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import {
  computedOnStage,
  isSaved,
  leavesTheSiteAsItWas,
  openPaint,
  openView,
  publishSite,
  stageFrame,
  tern,
  undo,
} from './editor'

leavesTheSiteAsItWas()

async function edit(request: APIRequestContext, ...edits: object[]): Promise<void> {
  const { revision: base } = await (await request.get(`/api${tern}`)).json()
  const answer = await request.post(`/api${tern}/edits`, {
    data: { base, edits: edits.map((each) => ({ clientId: crypto.randomUUID(), edit: each })) },
  })
  expect(await answer.text()).not.toContain('problem')
}

const pane = (page: Page, name: string) =>
  page.getByLabel('Looks', { exact: true }).getByRole('radio', { name, exact: true }).click()

test('all buttons become pills with an outline, which fill when they are pointed at, and back by undo', async ({
  page,
}) => {
  await openView(page, '/looks')
  await page.getByRole('radio', { name: 'Outline' }).click()
  await page
    .getByRole('group', { name: 'Corner of buttons' })
    .getByRole('radio', { name: 'Pill' })
    .click()
  await isSaved(page)
  await openPaint(page)
  const main = (property: string) => computedOnStage(page, '.main-button', property)
  expect(await main('border-top-left-radius')).toBe('999px')
  expect(await main('border-top-width')).toBe('1px')
  expect(await main('background-color')).toMatch(/rgba\(.*, 0\)/)
  // One of the four with low contrast was a button.
  await expect(page.getByRole('button', { name: '× 3 low contrast' })).toBeVisible()
  await undo(page)
  await undo(page)
  await expect.poll(() => main('background-color')).toBe('rgb(214, 90, 42)')
})

/** Words made to stand worse in a wider typeface: one that tears, one that takes a line more, one that is cut off. */
const planted = {
  torn: 'Herstellungsverfahren',
  cut: 'Cut off here',
  same: 'Yoqo',
} as const

async function plant(request: APIRequestContext): Promise<void> {
  const heading = (id: string, text: string) => ({
    id,
    kind: 'heading',
    content: { runs: [{ text }], level: 2 },
  })
  const { page } = await (await request.get(`/api${tern}/pages/contact`)).json()
  const [section] = page.body.order
  await edit(
    request,
    {
      type: 'addElements',
      doc: 'contact',
      to: { section },
      top: Object.keys(planted).map((id) => `planted-${id}`),
      elements: Object.entries(planted).map(([id, text]) => heading(`planted-${id}`, text)),
    },
    {
      type: 'setCustomCss',
      css: '[data-el="planted-cut"] { white-space: nowrap; overflow: hidden; width: 235px; }',
    },
  )
}

test('another typeface for headings: what is torn and cut off by it is told, with a way there and a remedy', async ({
  page,
  request,
}) => {
  await plant(request)
  await openView(page, '/looks')
  await pane(page, 'Type')
  await page.getByRole('combobox', { name: 'Typeface of headings' }).selectOption('Unbounded')
  const report = page.getByRole('region', { name: 'What it did to the words' })
  await expect(report.getByText('7 pages, three widths')).toBeVisible({ timeout: 40_000 })
  const told = (words: string) => report.getByRole('listitem').filter({ hasText: words })
  await expect(told(planted.torn)).toContainText(
    `“${planted.torn}” is torn in two on tablets and on phones`,
  )
  await expect(told(planted.cut)).toContainText(/\d+ px cut off/)
  await expect(told(planted.same)).toHaveCount(0)

  // Smaller, only here: then it fits, and is told no more.
  await page.getByRole('button', { name: `Mend “${planted.cut}”` }).click()
  await expect(page.getByRole('menuitem').first()).toBeVisible()
  await page.getByRole('menuitem', { name: 'A step smaller, only here' }).click()
  await expect(told(planted.cut)).toHaveCount(0, { timeout: 40_000 })

  // The way there: on the page and in the width where it is torn, with its element chosen.
  await told(planted.torn).getByRole('button').first().click()
  await expect(page).toHaveURL(new RegExp(`${tern}(?:\\?page=.*)?$`))
  await expect(page.getByRole('button', { name: 'Tablet width' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  const sight = (await page.getByTestId('stage-scroll').boundingBox())!
  const isInSight = async () => {
    const at = (await stageFrame(page).locator('[data-el="planted-torn"]').boundingBox())!
    return at.y >= sight.y && at.y + at.height <= sight.y + sight.height
  }
  await expect.poll(isInSight).toBe(true)
  // Letter by letter in the browser: the word stands in two lines there.
  const word = stageFrame(page).locator('[data-el="planted-torn"]')
  await expect(word).toHaveText(planted.torn)
  const tops = await word.evaluate((node) => {
    const text = node.ownerDocument.createTreeWalker(node, NodeFilter.SHOW_TEXT).nextNode()!
    return [...text.nodeValue!].map((_, i) => {
      const range = node.ownerDocument.createRange()
      range.setStart(text, i)
      range.setEnd(text, i + 1)
      return Math.round(range.getBoundingClientRect().top)
    })
  })
  expect(new Set(tops).size).toBe(2)
})

test('fonts of one’s own: what is none is told where it was given, what is one is shown and published', async ({
  page,
  request,
}) => {
  await openView(page, '/looks')
  await pane(page, 'Type')
  const files = page.getByLabel('Take font files …')
  const own = page.getByRole('region', { name: 'Fonts of your own' })
  await files.setInputFiles([
    { name: 'notes.ttf', mimeType: 'font/ttf', buffer: Buffer.from('no font') },
    { name: 'huge.otf', mimeType: 'font/otf', buffer: Buffer.alloc(40_000_000) },
  ])
  await expect(own.getByRole('alert')).toHaveText([
    /notes\.ttf: This is no font/,
    /huge\.otf has 40 MB; 8 MB/,
  ])
  const shipped = 'node_modules/@fontsource-variable/cabin/files/cabin-latin-wght-italic.woff2'
  await files.setInputFiles(shipped)
  await expect(own.getByRole('listitem')).toContainText(/Cabin.*400 to 700, italic/)
  await expect(own.getByRole('alert')).toHaveCount(0)
  await files.setInputFiles(shipped)
  await expect(own.getByRole('alert')).toHaveText(/The site has this very font/)
  await page
    .getByRole('combobox', { name: 'Typeface of headings' })
    .selectOption({ label: 'Cabin' })
  await isSaved(page)
  await own.getByRole('button', { name: /^Remove Cabin/ }).click()
  await expect(page.getByText('Cabin is in use.')).toBeVisible()

  await publishSite(request)
  const folder = `${process.env.EASEL_PUBLISHED}/published/tern-and-thistle`
  const css = await (await request.get(`${folder}/site.css`)).text()
  const [, file] = /fonts\/(font-[\w-]+-latin\.woff2)/.exec(css)!
  const font = await request.get(`${folder}/fonts/${file}`)
  expect(font.headers()['content-type']).toBe('font/woff2')
})

test('the livery of a ready-made design: seen on the page, taken in part or whole, words untouched, undone', async ({
  page,
  request,
}) => {
  const words = async () => {
    const { page: home } = await (await request.get(`/api${tern}/pages/home`)).json()
    return JSON.stringify(home.body)
  }
  const said = await words()
  await openView(page, '/looks')
  await pane(page, 'Liveries')
  await page.getByRole('textbox', { name: /Keep how this site looks/ }).fill('As it was')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('radio', { name: 'As it was' })).toBeVisible()
  await page.getByRole('textbox', { name: /Keep how this site looks/ }).fill('as it WAS')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Another' })).toContainText(
    'Another livery is kept under that name',
  )

  await page.getByRole('radio', { name: 'Late Kitchen' }).click()
  const trial = page.getByRole('region', { name: 'Trying on Late Kitchen' })
  await expect(trial).toContainText('It has no style called')
  const divider = page.getByRole('slider', { name: 'Divider between before and after' })
  await divider.press('ArrowRight')
  await expect(divider).toHaveAttribute('aria-valuenow', '42')
  await trial.getByRole('checkbox', { name: 'Type' }).uncheck()
  await trial.getByRole('button', { name: 'Take it' }).click()
  await isSaved(page)
  const frame = async () => (await (await request.get(`/api${tern}`)).json()).frame
  expect((await frame()).settings).toMatchObject({ bodyFace: 'Karla', buttonForm: 'solid' })
  expect(await words()).toBe(said)

  // Back to what was kept: by the same way as to any other.
  await page.getByRole('radio', { name: 'As it was' }).click()
  await page.getByRole('button', { name: 'Take it' }).click()
  await isSaved(page)
  await openPaint(page)
  await expect
    .poll(() => computedOnStage(page, '.main-button', 'background-color'))
    .toBe('rgb(214, 90, 42)')
  await page.goto(`${tern}/looks`)
  await pane(page, 'Liveries')
  await page.getByRole('button', { name: 'What to do with As it was' }).click()
  await page.getByRole('menuitem', { name: 'Keep it no longer' }).click()
  await expect(page.getByRole('radio', { name: 'As it was' })).toHaveCount(0)
})
