import { createStore } from 'zustand/vanilla'
import { createJSONStorage, persist } from 'zustand/middleware'
import { keepText, keptText } from '../browser-storage'

const most = 14

/** Where the browser keeps nothing, the colours last as long as the window. */
const storage = createJSONStorage<{ readonly colors: readonly string[] }>(() => ({
  getItem: (name) => keptText('this-browser', name),
  setItem: (name, text) => void keepText('this-browser', name, text),
  removeItem: (name) => void keepText('this-browser', name, null),
}))

/** The colours that were set by hand lately, newest first, kept in this browser. */
export const recentColors = createStore<{ readonly colors: readonly string[] }>()(
  persist(() => ({ colors: [] as readonly string[] }), { name: 'easel.recent', storage }),
)

export function noteRecent(hex: string): void {
  const { colors } = recentColors.getState()
  if (colors[0] === hex) return
  recentColors.setState({ colors: [hex, ...colors.filter((each) => each !== hex)].slice(0, most) })
}
