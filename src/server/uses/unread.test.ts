import type { PageId } from '@/core/site'
import { localOwner, type Actor } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  save,
  siteId,
  stranger,
} from '../database/database.fixture'
import { loadWhole } from '../records'
import { unreadPlaces } from '.'

beforeAll(() => openTestDatabase('unread_test'))
afterAll(closeTestDatabase)

const unread = async (actor: Actor = localOwner) => {
  const result = await unreadPlaces(actor, siteId)
  if (!result.ok) throw new Error(result.problem.code)
  return result.value
}

test('all of the demo site can be read; what cannot is named, where it stands', async () => {
  expect(await unread()).toEqual({ count: 0, first: [] })
  await expect(unread(stranger)).rejects.toThrow('not-found')

  const css = 'a{color:rgb(1 2 3)}\nb{color:rgb(28 90 84 / var(--see-through))}'
  expect((await save({ type: 'setCustomCss', css })).ok).toBe(true)
  const { pages } = await loadWhole(siteId)
  const page = Object.values(pages).find(({ body }) =>
    Object.values(body.elements).some(({ kind }) => kind === 'embed'),
  )!
  const embed = Object.values(page.body.elements).find(({ kind }) => kind === 'embed')!
  const html = '<p style="color:hsl(var(--h) 10% 10%)">Words</p>'
  const doc = page.id as PageId
  const { html: was } = embed.content as { html: string }
  const edit = { type: 'setContent', doc, element: embed.id, at: ['html'], was, to: html }
  expect(await save(edit)).toMatchObject({ ok: true })
  const found = await unread()
  expect(found).toMatchObject({
    count: 2,
    first: [
      { label: 'Custom CSS, line 2', text: 'rgb(28 90 84 / var(--see-through))' },
      { text: 'hsl(var(--h) 10% 10%)', why: 'held-elsewhere' },
    ],
  })
  expect(found.first[1]!.label).toContain(page.title)

  const many = Array.from({ length: 40 }, (_, n) => `i${n}{color:rgb(var(--x) ${n} 0)}`).join('\n')
  expect((await save({ type: 'setCustomCss', css: many })).ok).toBe(true)
  const more = await unread()
  expect([more.count, more.first.length]).toEqual([41, 20])
})
