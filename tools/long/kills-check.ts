import { readFileSync } from 'node:fs'
import { demoSites } from '@demo/sites'
import { canonicalJson, siteDocs } from '@/core/site'
import { localOwner } from '@/server/access'
import { closeDatabase } from '@/server/database/connection'
import { models } from '@/server/database/models'
import { select } from '@/server/database/sets'
import { step } from '@/server/edits'
import { workOn } from '@/server/jobs'
import { publishedZip } from '@/server/publishing'
import { loadWhole } from '@/server/records'
import { checkIndex } from '@/server/uses'

const site = 'tern-and-thistle'
const acknowledged = JSON.parse(readFileSync(0, 'utf8')) as string[]
const faults: string[] = []
const expect = (holds: boolean, told: string) => {
  if (!holds) faults.push(told)
}

// What was under way when all was stopped comes to its end first, as a worker would bring it.
for (const { id } of await select<{ id: string }>(
  `select id from jobs where state in ('waiting', 'running')`,
  [],
)) {
  await workOn(id)
}

const stored = await select<{ client_id: string; count: number }>(
  'select client_id, count(*)::int as count from edits where client_id is not null group by client_id',
  [],
)
const counts = new Map(stored.map(({ client_id, count }) => [client_id, count]))
const missing = acknowledged.filter((id) => counts.get(id) !== 1)
expect(missing.length === 0, `${missing.length} acknowledged edits are not stored just once`)

const index = await checkIndex()
expect(
  index.faults.length === 0,
  `index and readers differ: ${JSON.stringify(index.faults.slice(0, 3))}`,
)

const revisions = await select<{ revision: number }>(
  'select revision from edits where site_id = $1 order by revision',
  [site],
)
const row = (await models().Site.findByPk(site))!
expect(
  revisions.every(({ revision }, i) => revision === i + 1) && row.revision === revisions.length,
  'the history has a gap',
)
expect((await publishedZip(localOwner, site)).ok, 'a file of what is published is gone')

for (;;) {
  const { revision } = (await models().Site.findByPk(site))!
  const taken = await step(localOwner, site, revision, 'undo')
  if (taken.ok) continue
  expect(
    taken.problem.code === 'nothing-to-undo',
    `undo ended with ${JSON.stringify(taken.problem)}`,
  )
  break
}
const { frame, pages, pictures } = demoSites.find(({ id }) => id === site)!
const seed = canonicalJson(siteDocs(frame, pages, pictures))
expect(canonicalJson(await loadWhole(site)) === seed, 'undone to the beginning it is not the seed')
expect((await checkIndex()).faults.length === 0, 'after undo, index and readers differ')

await closeDatabase()
if (faults.length) {
  console.error(faults.join('\n'))
  process.exitCode = 1
}
