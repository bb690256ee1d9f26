import { execFileSync, spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { setTimeout } from 'node:timers/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { randomUUID } from 'node:crypto'
import { renderSite } from '@/core/render'
import { sweepRequest } from '@/core/sweep'
import { closeDatabase, database } from '@/server/database/connection'
import { select, tell } from '@/server/database/sets'
import { createSite } from '@/server/sites'
import { localOwner } from '@/server/access'
import { dryRun } from '@/server/uses'
import { median } from './browser'
import { dragSlot } from './dragging'
import { largeSite, swept } from './large-site'

const address = process.env.EASEL_ADDRESS ?? ''
const pids = (process.env.EASEL_PIDS ?? '').split(',').filter(Boolean)
const sizes = (process.env.PAGES ?? '100,1000,2000').split(',').map(Number)

async function call<T>(site: string, route: string, body?: unknown): Promise<T> {
  const ask = () =>
    fetch(`${address}/api/sites/${site}/${route}`, {
      ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
    })
  // A connection that the server closed while the bench itself was busy is opened anew; nothing was asked on it.
  const response = await ask().catch(ask)
  if (!response.ok) throw new Error(`${route}: ${response.status} ${await response.text()}`)
  return (await response.json()) as T
}

interface Job {
  readonly id: string
  readonly state: string
  readonly problem?: unknown
  readonly result?: {
    readonly revision?: number
    readonly changed?: number
    readonly written?: number
  }
}

async function whole(site: string, begun: Job): Promise<Job> {
  let job = begun
  while (job.state === 'waiting' || job.state === 'running') {
    // Asking without a pause would take the time of those who work.
    await setTimeout(10)
    job = await call(site, `jobs/${job.id}`)
  }
  if (job.state !== 'done') throw new Error(JSON.stringify(job))
  return job
}

async function timed(work: () => unknown): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}
const times = async (count: number, work: () => unknown) => {
  const all: number[] = []
  for (let i = 0; i < count; i += 1) all.push(await timed(work))
  return median(all)
}
/** Two kinds of work in turn: a machine that is slow for a while is so for both. */
async function inTurn(count: number, one: () => unknown, other: () => unknown) {
  const ours: number[] = []
  const theirs: number[] = []
  for (let i = 0; i < count; i += 1) {
    ours.push(await timed(one))
    theirs.push(await timed(other))
  }
  return [median(ours), median(theirs)] as const
}

const print = (what: string, ours: number, theirs: number, most: string, unit = 'ms') =>
  console.log(
    `${what.padEnd(44)} ${ours.toFixed(0).padStart(8)} ${theirs.toFixed(0).padStart(8)} ${unit}` +
      `  ×${(ours / theirs).toFixed(2)} (at most ${most})`,
  )

/** Memory that a process has, in megabytes; none where it has ended. */
function memoryOf(pid: string): number {
  try {
    // Of pages that processes share, the program itself above all, each has its part.
    const kb = /^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))?.[1]
    return Number(kb ?? 0) / 1024
  } catch {
    return 0
  }
}
const memory = () => pids.reduce((sum, pid) => sum + memoryOf(pid), 0)

async function makeSite(count: number): Promise<string> {
  const id = `large-${count}`
  await database().transaction((transaction) =>
    createSite({ id, workspaceId: 'demo', position: count }, largeSite(count), transaction),
  )
  await database().query('analyze')
  return id
}

/** The files of a site in a folder, as anything else would work on them. */
function folderOf(count: number): string {
  const folder = mkdtempSync(path.join(tmpdir(), 'easel-bench-'))
  for (const [name, text] of renderSite(largeSite(count))) {
    mkdirSync(path.dirname(path.join(folder, name)), { recursive: true })
    writeFileSync(path.join(folder, name), text)
  }
  return folder
}

/** A sweep of the colour and of all so near to it that nothing else is: each distance is a question of its own. */
const asked = (within: number) => ({
  pairs: [{ from: { value: swept, within }, to: { slot: 'brand' } }],
  scope: 'site',
})
const request = asked(0)

/** The site that opening is measured against has as many pages as the demo, of the same kind as the others. */
const FEW = 7
const few = `large-${FEW}`

async function opening(site: string): Promise<void> {
  const open = async (id: string) => (await (await fetch(`${address}/sites/${id}`)).text()).length
  await open(few)
  const [small, large] = [await open(few), await open(site)]
  const [ours, theirs] = [await times(9, () => open(site)), await times(9, () => open(few))]
  print('opening the editor / site of 7 pages', ours, theirs, '1.5')
  print('its HTML', large / 1024, small / 1024, '1.5', 'kB')
}

/** The same questions of a table that has one row for each use, as anybody would ask them. */
const inventorySql = `
  select color, slot, sum(count)::int as count, sum(bindable)::int as bindable,
    (array_agg(written order by count desc, written) filter (where slot is null))[1:12] as written,
    array_agg(distinct place) as places
  from (
    select color, slot, written, place, count(*) as count,
      count(*) filter (where bindable) as bindable from bench_uses
    where site_id = $1 and place <> 'palette' group by color, slot, written, place
  ) each group by color, slot`
const slotSql =
  'select place, count(*) from bench_uses where site_id = $1 and slot = $2 group by place'

async function rowForEachUse(): Promise<void> {
  for (const sql of [
    'drop table if exists bench_uses',
    'create table bench_uses as select * from uses',
    'create index on bench_uses (site_id, color)',
    'create index on bench_uses (site_id, slot)',
    'analyze bench_uses',
  ]) {
    await tell(sql, [])
  }
}

async function questions(site: string): Promise<void> {
  await rowForEachUse()
  const [ours, sql] = await inTurn(
    9,
    () => call(site, 'inventory'),
    () => select(inventorySql, [site]),
  )
  print('inventory / one SQL statement', ours, sql, '1.5')
  const slot = await times(9, () => select(slotSql, [site, 'brand']))
  print(
    'uses of a slot / one SQL statement',
    await times(9, () => call(site, 'slots/brand/uses')),
    slot,
    '1.5',
  )
}

async function dryRuns(site: string, folder: string): Promise<void> {
  const grepped = () => spawnSync('grep', ['-rio', swept, folder], { maxBuffer: 1e9 })
  const run = async (sweep: object) => {
    const { first } = await call<{ first: object[] }>(site, 'sweep/dry-run', { sweep })
    if (first.length !== 100) throw new Error(`${first.length} hits`)
  }
  let n = 0
  const ask = () => run(asked((n += 1) / 1000))
  // The files are in memory, too, when grep is timed: the first of each is not counted.
  await ask()
  const [cold, grep] = await inTurn(9, ask, grepped)
  print('dry run to its first hits, cold / grep -rio', cold, grep, '3')
  const warm = await times(9, () => run(asked(1 / 1000)))
  print('the same, warm / cold', warm, cold, '0.2')
  const bare = await times(9, () =>
    fetch(`${address}/api/sites/none/inventory`).then((answer) => answer.text()),
  )
  // grep is not asked over a network: the work by itself.
  const work = () => dryRun(localOwner, site, sweepRequest.parse(asked(n / 1000)))
  const fresh = () => ((n += 1), work())
  await fresh()
  const [coldWork, again] = await inTurn(9, fresh, grepped)
  print('dry run without a request, cold / grep -rio', coldWork, again, '3')
  print('the same, warm / cold', await times(9, work), coldWork, '0.2')
  console.log(`a request about a site that is not there takes ${bare.toFixed(0)} ms of each`)
}

/** Replacing with what everybody has: `sed -i` on the files and one UPDATE a page. */
async function byHand(folder: string): Promise<number> {
  const files = execFileSync('ls', [folder])
    .toString()
    .split('\n')
    .filter((name) => name.endsWith('.css') || name.endsWith('.html'))
  await tell('create table if not exists bench_pages (id text primary key, document text)', [])
  await tell('truncate bench_pages', [])
  const texts = files.map((name) => [name, readFileSync(path.join(folder, name), 'utf8')] as const)
  for (const [name, text] of texts)
    await tell('insert into bench_pages values ($1, $2)', [name, text])
  const copy = mkdtempSync(path.join(tmpdir(), 'easel-sed-'))
  cpSync(folder, copy, { recursive: true })
  const took = await timed(async () => {
    spawnSync('sh', ['-c', `sed -i 's/${swept}/#123456/gI' ${copy}/*`])
    for (const [name, text] of texts) {
      if (!name.endsWith('.css')) continue
      await tell('update bench_pages set document = $2 where id = $1', [
        name,
        text.replaceAll(swept, '#123456'),
      ])
    }
  })
  rmSync(copy, { recursive: true })
  return took
}

/** One sweep and its way back. */
async function sweptAndUndone(site: string) {
  let job: Job | undefined
  const apply = await timed(async () => {
    job = await whole(
      site,
      await call(site, 'wide', { base: 'any', intent: { type: 'sweep', request } }),
    )
  })
  const { revision, changed } = job!.result!
  const undo = await timed(async () => {
    const stepped = await call<{ job?: Job }>(site, 'undo', { base: revision })
    if (stepped.job) await whole(site, stepped.job)
  })
  return { apply, undo, revision: revision!, changed: changed! }
}

async function applying(site: string, count: number, folder: string): Promise<void> {
  // What takes a tenth of a second is tried more often than what takes some.
  const rounds = count > 100 ? 3 : 9
  const theirs: number[] = []
  const ours = []
  // In turn: a machine that is slow for a while is so for both.
  for (let i = 0; i < rounds; i += 1) {
    theirs.push(await byHand(folder))
    ours.push(await sweptAndUndone(site))
  }
  const { revision, changed } = ours[0]!
  const byThem = median(theirs)
  const apply = median(ours.map((each) => each.apply))
  print(`apply, ${changed} uses / sed -i, UPDATEs`, apply, byThem, '3')
  const [stored] = await select<{ size: number; texts: number }>(
    `select sum(pg_column_size(e.changes))::int as size,
       (select sum(length($3) + length('slot brand'))::int from edit_records x
        cross join lateral regexp_matches(x.changes, '"to"', 'g')
        where x.site_id = $1 and x.revision = $2) as texts
     from edit_records e where e.site_id = $1 and e.revision = $2`,
    [site, revision, swept],
  )
  print(
    'edit stored / bytes of the texts changed',
    stored!.size / 1024,
    stored!.texts / 1024,
    '4',
    'kB',
  )
  print('undo / sed -i, UPDATEs', median(ours.map((each) => each.undo)), byThem, '3')
}

async function publishing(site: string, count: number, folder: string): Promise<void> {
  const copy = path.join(tmpdir(), `easel-copy-${randomUUID()}`)
  const cp = await timed(() => execFileSync('cp', ['-r', folder, copy]))
  rmSync(copy, { recursive: true })
  const rendering = await timed(() => renderSite(largeSite(count)))
  const publish = async () => whole(site, await call(site, 'publication', {}))
  const all = await timed(publish)
  print('publish all / cp -r (and rendering)', all, 3 * cp + rendering, '1')
  const edits = [
    { clientId: randomUUID(), edit: { type: 'setSlot', slot: 'brand', value: '#1d5956' } },
  ]
  await call(site, 'edits', { base: 0, edits })
  let written = 0
  const again = await timed(async () => {
    written = (await publish()).result?.written ?? -1
  })
  console.log(`publish after one slot change: ${written} file written, ${again.toFixed(0)} ms`)
}

async function dragging(site: string): Promise<void> {
  const { script, restyle, long } = await dragSlot(`${address}/sites/${site}`)
  print('dragging a slot: script / stage’s restyle', script, restyle, '0.5')
  console.log(
    `long tasks after the drag rests: ${long.length ? `${long.join(', ')} ms` : 'none'} (none wanted)`,
  )
}

async function savingBeside(site: string): Promise<void> {
  let n = 0
  const save = () => {
    const value = `#${(n += 1).toString(16).padStart(6, '0')}`
    return call('ferrybank', 'edits', {
      base: 0,
      edits: [{ clientId: randomUUID(), edit: { type: 'setSlot', slot: 'buoy', value } }],
    })
  }
  await times(10, save)
  const alone = await times(30, save)
  const sweeping = (async () =>
    whole(site, await call(site, 'wide', { base: 'any', intent: { type: 'sweep', request } })))()
  const beside: number[] = []
  let running = true
  void sweeping.finally(() => (running = false))
  while (running) beside.push(await timed(save))
  await sweeping
  print(`saving during a sweep of another site (${beside.length})`, median(beside), alone, '1.5')
}

/** What a site of many pages costs, against what everybody has at hand. */
export async function benchGround(): Promise<void> {
  await makeSite(FEW)
  for (const count of sizes) {
    const made = await timed(() => makeSite(count))
    const site = `large-${count}`
    const folder = folderOf(count)
    console.log(`\n${count} pages of 105 uses (made in ${(made / 1000).toFixed(1)} s)`)
    await opening(site)
    for (const each of [few, site]) await dragging(each)
    await questions(site)
    await dryRuns(site, folder)
    await applying(site, count, folder)
    await publishing(site, count, folder)
    await savingBeside(site)
    const each = pids.map((pid) => memoryOf(pid).toFixed(0)).join(' + ')
    console.log(`memory of server and worker: ${memory().toFixed(0)} MB (at most 400), ${each}`)
    rmSync(folder, { recursive: true })
  }
  await closeDatabase()
}
