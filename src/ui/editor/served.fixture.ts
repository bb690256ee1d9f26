import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import type { Edit } from '@/core/edit'
import type { LoadedSite } from '@/core/payloads'
import { summarize } from '@/core/uses'
import type { createEditor } from './store'

export const site: LoadedSite = {
  id: 'tern',
  name: 'Tern',
  frame: ternFrame,
  pages: [{ id: home.id, title: 'Home', path: 'index', summary: summarize(home.body) }],
  revision: 4,
  pictures: {},
  canUndo: false,
  canRedo: false,
}
export const setSlot = (slot: string, value: string) =>
  ({ type: 'setSlot', slot, value }) as unknown as Edit
export const slotOf = (editor: ReturnType<typeof createEditor>, slot: string) =>
  editor.store.getState().docs.frame.palette.slots[slot as never] as { value: string } | undefined

export type Answer = { status: number; body: unknown }
type Server = (
  path: string,
  body: { base: number; edits: Array<{ clientId: string }> } | undefined,
) => Answer

/** A server of a few lines in place of `fetch`, with a record of what it heard. */
export function serve(server: Server): string[] {
  const heard: string[] = []
  globalThis.fetch = (async (path: string, init?: RequestInit) => {
    heard.push(path.replace('/api/sites/tern', ''))
    const { status, body } = server(path, init?.body ? JSON.parse(init.body as string) : undefined)
    if (status === 0) throw new TypeError('network')
    return new Response(JSON.stringify(body), { status })
  }) as typeof fetch
  return heard
}
export const settle = async () => {
  for (let i = 0; i < 60; i += 1) await Promise.resolve()
  await new Promise((resolve) => setTimeout(resolve, 5))
}
export const saved = (revision: number) => ({
  status: 200,
  body: { revision, canUndo: true, canRedo: false },
})
