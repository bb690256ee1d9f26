import {
  coloredIn,
  spotsOnPage,
  traceFacet,
  type ColoredThing,
  type Spot,
  type Trace,
} from '@/core/resolve'
import type { RoleId } from '@/core/roles'
import type { SiteDocs, ThemeId } from '@/core/site'
import type { Selection, SheetCells } from '../editor'
import type { Steps } from '../kit'
import { boxOf, selectedNode, type Box } from '../stage'
import { cellAt, cornerOf, type SheetGrid } from './sheet-choice'
import { specimenId } from './specimen-page'
import type { SpecimenState } from './specimen-states'

type Cell = readonly [RoleId, ThemeId]

/** The state that a trace knows: pressed is pointed at, the others are at rest. */
const traced = (state: SpecimenState) =>
  state === 'hover' || state === 'pressed' ? ('hover' as const) : ('rest' as const)

/** The cell that has decided a colour, if a theme has. */
function cellOfTrace({ chain, decidedBy }: Trace): Cell | undefined {
  const decider = chain[decidedBy]
  return decider?.at === 'theme' ? [decider.role, decider.theme] : undefined
}

interface Colored extends ColoredThing {
  readonly spot: Spot
  readonly cell: Cell
}

/** Everything on the specimen that a theme colours, in the order of the page. */
function coloredByThemes(docs: SiteDocs, state: SpecimenState): Colored[] {
  return spotsOnPage(docs, specimenId).flatMap((spot) =>
    coloredIn(spot).flatMap(({ element, facet }): Colored[] => {
      const cell = cellOfTrace(traceFacet(spot, element, facet, traced(state)))
      return cell ? [{ spot, element, facet, cell }] : []
    }),
  )
}

/** The cell behind what was pointed at. */
export function cellOfSelection(
  docs: SiteDocs,
  state: SpecimenState,
  { section, element, property }: Selection,
): Cell | undefined {
  const there = coloredByThemes(docs, state).filter(
    (each) => each.spot.section.id === section && each.element?.id === element,
  )
  return (there.find((each) => each.facet.key === property) ?? there[0])?.cell
}

/** The cells that the specimen shows, as rows and columns to walk in: roles in the order of the page. */
export function specimenGrid(docs: SiteDocs, state: SpecimenState): SheetGrid {
  const cells = coloredByThemes(docs, state).map(({ cell }) => cell)
  return {
    roles: [...new Set(cells.map(([role]) => role))],
    themes: [...new Set(cells.map(([, theme]) => theme))],
  }
}

/** Where steps on the specimen lead from the chosen cells: to its first cell from anywhere else. */
export function nextCell(
  grid: SheetGrid,
  cells: SheetCells | undefined,
  steps: Steps,
): Cell | undefined {
  const [role, theme] = cells ? cornerOf(cells) : []
  if (role && theme && grid.roles.includes(role) && grid.themes.includes(theme)) {
    return cellAt(grid, [role, theme], ...steps)
  }
  return cellAt(grid, [grid.roles[0]!, grid.themes[0]!], 0, 0)
}

/** The boxes of everything on the specimen that chosen cells colour. */
export function boxesOfCells(
  stage: Document,
  docs: SiteDocs,
  cells: SheetCells | undefined,
  state: SpecimenState,
): Box[] {
  if (!cells) return []
  const chosen = coloredByThemes(docs, state).filter(
    ({ cell: [role, theme] }) => cells.roles.includes(role) && cells.themes.includes(theme),
  )
  const firstOfEach = chosen.filter(
    ({ spot, element }, i) =>
      chosen.findIndex((each) => each.spot === spot && each.element === element) === i,
  )
  return firstOfEach.flatMap(({ spot: { doc, section }, element, facet }) => {
    const node = selectedNode(stage, { doc, section: section.id, element: element?.id })
    const parts = facet.part ? [...(node?.querySelectorAll(`.${facet.part}`) ?? [])] : []
    return (parts.length ? parts : node ? [node] : []).map(boxOf)
  })
}
