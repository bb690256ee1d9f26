import fc from 'fast-check'
import { ternFrame } from '@demo/tern/frame'
import { applyEdit, type Edit } from '@/core/edit'
import { kindIds } from '@/core/elements'
import { roleIds } from '@/core/roles'
import { siteDocs, themesInOrder, type Frame, type ThemeId } from '@/core/site'
import { cellView, themeViews } from './cell-view'
import { cellAt, cornerOf, widened, type SheetGrid } from './sheet-choice'
import { specimenId, specimenPage } from './specimen-page'
import { cellsOf, copyCells, pastedCells, tellCells } from './use-sheet'

const themes = ternFrame.themes.order
const [paper, mist, brand] = themes as unknown as [ThemeId, ThemeId, ThemeId]
const grid: SheetGrid = { roles: ['heading', 'text', 'mutedText', 'link'], themes }
const edited = (frame: Frame, edit: unknown): Frame => {
  const result = applyEdit(siteDocs(frame), edit as Edit)
  if (!result.ok) throw new Error(result.problem)
  return result.docs.frame
}

describe('the choice of cells', () => {
  test('is widened from where it began, in any direction', () => {
    const one = { roles: ['text'] as const, themes: [mist] }
    expect(widened(grid, one, 'link', paper)).toEqual({
      roles: ['text', 'mutedText', 'link'],
      themes: [mist, paper],
    })
    expect(widened(grid, one, 'heading', brand)).toEqual({
      roles: ['text', 'heading'],
      themes: [mist, brand],
    })
    expect(widened(grid, undefined, 'link', brand)).toEqual({ roles: ['link'], themes: [brand] })
  })

  test('goes on from the far corner, and ends at the edges', () => {
    const block = widened(grid, { roles: ['heading'], themes: [paper] }, 'text', mist)
    expect(cornerOf(block)).toEqual(['text', mist])
    expect(cellAt(grid, ['text', mist], 1, 1)).toEqual(['mutedText', brand])
    expect(cellAt(grid, ['heading', paper], -1, 0)).toBeUndefined()
    expect(cellAt(grid, ['link', paper], 1, 0)).toBeUndefined()
  })

  test('names its cells theme by theme', () => {
    expect(cellsOf({ roles: ['text', 'link'], themes: [paper, mist] })).toHaveLength(4)
  })
})

describe('copying and pasting', () => {
  test('a block is a table, in the order of the sheet however it was chosen', () => {
    const text = copyCells(ternFrame, grid, { roles: ['text', 'heading'], themes: [mist, paper] })
    expect(text).toBe('Ink\tInk\nInk +12\tInk +10')
  })

  test('one cell fills the whole choice; a table is laid out from the first cell', () => {
    const choice = { roles: ['heading', 'text'] as const, themes: [paper, mist] }
    const filled = pastedCells(ternFrame, grid, choice, 'Brand -8')
    expect('cells' in filled && filled.cells).toHaveLength(4)
    const table = pastedCells(
      ternFrame,
      grid,
      { roles: ['heading'], themes: [paper] },
      'Ink\tSlate\r\n#fff\tteal\n',
    )
    expect('cells' in table && table.cells).toEqual([
      { theme: paper, role: 'heading', decision: { slot: 'ink' } },
      { theme: mist, role: 'heading', decision: { slot: 'slate' } },
      { theme: paper, role: 'text', decision: { value: '#fff' } },
      { theme: mist, role: 'text', decision: { value: 'teal' } },
    ])
  })

  test('a table that reaches over the edge ends there; what is no decision refuses all', () => {
    const corner = { roles: ['link'] as const, themes: [themes.at(-1)!] }
    const over = pastedCells(ternFrame, grid, corner, 'Ink\tInk\nInk\tInk')
    expect('cells' in over && over.cells).toHaveLength(1)
    expect(pastedCells(ternFrame, grid, corner, 'nothing')).toEqual({ wrong: ['nothing'] })
  })

  test('is told by role and theme where that is short', () => {
    const cell = { theme: paper, role: 'link', decision: { slot: 'ink' } } as never
    const other = { theme: mist, role: 'link', decision: { slot: 'ink' } } as never
    const third = { theme: mist, role: 'text', decision: { slot: 'ink' } } as never
    expect(tellCells([cell], ternFrame)).toBe('Link in On Paper')
    expect(tellCells([cell, other], ternFrame)).toBe('Link in 2 themes')
    expect(tellCells([other, third], ternFrame)).toBe('2 roles in On Mist')
    expect(tellCells([cell, third], ternFrame)).toBe('2 cells')
  })
})

describe('the view of a cell', () => {
  const theme = (frame: Frame, id: ThemeId) => frame.themes.byId[id]!

  test('holds words, colour, contrast and what fails', () => {
    const { palette } = ternFrame
    expect(cellView(palette, theme(ternFrame, paper), 'heading')).toMatchObject({
      words: 'Ink',
      color: '#17211f',
      passes: true,
      loose: false,
      hand: false,
    })
    expect(cellView(palette, theme(ternFrame, mist), 'buttonHoverFill')).toMatchObject({
      words: '#2e6fb7',
      loose: true,
    })
  })

  test('is made anew only where a decision behind it changed', () => {
    const { palette } = ternFrame
    const next = edited(ternFrame, {
      type: 'setRole',
      themes: [paper],
      role: 'link',
      decision: { slot: 'ink' },
    })
    const view = (frame: Frame, role: (typeof roleIds)[number]) =>
      cellView(palette, theme(frame, paper), role)
    const [link, text] = [view(ternFrame, 'link'), view(ternFrame, 'text')]
    expect(view(next, 'text')).toBe(text)
    expect(view(next, 'link')).not.toBe(link)
    expect(view(next, 'link')).toMatchObject({ words: 'Ink', hand: true })
  })

  test('is what it would be without what was made before, whatever is decided', () => {
    const slots = ternFrame.palette.order
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...roleIds), fc.constantFrom(...slots)), {
          maxLength: 12,
        }),
        (decided) => {
          let frame = ternFrame
          for (const [role, slot] of decided) {
            const edit = { type: 'setRole', themes: [paper, mist], role, decision: { slot } }
            frame = edited(frame, edit)
            themeViews(frame.palette, theme(frame, paper))
          }
          const anew = { ...frame.palette }
          expect(themeViews(frame.palette, theme(frame, paper))).toEqual(
            themeViews(anew, theme(frame, paper)),
          )
        },
      ),
    )
  })
})

test('the specimen has a section for each theme, and everything that a theme colours in each', () => {
  const page = specimenPage(themesInOrder(ternFrame.themes))
  expect(page.id).toBe(specimenId)
  expect(page.body.order).toHaveLength(themes.length)
  const kinds = new Set(Object.values(page.body.elements).map(({ kind }) => kind))
  expect([...kinds].sort()).toEqual([...kindIds].sort())
})
