import { keepText } from '../browser-storage'

/** Light or dark surround; the choice stays on this machine. */
export function switchChrome(): void {
  const root = document.documentElement
  const next = root.dataset.chrome === 'dark' ? 'light' : 'dark'
  root.dataset.chrome = next
  // Where the browser keeps nothing, the choice lasts as long as the window.
  keepText('this-browser', 'easel.chrome', next)
}
