import type { LiveNews } from '@/core/payloads'
import type { Editor } from './state'

/** How often a window says that it is still here, and how often it asks where nothing is told to it, in milliseconds. */
const BEAT = 20_000
const ASK = 8000

/**
 * Follows what happens to the site as it happens. A browser keeps few connections
 * to one server, so of all windows on a site one listens and tells the others;
 * when it goes, the next one does. Returns what ends it.
 */
export function followLive(editor: Editor): () => void {
  const { siteId } = editor.store.getState()
  const name = `easel.live.${siteId}`
  const others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(name)
  const ending = new AbortController()
  let source: EventSource | undefined
  others?.addEventListener('message', ({ data }: MessageEvent<LiveNews>) => editor.hear(data))

  function listen(): void {
    source = new EventSource(editor.client.liveAddress(editor.store.getState().revision))
    source.addEventListener('news', ({ data }: MessageEvent<string>) => {
      const news = JSON.parse(data) as LiveNews
      editor.hear(news)
      others?.postMessage(news)
    })
  }

  // Whoever has the lock listens; it is given up when the window goes.
  const untilEnd = () =>
    new Promise<void>((resolve) => {
      listen()
      ending.signal.addEventListener('abort', () => resolve())
    })
  if (navigator.locks) {
    navigator.locks.request(name, { signal: ending.signal }, untilEnd).catch(() => undefined)
  } else void untilEnd()

  const here = () => {
    const { pageId } = editor.store.getState()
    void editor.client.present(editor.window, pageId)
  }
  here()
  const beat = setInterval(here, BEAT)
  // Where no stream comes through, asking does.
  const ask = setInterval(() => {
    if (source?.readyState !== EventSource.OPEN) void editor.catchUp()
  }, ASK)
  const stopPages = editor.store.subscribe((state, before) => {
    if (state.pageId !== before.pageId) here()
  })
  const sayGone = () =>
    navigator.sendBeacon(
      editor.client.goneAddress,
      new Blob([JSON.stringify({ window: editor.window, gone: true })], {
        type: 'application/json',
      }),
    )
  window.addEventListener('pagehide', sayGone)

  return () => {
    window.removeEventListener('pagehide', sayGone)
    sayGone()
    stopPages()
    clearInterval(beat)
    clearInterval(ask)
    ending.abort()
    source?.close()
    others?.close()
  }
}
