type Area = 'this-window' | 'this-browser'

// eslint-disable-next-line no-restricted-globals -- the one place that may
const areas = { 'this-window': () => sessionStorage, 'this-browser': () => localStorage }

/**
 * Keeps a text in the browser; null takes it away. False where the browser refuses or is full:
 * whoever calls says what that means. Nothing else may use the browser's storage, which throws.
 */
export function keepText(area: Area, name: string, text: string | null): boolean {
  try {
    if (text === null) areas[area]().removeItem(name)
    else areas[area]().setItem(name, text)
    return true
  } catch {
    return false
  }
}

/** A text that was kept; null where there is none, or where the browser gives none out. */
export function keptText(area: Area, name: string): string | null {
  try {
    return areas[area]().getItem(name)
  } catch {
    return null
  }
}
