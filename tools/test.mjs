import { existsSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import {
  ensureBrowser,
  ensureBuild,
  ensureDebian,
  ensureFonts,
  ensurePackages,
  unpackDebian,
} from './machine.mjs'
import { lock } from './lock.mjs'
import { runKills } from './long/kills.mjs'
import { startPostgres } from './postgres.mjs'
import { startApplication, startServer } from './server.mjs'
import { execute, Failure, freePort, npx, stateFolder, step } from './steps.mjs'

const count = { passed: 0, failed: 0 }
/** What failed and why, told again at the very end, where a long log is read. */
const failures = []

const withoutColors = (text) => stripVTControlCharacters(text ?? '').trim()

/** A check that passes or fails as a whole. */
async function check(told, work) {
  try {
    await step(told, work)
    count.passed += 1
  } catch (error) {
    if (!(error instanceof Failure)) throw error
    console.log(error.message)
    failures.push(error.message)
    count.failed += 1
  }
}

/** Says now and then how far unit tests are, and at once which file failed. */
function tellProgress() {
  let files = 0
  return (line) => {
    const [, state, file] = /^(PASS|FAIL) (\S+)/.exec(withoutColors(line)) ?? []
    if (!state) return
    files += 1
    if (state === 'FAIL') console.log(`\n  failed: ${file}`)
    if (files % 20 === 0) process.stdout.write(`${files} files … `)
  }
}

const readJson = (file) => JSON.parse(readFileSync(file, 'utf8'))

async function runJest(databaseUrl, filter) {
  const report = path.join(stateFolder, 'jest.json')
  rmSync(report, { force: true })
  const gpl = await unpackDebian('calligra-data', 'usr/share/calligra/palettes')
  try {
    await step('Unit and database tests', () =>
      npx('jest', ['--json', `--outputFile=${report}`, '--silent', ...filter], {
        onLine: tellProgress(),
        env: {
          DATABASE_URL: databaseUrl,
          EASEL_FILES: path.join(stateFolder, 'test-files', 'jest'),
          EASEL_GPL: gpl,
        },
      }),
    )
  } catch (error) {
    console.log(error.message)
    if (!existsSync(report)) count.failed += 1
  }
  if (!existsSync(report)) return
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } =
    readJson(report)
  for (const { status, message } of testResults) {
    if (status === 'failed') failures.push(withoutColors(message))
  }
  count.passed += numPassedTests
  count.failed += numFailedTests + numRuntimeErrorTestSuites
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

async function runBrowser({ address, published }, second, filter, isLong) {
  const report = path.join(stateFolder, 'playwright.json')
  rmSync(report, { force: true })
  const xss = await unpackDebian(
    'golang-github-microcosm-cc-bluemonday-dev',
    'usr/share/gocode/src/github.com/microcosm-cc/bluemonday',
  )
  const icons = await unpackDebian('tango-icon-theme', 'usr/share/icons/Tango/scalable')
  try {
    await step('Browser tests', () =>
      npx('playwright', ['test', ...filter], {
        env: {
          EASEL_ADDRESS: address,
          EASEL_PUBLISHED: published,
          EASEL_SECOND: second.address,
          EASEL_XSS: xss,
          EASEL_ICONS: icons,
          ...(isLong ? { EASEL_EDITS: '500', EASEL_LOOKS: '300', EASEL_CONTROLS: '2000' } : {}),
          PLAYWRIGHT_JSON_OUTPUT_NAME: report,
          PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
        },
      }),
    )
  } catch (error) {
    console.log(error.message)
    if (!existsSync(report)) count.failed += 1
  }
  if (!existsSync(report)) return
  const { stats, errors, suites } = readJson(report)
  failures.push(...suites.flatMap(failuresOf))
  count.passed += stats.expected
  count.failed += stats.unexpected + stats.flaky + errors.length
}

/** Palettes that every generated theme is held against, half of them on each core. */
const PALETTES = 10_000

/** Bundled and run outside Jest, which calls functions of other files too slowly for so many. */
async function runGuarantee() {
  const bundle = path.join(stateFolder, 'guarantee.cjs')
  const options = ['--bundle', '--format=cjs', '--platform=node', '--tsconfig=tsconfig.json']
  await npx('esbuild', ['tools/guarantee.ts', ...options, `--outfile=${bundle}`])
  const seed = Math.floor(Math.random() * 1e6)
  const told = await Promise.all(
    [seed, seed + 1].map((each) =>
      execute(process.execPath, [bundle, String(PALETTES / 2), String(each)]),
    ),
  )
  return told.map((line) => line.trim()).join('; ')
}

/** `./easel test [unit|browser] [names …]`; without a part, everything. `--long` adds the long walks. */
export async function run({ options: given }) {
  const isLong = given.includes('--long')
  const options = given.filter((option) => option !== '--long')
  const [part, ...filter] = ['unit', 'browser'].includes(options[0]) ? options : [undefined]
  // Tests have one database cluster and one set of files in this folder.
  const releaseTests = await lock('test', 'Another ./easel test runs here; waiting for it …')
  try {
    return await runAll(part, filter, isLong)
  } finally {
    releaseTests()
  }
}

async function runAll(part, filter, isLong) {
  const release = await lock('setup', 'Another ./easel sets something up here; waiting for it …')
  await ensureDebian(['postgresql-15', 'poppler-utils', 'python3-fonttools', 'python3-brotli'])
  await ensureBrowser()
  await ensurePackages()
  ensureFonts()
  if (part !== 'unit') await ensureBuild()
  release()
  if (!part) {
    await check('Format', () => npx('prettier', ['--check', '.']))
    await check('Types', async () => {
      await npx('next', ['typegen'])
      await npx('tsc', ['--noEmit'])
    })
    await check('Lint', () => npx('eslint', ['.']))
    await check(`Contrast in every theme of ${PALETTES} random palettes`, runGuarantee)
    await check('Layers', () => npx('depcruise', ['src', '--config', '.dependency-cruiser.cjs']))
  }
  const postgres = await step('Starting a throw-away PostgreSQL', () =>
    startPostgres({ name: 'test-postgres', throwAway: true, firstPort: 54_630 }),
  )
  const files = path.join(stateFolder, 'test-files')
  rmSync(files, { recursive: true, force: true })
  try {
    if (part !== 'browser') {
      await postgres.createDatabase('unit')
      await runJest(postgres.address('unit'), filter)
    }
    if (part !== 'unit') {
      await postgres.createDatabase('browser')
      const databaseUrl = postgres.address('browser')
      const server = { files: path.join(files, 'browser') }
      await step('Preparing the demo sites', () =>
        npx('tsx', ['demo/prepare.ts'], {
          env: { DATABASE_URL: databaseUrl, EASEL_FILES: server.files },
        }),
      )
      const running = await step('Starting the application', async () =>
        startApplication({
          port: await freePort(4373),
          publishedPort: await freePort(5373),
          databaseUrl,
          files: server.files,
          log: 'test-server.log',
        }),
      )
      // A second server on the same database, as a balancer would have it.
      const second = await startServer({
        port: await freePort(4383),
        publishedPort: await freePort(5383),
        databaseUrl,
        files: server.files,
        log: 'test-server-2.log',
      })
      try {
        await runBrowser(running, second, filter, isLong)
      } finally {
        await second.stop()
        await running.stop()
      }
    }
  } finally {
    await postgres.stop()
  }
  if (isLong) await check('Killing server, worker and database at 100 random moments', runKills)
  for (const failure of failures) console.log(`\n✗ ${failure}`)
  console.log(`\n${count.passed} passed, ${count.failed} failed`)
  return count.failed ? 1 : 0
}
