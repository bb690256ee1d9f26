import { copyFile, mkdtemp, readdir, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Browser, Page } from '@playwright/test'
import { buildSync } from 'esbuild'
import { inEditor, renderAlone } from '@/core/render'
import type { SiteDocs } from '@/core/site'
import { closeDatabase, database } from '@/server/database/connection'
import { select } from '@/server/database/sets'
import { median, openBrowser, spent } from './browser'
import { address, call, largeSite, openLarge } from './large-editor'
import { largePage } from './large-page'

const ELEMENTS = 2000
/** Keys of one run, and how long a hand takes between two, in milliseconds. */
const [KEYS, BETWEEN] = [60, 40]

/** Script, style and layout of one keystroke, in milliseconds. */
async function typed(page: Page): Promise<number> {
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  for (let n = 0; n < 5; n += 1) await page.keyboard.type('a', { delay: BETWEEN })
  const before = await spent(session)
  for (let n = 0; n < KEYS; n += 1) {
    await page.keyboard.type('abcde fghij'[n % 11]!)
    await page.waitForTimeout(BETWEEN)
  }
  const after = await spent(session)
  const sum = (of: typeof before) => of.script + of.style + of.layout
  return ((sum(after) - sum(before)) * 1000) / KEYS
}

/** Opens the large page in the editor and begins to write in its first heading. */
async function writeInEditor(browser: Browser, site: string): Promise<Page> {
  const editor = await openLarge(browser, site)
  const stage = editor.frameLocator('iframe[title="The page, live"]')
  const box = (await stage.locator('h2.heading').first().boundingBox())!
  await editor.mouse.dblclick(box.x + 40, box.y + 12)
  await stage.locator('[contenteditable=true]').waitFor()
  return editor
}

/** The same page by itself, its first heading a bare field; or one that the editing package alone looks after. */
async function writeBare(browser: Browser, docs: SiteDocs, script?: string): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    bypassCSP: true,
  })
  const plain = await context.newPage()
  const [page] = Object.values(docs.pages)
  await plain.setContent(renderAlone(docs, page!, inEditor('none', docs)))
  const heading = plain.locator('h2.heading').first()
  if (script) await plain.addScriptTag({ content: script })
  else await heading.evaluate((node) => node.setAttribute('contenteditable', 'true'))
  await heading.click()
  await plain.keyboard.press('End')
  return plain
}

/** The editing package, mounted on the first heading, with nothing of ours. */
const PACKAGE = `
import { baseKeymap } from 'prosemirror-commands'
import { keymap } from 'prosemirror-keymap'
import { Schema } from 'prosemirror-model'
import { EditorState } from 'prosemirror-state'
import { EditorView } from 'prosemirror-view'
const node = document.querySelector('h2.heading')
const schema = new Schema({ nodes: { doc: { content: 'inline*' }, text: { group: 'inline' } } })
const doc = schema.nodes.doc.create(null, schema.text(node.textContent))
node.style.whiteSpace = 'pre-wrap'
new EditorView({ mount: node }, { state: EditorState.create({ doc, plugins: [keymap(baseKeymap)] }) })`

/** Typing on the stage of a page of many elements beside typing into the same page, bare. */
async function benchTyping(): Promise<void> {
  const docs = largePage(ELEMENTS)
  const site = await largeSite(docs, 'Typing')
  const bundled = buildSync({
    stdin: { contents: PACKAGE, resolveDir: process.cwd() },
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
  })
  const script = bundled.outputFiles[0]!.text
  const browser = await openBrowser()
  const times = { editor: [] as number[], bare: [] as number[], alone: [] as number[] }
  for (let run = 0; run < 3; run += 1) {
    const ways = [
      ['editor', () => writeInEditor(browser, site)],
      ['bare', () => writeBare(browser, docs)],
      ['alone', () => writeBare(browser, docs, script)],
    ] as const
    for (const [way, open] of ways) {
      const page = await open()
      times[way].push(await typed(page))
      await page.close()
    }
  }
  await browser.close()
  const [ours, bare, alone] = [median(times.editor), median(times.bare), median(times.alone)]
  console.log(
    `typing on a page of ${ELEMENTS} elements, script, style and layout of a key: ${(ours / bare).toFixed(2)} × the bare page, ${(ours / alone).toFixed(2)} × the editing package alone (${ours.toFixed(2)} ms; bare ${bare.toFixed(2)}, package ${alone.toFixed(2)})`,
  )
}

/** The first ten sections of the library beside a page that is opened; and what scrolling it takes. */
async function benchLibrary(): Promise<void> {
  const browser = await openBrowser()
  const pageTimes: number[] = []
  const libraryTimes: number[] = []
  const long: number[] = []
  for (let run = 0; run < 5; run += 1) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${address}/sites/tern-and-thistle`)
    await page.waitForTimeout(3000)
    const small = page.getByRole('navigation', { name: 'Map of the site' }).getByTitle('Workshops')
    let start = performance.now()
    await small.click()
    await page
      .frameLocator('iframe[title="The page, live"]')
      .locator('h1', { hasText: /\S/ })
      .first()
      .waitFor()
    await page.getByRole('button', { name: 'Page: Workshops' }).waitFor()
    pageTimes.push(performance.now() - start)
    start = performance.now()
    await page.getByRole('button', { name: 'Add a section', exact: true }).click()
    await page.getByRole('group', { name: 'Sections to add' }).getByRole('button').nth(9).waitFor()
    libraryTimes.push(performance.now() - start)
    await page.waitForTimeout(800)
    await page.evaluate(() => {
      const held = window as unknown as { long: number[] }
      held.long = []
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) held.long.push(Math.round(duration))
      }).observe({ type: 'longtask' })
    })
    await page.mouse.move(640, 450)
    for (let n = 0; n < 30; n += 1) {
      await page.mouse.wheel(0, 160)
      await page.waitForTimeout(30)
    }
    long.push(...(await page.evaluate(() => (window as unknown as { long: number[] }).long)))
    await page.close()
  }
  await browser.close()
  const [library, one] = [median(libraryTimes), median(pageTimes)]
  console.log(
    `library, first ten sections: ${(library / one).toFixed(2)} × opening a page (${library.toFixed(0)} ms, a page ${one.toFixed(0)}); tasks over 50 ms while scrolling: ${long.length ? long.join(', ') : 'none'}`,
  )
}

const TABLES = [
  'sites',
  'contents',
  'records',
  'use_groups',
  'use_spots',
  'bands',
  'looks',
] as const

/** Writes the rows of a site once more, as they are, and copies as many files as it has pictures. */
async function bareInserts(site: string, files: readonly string[]): Promise<number> {
  const rows = new Map<string, unknown[]>()
  for (const table of TABLES) {
    const key = table === 'sites' ? 'id' : 'site_id'
    const isOfSite =
      table === 'use_spots'
        ? 'record in (select no from records where site_id = $1)'
        : `${key} = $1`
    const found = await select<{ row: Record<string, unknown> }>(
      `select to_json(t) as row from ${table} t where ${isOfSite}`,
      [site],
    )
    const copied = found.map(({ row }) => ({
      ...row,
      ...(table === 'use_spots' ? {} : { [key]: 'bare' }),
      ...(row.no === undefined ? {} : { no: Number(row.no) + 1_000_000_000 }),
      ...(row.record === undefined ? {} : { record: Number(row.record) + 1_000_000_000 }),
    }))
    rows.set(table, copied)
  }
  const folder = await mkdtemp(path.join(tmpdir(), 'easel-bare-'))
  const start = performance.now()
  await database().transaction(async (transaction) => {
    for (const [table, all] of rows) {
      await database().query(
        `insert into ${table} overriding system value select * from json_populate_recordset(null::${table}, $1::json)`,
        { bind: [JSON.stringify(all)], transaction },
      )
    }
  })
  await Promise.all(files.map((file, i) => copyFile(file, path.join(folder, String(i)))))
  const time = performance.now() - start
  await database().query(`delete from sites where id = 'bare'`)
  await rm(folder, { recursive: true })
  return time
}

/** Beginning a site from the largest design beside the bare INSERTs and file copies that it comes to. */
async function benchBeginning(): Promise<void> {
  const store = process.env.EASEL_FILES ?? ''
  const some = await readdir(store, { recursive: true, withFileTypes: true })
  const files = some
    .filter((each) => each.isFile())
    .map((each) => path.join(each.parentPath, each.name))
  const own: number[] = []
  const bare: number[] = []
  let site = ''
  for (let run = 0; run < 7; run += 1) {
    const start = performance.now()
    const begun = await call<{ id: string }>('sites', {
      name: `Begun ${run}`,
      from: { design: 'wheelhouse' },
    })
    own.push(performance.now() - start)
    site = begun.id
    const [{ count = 0 } = {}] = await select<{ count: number }>(
      `select count(*)::int as count from records where site_id = $1 and kind = 'picture'`,
      [site],
    )
    bare.push(await bareInserts(site, files.slice(0, count)))
  }
  await closeDatabase()
  const [ours, theirs] = [median(own), median(bare)]
  console.log(
    `beginning a site from a design: ${(ours / theirs).toFixed(2)} × the bare INSERTs and copies (${ours.toFixed(0)} ms, bare ${theirs.toFixed(0)})`,
  )
}

export async function benchContent(): Promise<void> {
  await benchTyping()
  await benchLibrary()
  await benchBeginning()
}
