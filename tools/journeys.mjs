import { existsSync, readFileSync, rmSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import path from 'node:path'
import { unpackDebian } from './machine.mjs'
import { startApplication, startServer } from './server.mjs'
import { freePort, npx, stateFolder, step, withoutColors } from './steps.mjs'

/**
 * Journeys change the same demo sites and go one after the other; so that two
 * cores are used there are two stands, each with a database, files and servers
 * of its own, and each walks a half of them.
 */
const STANDS = Math.min(2, availableParallelism())

async function openStand(postgres, files, number) {
  const database = `browser_${number}`
  await postgres.createDatabase(database)
  const own = { databaseUrl: postgres.address(database), files: path.join(files, database) }
  await step('Preparing the demo sites', () =>
    npx('tsx', ['demo/prepare.ts'], {
      env: { DATABASE_URL: own.databaseUrl, EASEL_FILES: own.files },
    }),
  )
  const first = await step('Starting the application', async () =>
    startApplication({
      ...own,
      port: await freePort(4373),
      publishedPort: await freePort(5373),
      log: `test-server-${number}.log`,
    }),
  )
  try {
    // A second server on the same database, as a balancer would have it.
    const second = await startServer({
      ...own,
      port: await freePort(4383),
      publishedPort: await freePort(5383),
      log: `test-second-server-${number}.log`,
    })
    const close = async () => {
      await second.stop()
      await first.stop()
    }
    return { number, first, second, close }
  } catch (error) {
    await first.stop()
    throw error
  }
}

/** The failed journeys of a suite of Playwright's report, with their first error each. */
function failuresOf({ file, suites = [], specs = [] }) {
  const failed = specs
    .filter(({ ok }) => !ok)
    .map(({ title, line, tests }) => {
      const [error] = tests.flatMap(({ results }) => results.flatMap(({ errors }) => errors))
      return `${file}:${line} ${title}\n${withoutColors(error?.message)}`
    })
  return [...failed, ...suites.flatMap(failuresOf)]
}

/** Walks the stand's share of the journeys; what they came to. */
async function walk({ number, first, second }, share, { filter, isLong, xss }) {
  const report = path.join(stateFolder, `playwright-${number}.json`)
  rmSync(report, { force: true })
  let broken
  try {
    await npx('playwright', ['test', ...share, ...filter], {
      env: {
        EASEL_ADDRESS: first.address,
        EASEL_PUBLISHED: first.published,
        EASEL_SECOND: second.address,
        EASEL_XSS: xss,
        EASEL_RESULTS: path.join(stateFolder, `test-results-${number}`),
        ...(isLong ? { EASEL_EDITS: '500', EASEL_LOOKS: '300' } : {}),
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
        PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
      },
    })
  } catch (error) {
    broken = error.message
  }
  if (!existsSync(report)) return { passed: 0, failed: 1, told: [broken ?? 'No report'] }
  const { stats, errors, suites } = JSON.parse(readFileSync(report, 'utf8'))
  const failed = stats.unexpected + stats.flaky + errors.length
  const told = [
    ...suites.flatMap(failuresOf),
    ...errors.map(({ message }) => withoutColors(message)),
  ]
  // A run that broke off without a failed journey has failed all the same.
  return broken && !failed
    ? { passed: stats.expected, failed: 1, told: [broken] }
    : { passed: stats.expected, failed, told }
}

/** All journeys, or those that the filter names, on as many stands as there are cores for. */
export async function runBrowser(postgres, { files, filter, isLong }) {
  const xss = await unpackDebian(
    'golang-github-microcosm-cc-bluemonday-dev',
    'usr/share/gocode/src/github.com/microcosm-cc/bluemonday',
  )
  const total = filter.length ? 1 : STANDS
  const stands = []
  try {
    for (let number = 1; number <= total; number += 1) {
      stands.push(await openStand(postgres, files, number))
    }
    return await step('Browser tests', () =>
      Promise.all(
        stands.map((stand) => {
          const share = total > 1 ? [`--shard=${stand.number}/${total}`] : []
          return walk(stand, share, { filter, isLong, xss })
        }),
      ),
    )
  } finally {
    for (const stand of stands) await stand.close()
  }
}
