import { createStore } from 'zustand/vanilla'
import { persist } from 'zustand/middleware'

const most = 14

/** The colours that were set by hand lately, newest first, kept in this browser. */
export const recentColors = createStore<{ readonly colors: readonly string[] }>()(
  persist(() => ({ colors: [] as readonly string[] }), { name: 'easel.recent' }),
)

export function noteRecent(hex: string): void {
  const { colors } = recentColors.getState()
  if (colors[0] === hex) return
  recentColors.setState({ colors: [hex, ...colors.filter((each) => each !== hex)].slice(0, most) })
}
