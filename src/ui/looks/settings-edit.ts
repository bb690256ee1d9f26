import type { Edit } from '@/core/edit'
import { cellsOfForm, type AnewCell } from '@/core/generate'
import type { Frame } from '@/core/site'
import type { Settings } from '@/core/traits'

/** An outline thinner than this is not seen as one. Common practice, no source. */
const THINNEST = 1.5

type SettingsEdit = Extract<Edit, { readonly type: 'setSettings' }>

/** The edit that decides settings; buttons of another form take the colours of it along, in every theme. */
export function settingsEdit(frame: Frame, settings: Partial<Settings>): SettingsEdit {
  const form = settings.buttonForm
  if (!form || form === frame.settings.buttonForm) return { type: 'setSettings', settings }
  const line = settings.buttonLine ?? frame.settings.buttonLine
  return {
    type: 'setSettings',
    settings: {
      ...settings,
      ...(form === 'outline' && line < THINNEST ? { buttonLine: THINNEST } : {}),
    },
    cells: [...cellsOfForm(frame, form)],
  }
}

const isByHand = ({ themes }: Frame, { theme, role, dark }: AnewCell): boolean => {
  const own = themes.byId[theme]
  return ((dark ? own?.darkHand : own?.hand) ?? []).includes(role)
}

/** How many colours that a person decided an edit of settings puts others in the place of. */
export const overruledBy = (frame: Frame, { cells = [] }: SettingsEdit): number =>
  cells.filter((cell) => !cell.hand && isByHand(frame, cell)).length
