/** Light or dark surround; the choice stays on this machine. */
export function switchChrome(): void {
  const root = document.documentElement
  const next = root.dataset.chrome === 'dark' ? 'light' : 'dark'
  root.dataset.chrome = next
  try {
    localStorage.setItem('easel.chrome', next)
  } catch {
    // The choice then lasts as long as the window.
  }
}
