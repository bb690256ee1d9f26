import { ternFrame } from '@demo/tern/frame'
import { roleIds, type RoleId } from '@/core/roles'
import { themesInOrder, type SectionId, type ThemeId } from '@/core/site'
import { cellOfSelection, nextCell, specimenGrid } from './specimen-cells'
import { specimenDocs, specimenId, specimenPage } from './specimen-page'

const docs = specimenDocs(
  { frame: ternFrame, fonts: {}, pictures: {} },
  specimenPage(themesInOrder(ternFrame.themes)),
)
const [paper, mist] = ternFrame.themes.order as unknown as [ThemeId, ThemeId]
const atRest = specimenGrid(docs, 'rest')
/** An element of the second theme's section, by its kind. */
const idOf = (kind: string) =>
  Object.values(docs.pages[specimenId]!.body.elements).find(
    (each) => each.kind === kind && each.id.startsWith('s1-'),
  )!.id
const one = (role: RoleId, theme: ThemeId) => ({ roles: [role], themes: [theme] })

test('every role is on the specimen, at rest or pointed at', () => {
  const shown = new Set([...atRest.roles, ...specimenGrid(docs, 'hover').roles])
  expect(roleIds.filter((role) => !shown.has(role))).toEqual([])
  expect(atRest.themes).toEqual(ternFrame.themes.order)
})

test('what is pointed at in a state leads to the role of that state', () => {
  const main = {
    doc: specimenId,
    section: 'specimen-1' as SectionId,
    element: idOf('mainButton'),
    facet: 'fill',
  }
  expect(cellOfSelection(docs, 'rest', main)).toEqual(['buttonFill', mist])
  expect(cellOfSelection(docs, 'hover', main)).toEqual(['buttonHoverFill', mist])
  expect(cellOfSelection(docs, 'pressed', main)).toEqual(['buttonHoverFill', mist])
  const ground = { doc: specimenId, section: 'specimen-0' as SectionId, facet: 'fill' }
  expect(cellOfSelection(docs, 'rest', ground)).toEqual(['ground', paper])
})

test('steps walk the colours of a theme and the same colour in the next one', () => {
  const [first, second] = atRest.roles as [RoleId, RoleId]
  expect(nextCell(atRest, undefined, [1, 0])).toEqual([first, paper])
  expect(nextCell(atRest, one(first, paper), [1, 0])).toEqual([second, paper])
  expect(nextCell(atRest, one(second, paper), [0, 1])).toEqual([second, mist])
  expect(nextCell(atRest, one(first, paper), [-1, 0])).toBeUndefined()
  // A cell that the specimen does not show: its first one.
  expect(nextCell(atRest, one('buttonHoverFill', mist), [1, 0])).toEqual([first, paper])
})
