import { rolePairs } from '@/core/elements'
import { fixesFor } from '@/core/generate'
import { roleName, type RoleId } from '@/core/roles'
import type { Frame, Theme } from '@/core/site'
import { useEditor } from '../editor'
import { Button, Fold, Folds } from '../kit'
import { counted } from '../words'
import { cellView } from './cell-view'
import { FixList } from './fix-list'
import { decideCells } from './use-sheet'

export type Failing = ReadonlyArray<{ readonly theme: Theme; readonly role: RoleId }>

/** Themes whose fixes stand open; more of them are folded, or counted. */
const FEW = 3

interface FailingThemesProps {
  readonly frame: Frame
  readonly failing: Failing
}

/** What cannot be read in any theme. What would fix it is found where it is looked at. */
export function FailingThemes({ frame, failing }: FailingThemesProps) {
  const themes = [...new Set(failing.map(({ theme }) => theme))]
  if (themes.length <= FEW) {
    return themes.map((theme) => <FixList key={theme.id} frame={frame} theme={theme} />)
  }
  return (
    <section aria-label="What cannot be read">
      <h3 className="pb-1 font-semibold">
        × {counted(failing.length, 'cell')} in {themes.length} themes cannot be read
      </h3>
      <Folds several>
        {themes.map((theme) => (
          <Fold
            key={theme.id}
            value={theme.id}
            title={`${theme.name}, × ${failing.filter((each) => each.theme === theme).length}`}
          >
            <FixList frame={frame} theme={theme} />
          </Fold>
        ))}
      </Folds>
    </section>
  )
}

/** Some roles, and all that stand on them. */
export function withStanding(chosen: readonly RoleId[]): RoleId[] {
  const standing = rolePairs.filter(({ on }) => chosen.includes(on)).map(({ role }) => role)
  return [...new Set([...chosen, ...standing])]
}

interface FailingChosenProps {
  readonly frame: Frame
  readonly chosen: readonly Theme[]
  readonly roles: readonly RoleId[]
}

/** What cannot be read among the chosen cells or on them, with what could take its place. */
export function FailingChosen({ frame, chosen, roles }: FailingChosenProps) {
  const editor = useEditor()
  const { palette } = frame
  const wanted = withStanding(roles)
  const failing = chosen.flatMap((theme) =>
    wanted.flatMap((role) => (cellView(palette, theme, role).passes ? [] : [{ theme, role }])),
  )
  const themes = [...new Set(failing.map(({ theme }) => theme))]
  const [first] = themes
  if (!first) return null
  if (themes.length === 1) return <FixList frame={frame} theme={first} only={wanted} />
  const fix = () => {
    const fixed = themes.flatMap((theme) =>
      fixesFor(palette, theme, wanted).map(({ role, after }) => ({
        theme: theme.id,
        role,
        decision: after,
      })),
    )
    decideCells(editor, fixed, { told: `${counted(fixed.length, 'cell')} made readable` })
  }
  const names = [...new Set(failing.map(({ role }) => roleName(role)))]
  return (
    <div className="grid gap-2 rounded-md border border-dashed border-ink p-2">
      <p>
        <b>× {names.slice(0, 3).join('; ')}</b>
        {names.length > 3 && ` and ${names.length - 3} more`}: cannot be read in {themes.length}{' '}
        themes
      </p>
      <Button className="justify-self-start" onClick={fix}>
        Take the nearest that can, in each
      </Button>
    </div>
  )
}
