import { expect, test, type APIRequestContext, type Browser, type Page } from '@playwright/test'
import { pageVersion } from '../src/core/site'
import { boxOnStage, isSaved, openPaint, stageFrame, undo } from './editor'
import { xssCorpus } from './xss-corpus'

const corpus = xssCorpus()

async function save(request: APIRequestContext, site: string, edit: object) {
  const loaded = (await (await request.get(`/api/sites/${site}`)).json()) as {
    revision: number
  }
  return request.post(`/api/sites/${site}/edits`, {
    data: { base: loaded.revision, edits: [{ clientId: crypto.randomUUID(), edit }] },
  })
}

/** Whatever a page does that it should not: speaks, or asks for something beyond this machine. */
function watch(page: Page): string[] {
  const left: string[] = []
  page.on('request', (request) => {
    const isHere = /^(?:http:\/\/127\.0\.0\.1|data:|blob:|about:)/.test(request.url())
    if (!isHere) left.push(request.url())
  })
  page.on('dialog', (dialog) => {
    left.push(`dialog: ${dialog.message()}`)
    void dialog.dismiss()
  })
  return left
}

/** What could run in a document if nothing else held it back. */
const couldRun = (page: Page) =>
  page.evaluate(() => {
    const odd = [...document.querySelectorAll('*')].flatMap((node) =>
      [...node.attributes].flatMap(({ name, value }) => {
        const isAddress = /^(?:href|src|xlink:href|action|formaction|srcdoc|data)$/i.test(name)

        const bare = value.replaceAll(/[\u0000-\u0020]/g, '')
        const runs =
          /^on/i.test(name) || (isAddress && /^(?:javascript|vbscript|data:text)/i.test(bare))
        return runs ? [`<${node.localName} ${name}="${value}">`] : []
      }),
    )
    const tags = [
      ...document.querySelectorAll('script, iframe, object, embed, base, frame, form[action]'),
    ]
    return [...odd, ...tags.map((node) => node.outerHTML.slice(0, 80))]
  })

/** A browser window in which no policy holds back what a page would run. */
async function unguarded(browser: Browser) {
  const context = await browser.newContext({ bypassCSP: true })
  const page = await context.newPage()
  return { page, left: watch(page), close: () => context.close() }
}

/** Some hundred texts as paragraphs, links, captions and names of a page. */
function hostilePage() {
  const elements: Record<string, object> = {}
  const sections: Record<string, object> = {}
  const order: string[] = []
  corpus.forEach((text, i) => {
    const at = Math.floor(i / 50)
    const id = `hostile-${at}`
    if (!sections[id]) {
      const name = text.replaceAll(/\s+/g, ' ').trim().slice(0, 60) || 'Hostile'
      sections[id] = { id, name, kind: 'band', theme: 'on-paper', layout: 'stack', children: [] }
      order.push(id)
    }
    const words = text.slice(0, 2000)
    const made = [
      {
        kind: 'paragraph',
        content: { runs: [{ text: words, href: text.slice(0, 400), strong: true }] },
      },
      { kind: 'heading', content: { runs: [{ text: words }], level: 2 } },
      { kind: 'picture', content: { asset: '', caption: text.slice(0, 400) } },
      { kind: 'mainButton', content: { label: text.slice(0, 100), href: text.slice(0, 400) } },
    ]
    for (const [j, each] of made.entries()) {
      const own = `${id}-${i}-${j}`
      elements[own] = { id: own, ...each }
      ;(sections[id] as { children: string[] }).children.push(own)
    }
  })
  return { order, sections, elements }
}

test(`${corpus.length} texts that want to run: written on a page, none does, not even without a policy`, async ({
  page,
  browser,
  request,
}) => {
  test.setTimeout(300_000)
  expect(corpus.length).toBeGreaterThan(200)
  const begun = await request.post('/api/sites', {
    data: { name: 'Hostile', from: { site: 'tern-and-thistle' } },
  })
  const site = ((await begun.json()) as { id: string }).id
  const record = {
    schema: pageVersion,
    id: 'hostile',
    order: 'a9',
    title: '<b>Hostile',
    path: 'hostile',
  }
  const body = hostilePage()
  const added = await save(request, site, {
    type: 'addPage',
    page: { ...record, description: corpus.find((each) => each.length < 300)!, body },
  })
  expect(added.ok(), await added.text()).toBe(true)

  // Snippets and vector pictures: what is taken is clean.
  const taken: string[] = []
  for (const [i, html] of corpus.entries()) {
    const element = { id: `snippet-${i}`, kind: 'embed', content: { name: 'Snippet', html } }
    if (i % 8 === 0) {
      await save(request, site, {
        type: 'addElements',
        doc: 'hostile',
        to: { section: 'hostile-0', into: undefined },
        top: [element.id],
        elements: [element],
      })
    }
    if (i % 3) continue
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="9" height="9"/>${html}</svg>`
    const answer = await request.post(`/api/sites/${site}/pictures?name=x.svg`, {
      data: Buffer.from(svg),
      headers: { 'content-type': 'application/octet-stream' },
    })
    if (!answer.ok()) continue
    const value = (await answer.json()) as { file?: string; known?: { file: string } }
    taken.push(value.file ?? value.known!.file)
  }
  expect(taken.length).toBeGreaterThan(20)

  const { page: visitor, left, close } = await unguarded(browser)
  for (const file of new Set(taken)) {
    await visitor.goto(`${process.env.EASEL_ADDRESS}/files/${site}/x?file=${file}`)
    expect(await couldRun(visitor)).toEqual([])
  }

  // On the stage, published, and out of an archive again.
  const onStage = watch(page)
  await openPaint(page, `/sites/${site}`)
  await page.getByRole('button', { name: 'Page: Home' }).click()
  await page.getByRole('menuitemradio', { name: '<b>Hostile' }).click()
  await expect(stageFrame(page).locator('[data-section="hostile-0"]')).toBeAttached()
  expect(onStage).toEqual([])
  const archive = await (await request.get(`/api/sites/${site}/archive`)).body()
  const again = await request.post('/api/archives', {
    data: archive,
    headers: { 'content-type': 'application/octet-stream' },
  })
  expect(again.ok(), await again.text()).toBe(true)
  const copy = ((await again.json()) as { id: string }).id
  for (const each of [site, copy]) {
    await request.post(`/api/sites/${each}/publication`, { data: {} })
    const folder = `${process.env.EASEL_PUBLISHED}/published/${each}`
    await expect.poll(async () => (await request.get(`${folder}/hostile.html`)).status()).toBe(200)
    await visitor.goto(`${folder}/hostile.html`)
    expect(await couldRun(visitor)).toEqual([])
    expect(await visitor.locator('main section').count()).toBe(body.order.length)
  }
  expect(left).toEqual([])
  await close()
  for (const each of [site, copy]) {
    await request.post(`/api/sites/${each}/shelf`, { data: { deed: 'remove', name: 'Hostile' } })
  }
})

test('pasted as formatted text, none of them leaves anything but words and marks', async ({
  page,
}) => {
  const left = watch(page)
  await openPaint(page)
  const box = await boxOnStage(page, '.quote-words')
  await page.mouse.dblclick(box.x + 30, box.y + 10)
  const field = stageFrame(page).locator('[contenteditable=true]')
  await expect(field).toBeFocused()
  const odd: string[] = []
  for (const html of corpus) {
    await field.evaluate((node, text) => {
      node.ownerDocument.getSelection()!.selectAllChildren(node)
      const clipboardData = new DataTransfer()
      clipboardData.setData('text/html', text)
      const event = { clipboardData, bubbles: true, cancelable: true }
      node.dispatchEvent(new ClipboardEvent('paste', event))
    }, html)
    odd.push(
      ...(await field.evaluate((node) =>
        [...node.querySelectorAll('*')].flatMap((each) => {
          const isFine = /^(?:a|br|em|strong|img)$/.test(each.localName)
          const names = each
            .getAttributeNames()
            .filter((name) => !/^(?:class|href|alt)$/.test(name))
          const href = each.getAttribute('href') ?? ''
          const runs = /^\s*(?:javascript|vbscript|data):/i.test(href)
          return isFine && names.length === 0 && !runs ? [] : [each.outerHTML.slice(0, 120)]
        }),
      )),
    )
  }
  expect(odd).toEqual([])
  expect(left).toEqual([])
  await page.keyboard.press('Escape')
  await isSaved(page)
  await undo(page)
})
