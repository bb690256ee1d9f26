import type { useRouter } from 'next/navigation'
import { colorKey, colorOf } from '@/core/color'
import type { InventoryEntry } from '@/core/sweep'
import { settings } from '@/core/traits'
import type { Editor } from '../editor'
import type { Place } from './entries'

/** Goes to where something is set, with it chosen. */
export function goTo(editor: Editor, router: ReturnType<typeof useRouter>, place: Place): void {
  const { siteId } = editor.store.getState()
  const open = (view: string) => router.push(`/sites/${siteId}${view}`)
  switch (place.at) {
    case 'slot':
      editor.show({ openSlot: place.slot })
      return open('')
    case 'role':
      editor.show({
        sheetRows: 'all',
        sheetCells: { roles: [place.role], themes: [...place.themes] },
      })
      return open('/themes')
    case 'setting':
      editor.show({
        looksPane: settings[place.setting].group === 'Type' ? 'type' : 'shapes',
        shownSetting: place.setting,
      })
      return open('/looks')
    case 'pane':
      editor.show({ looksPane: place.pane })
      return open('/looks')
    case 'view':
      return open(place.view)
    case 'sweep':
      editor.show({ sweepFrom: [colorEntry(place.color)] })
      return open('/sweep')
    case 'thing': {
      const { at: _at, ...selection } = place
      editor.show({ selection, also: undefined })
      return open('')
    }
  }
}

/** A colour that is typed, as Sweep begins with it; where it is used, Sweep finds out. */
function colorEntry(text: string): InventoryEntry {
  const color = colorOf(text)!
  return { key: colorKey(color), color, notations: [text], count: 0, bindable: 0, places: [] }
}
