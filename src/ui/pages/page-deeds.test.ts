import { ternFrame } from '@demo/tern/frame'
import { demoSites } from '@demo/sites'
import type { PageEntry, Problem, Result } from '@/core/payloads'
import type { Edit } from '@/core/edit'
import type { Page } from '@/core/site'
import type { Editor } from '../editor'
import { movePage } from './move-page'
import { addPage, keepPage, removePage } from './page-deeds'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn() }) }))
jest.mock('../editor', () => ({
  tellUndoable: jest.fn(),
  openAndTell: (editor: Fake, id: string) => editor.opened.push(id),
}))

const pages = demoSites[0]!.pages
const [home, second, third] = pages as [Page, Page, Page]
const entry = ({ id, title, path, order }: Page): PageEntry => ({ id, title, path, order })

interface Fake {
  readonly sent: Edit[]
  readonly opened: string[]
}

/** A window whose server knows the pages of the demo site, or does not answer. */
function fake(problem?: Problem): Fake & { readonly editor: Editor } {
  const sorted = [...pages].sort((a, b) => (a.order < b.order ? -1 : 1))
  const answer = <T>(value: T): Promise<Result<T>> =>
    Promise.resolve(problem ? { ok: false, problem } : { ok: true, value })
  const [sent, opened]: [Edit[], string[]] = [[], []]
  const editor = {
    sent,
    opened,
    onServer: (work: () => unknown) => work(),
    client: {
      pageBeside(id: string, by: number) {
        const found = sorted[sorted.findIndex((page) => page.id === id) + by]
        return answer(found ? entry(found) : null)
      },
      pageAt(path: string) {
        const found = pages.find((page) => page.path === path)
        return answer(found ? entry(found) : null)
      },
    },
    store: { getState: () => ({ docs: { frame: ternFrame } }) },
    dispatch: (edit: Edit) => void sent.push(edit),
  }
  return { sent, opened, editor: editor as unknown as Editor }
}
const away: Problem = { code: 'database-away' }

test('a page is added between its neighbours, opened, and never under an id that was', async () => {
  const { editor, sent, opened } = fake()
  const wanted = { title: 'Gift cards', path: 'gift-cards', begins: 'nothing' } as const
  expect(await addPage(editor, home, wanted)).toBeUndefined()
  expect(await addPage(editor, home, { ...wanted, begins: 'this' })).toBeUndefined()
  const [empty, like] = sent.map((edit) => (edit as Extract<Edit, { type: 'addPage' }>).page)
  expect(empty!.order > home.order && empty!.order < second.order).toBe(true)
  expect(empty!.body.order).toHaveLength(1)
  expect(like!.body).toEqual(home.body)
  expect(empty!.id).not.toBe(like!.id)
  expect(opened).toEqual([empty!.id, like!.id])
})

test('an address that is taken is told at its field, a server that is away above all', async () => {
  const { editor, sent } = fake()
  const wanted = { title: 'Again', path: second.path, begins: 'nothing' } as const
  expect(await addPage(editor, home, wanted)).toMatchObject({ at: 'path' })
  expect(await keepPage(editor, third, { ...third, path: second.path })).toMatchObject({
    at: 'path',
    words: expect.stringContaining(second.title),
  })
  expect(await addPage(fake(away).editor, home, wanted)).toMatchObject({ at: 'all' })
  expect(await removePage(fake(away).editor, second)).toMatchObject({ at: 'all' })
  expect(sent).toEqual([])
})

test('of a page only what was changed is sent', async () => {
  const { editor, sent } = fake()
  await keepPage(editor, second, second)
  await keepPage(editor, second, { ...second, title: 'Other' })
  await keepPage(editor, second, { ...second, path: 'elsewhere', description: 'All of it' })
  expect(sent).toEqual([
    { type: 'setPage', page: second.id, title: 'Other' },
    { type: 'setPage', page: second.id, path: 'elsewhere', description: 'All of it' },
  ])
})

test('a page passes the one beside it, and stays where there is none', async () => {
  const { editor, sent } = fake()
  await movePage(editor, home, -1)
  expect(sent).toEqual([])
  await movePage(editor, home, 1)
  await movePage(editor, third, -1)
  const [back, forward] = sent.map((edit) => (edit as { order: string }).order)
  expect(back! > second.order && back! < third.order).toBe(true)
  expect(forward! > home.order && forward! < second.order).toBe(true)
})

test('the page before is shown as one is taken away', async () => {
  const { editor, sent, opened } = fake()
  expect(await removePage(editor, second)).toBeUndefined()
  expect(opened).toEqual([home.id])
  expect(sent).toEqual([{ type: 'removePage', page: second.id }])
})

test('navigations that lead to a page follow it, where that is wanted', async () => {
  const shop = pages.find(({ id }) => id === 'shop')!
  /** One step, with what happens to the navigations in it. */
  const links = (edits: readonly Edit[]) => {
    expect(edits.length).toBeLessThanOrEqual(2)
    const all = edits.flatMap((edit) => (edit.type === 'together' ? edit.edits : [edit]))
    return all.flatMap((edit) => (edit.type === 'setContent' ? [edit] : []))
  }
  const { editor, sent } = fake()
  await keepPage(editor, shop, { ...shop, title: 'Papers', renamed: true })
  const renamed = links(sent)
  expect(renamed.length).toBeGreaterThan(1)
  for (const { was, to } of renamed) {
    expect(JSON.stringify(was)).toContain(`{"label":"Shop","href":"page:shop"}`)
    expect(JSON.stringify(to)).toContain(`{"label":"Papers","href":"page:shop"}`)
  }
  const gone = fake()
  await removePage(gone.editor, shop, true)
  expect(links(gone.sent)).toHaveLength(renamed.length)
  for (const { to } of links(gone.sent)) expect(JSON.stringify(to)).not.toContain('page:shop')
  expect(gone.sent).toMatchObject([
    { type: 'together', edits: [{ type: 'removePage', page: 'shop' }, {}, {}] },
  ])
  const left = fake()
  await removePage(left.editor, shop)
  await keepPage(left.editor, shop, { ...shop, title: 'Papers' })
  expect(links(left.sent)).toEqual([])
})
