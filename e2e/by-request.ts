import { expect, type APIRequestContext } from '@playwright/test'

/** What a window does, asked for without one. */

/** Begins a site of its own from the demo; its id. */
export async function begin(request: APIRequestContext, name: string): Promise<string> {
  const begun = await request.post('/api/sites', {
    data: { name, from: { site: 'tern-and-thistle' } },
  })
  expect(begun.ok(), await begun.text()).toBe(true)
  return ((await begun.json()) as { id: string }).id
}

export const stateOf = async (request: APIRequestContext, site: string) =>
  (await (await request.get(`/api/sites/${site}`)).json()) as {
    readonly revision: number
    readonly frame: { readonly customCss: string }
  }

export async function save(request: APIRequestContext, site: string, edit: object): Promise<void> {
  const { revision: base } = await stateOf(request, site)
  const saved = await request.post(`/api/sites/${site}/edits`, {
    data: { base, edits: [{ clientId: crypto.randomUUID(), edit }] },
  })
  expect(saved.ok(), await saved.text()).toBe(true)
}

/** Waits for long work to come to its end. */
export async function finished(request: APIRequestContext, site: string, begun: { id: string }) {
  const state = async () =>
    ((await (await request.get(`/api/sites/${site}/jobs/${begun.id}`)).json()) as { state: string })
      .state
  await expect.poll(state, { timeout: 120_000 }).toBe('done')
}

/** Applies a sweep, and waits until it is stored. */
export async function carryOut(
  request: APIRequestContext,
  site: string,
  sweep: object,
): Promise<void> {
  const begun = await request.post(`/api/sites/${site}/wide`, {
    data: { base: 'any', intent: { type: 'sweep', request: sweep } },
  })
  expect(begun.ok(), await begun.text()).toBe(true)
  await finished(request, site, (await begun.json()) as { id: string })
}

/** Takes the last edit back, and waits until that is stored. */
export async function undo(request: APIRequestContext, site: string): Promise<void> {
  const { revision: base } = await stateOf(request, site)
  const undone = await request.post(`/api/sites/${site}/undo`, { data: { base } })
  expect(undone.ok(), await undone.text()).toBe(true)
  const { job } = (await undone.json()) as { job?: { id: string } }
  if (job) await finished(request, site, job)
}

interface HitLine {
  readonly key: string
}

/** All that a sweep would change. */
export async function hitsOf(request: APIRequestContext, site: string, sweep: object) {
  const run = (await (
    await request.post(`/api/sites/${site}/sweep/dry-run`, { data: { sweep } })
  ).json()) as { readonly plan: string; readonly count: number }
  const hits: HitLine[] = []
  for (let from = 0; from < run.count; from += 500) {
    const window = await request.get(
      `/api/sites/${site}/sweep/plans/${run.plan}?from=${from}&count=500`,
    )
    hits.push(...((await window.json()) as { readonly hits: readonly HitLine[] }).hits)
  }
  return hits
}
