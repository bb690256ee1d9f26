import type { RoleId } from '@/core/roles'
import type { Palette, Theme, ThemeId } from '@/core/site'
import { cellView } from './cell-view'
import type { Span } from './column-window'
import { SheetCell } from './sheet-cell'

interface SheetRowProps {
  readonly role: RoleId
  readonly label: string
  readonly palette: Palette
  readonly columns: readonly Theme[]
  readonly spans: readonly Span[]
  /** The themes in which this role is chosen. */
  readonly chosen: ReadonlySet<ThemeId>
  /** The theme whose cell the tab key leads to, if it is in this row. */
  readonly tabTheme?: ThemeId
  readonly onChoose: () => void
}

/** One role in all themes. Columns out of sight are one wide cell. */
export function SheetRow(props: SheetRowProps) {
  const { role, label, palette, columns, spans, chosen, tabTheme, onChoose } = props
  return (
    <tr>
      <th className="sticky left-0 z-10 bg-panel pr-2 text-left font-normal">
        <button
          type="button"
          data-head
          title="Choose the whole row; typing decides all of it"
          onClick={onChoose}
          className="w-full rounded px-1 py-1 text-left hover:bg-hover"
        >
          {label}
        </button>
      </th>
      {spans.map((span) => {
        if ('gap' in span) return <td key={`gap ${span.from}`} colSpan={span.gap} aria-hidden />
        const theme = columns[span.column]!
        return (
          <SheetCell
            key={theme.id}
            themeId={theme.id}
            themeName={theme.name}
            role={role}
            selected={chosen.has(theme.id)}
            focusable={tabTheme === theme.id}
            {...cellView(palette, theme, role)}
          />
        )
      })}
    </tr>
  )
}
