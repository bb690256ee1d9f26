import { createHash } from 'node:crypto'
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import path from 'node:path'
import { execute, Failure, npx, root, stateFolder, step } from './steps.mjs'

const isRoot = process.getuid?.() === 0

const asRoot = (program, args, options) =>
  isRoot ? execute(program, args, options) : execute('sudo', [program, ...args], options)

const needs = {
  'postgresql-15': () => existsSync('/usr/lib/postgresql/15/bin/postgres'),
  'chromium-headless-shell': () => existsSync('/usr/lib/chromium/chromium-headless-shell'),
  'poppler-utils': () => existsSync('/usr/bin/pdftotext'),
  'python3-fonttools': () => existsSync('/usr/lib/python3/dist-packages/fontTools'),
  'python3-brotli': () => existsSync('/usr/lib/python3/dist-packages/brotli.py'),
}

/** What a package manager says while another one holds its lock. */
const LOCKED = /Could not get lock|Unable to (?:acquire|lock)|is another process using it/i
/** How long another one may take, and how often it is looked for, in milliseconds. */
const [LONGEST_WAIT, LOOK_AGAIN] = [15 * 60_000, 3000]

/** Runs the package manager; where another process holds its lock, says so and waits for it. */
async function onceUnlocked(work) {
  const until = Date.now() + LONGEST_WAIT
  for (let isTold = false; ; isTold = true) {
    try {
      return await work()
    } catch (error) {
      if (!LOCKED.test(error.message) || Date.now() > until) throw error
      if (!isTold) process.stdout.write('waiting for another package manager to finish … ')
      await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN))
    }
  }
}

/** Installs the Debian packages that are missing. A PostgreSQL cluster that is there is left alone, and none is made. */
export async function ensureDebian(packages) {
  const missing = packages.filter((name) => !needs[name]())
  if (missing.length === 0) return
  const advice = `install ${missing.join(' and ')} by hand (as root: apt-get install ${missing.join(' ')}), then run this again`
  await step(`Installing ${missing.join(', ')} from Debian`, async () => {
    const env = { DEBIAN_FRONTEND: 'noninteractive' }
    if (
      missing.includes('postgresql-15') &&
      !existsSync('/etc/postgresql-common/createcluster.d')
    ) {
      await asRoot('mkdir', ['-p', '/etc/postgresql-common/createcluster.d'], { advice })
      await asRoot('tee', ['/etc/postgresql-common/createcluster.d/no-main-cluster.conf'], {
        advice,
        input: 'create_main_cluster = false\n',
      })
    }
    await onceUnlocked(() => asRoot('apt-get', ['update'], { advice, env }))
    const args = ['install', '-y', '--no-install-recommends', ...missing]
    await onceUnlocked(() => asRoot('apt-get', args, { advice, env }))
  })
}

/**
 * Debian’s Chromium, for tests and pictures: the build that draws on no screen, which opens a view in
 * two thirds of the time. Where it cannot be had, the whole one does as well, if it is there.
 */
export async function ensureBrowser() {
  try {
    await ensureDebian(['chromium-headless-shell'])
  } catch (error) {
    if (!(error instanceof Failure) || !existsSync('/usr/bin/chromium')) throw error
    console.log(
      'chromium-headless-shell cannot be had; the whole Chromium does as well, but slower',
    )
  }
}

/** Lays the files of a Debian package below `.easel`, without installing it: test data only. */
export async function unpackDebian(name, wanted) {
  const target = path.join(stateFolder, 'debian', name)
  const folder = path.join(target, wanted)
  if (existsSync(folder)) return folder
  const advice = 'check that Debian’s packages can be reached, then run this again'
  await step(`Fetching ${name} from Debian, as test data`, async () => {
    mkdirSync(target, { recursive: true })
    const download = () => execute('apt-get', ['download', name], { cwd: target, advice })
    await download().catch(async () => {
      await onceUnlocked(() => asRoot('apt-get', ['update'], { advice }))
      await download()
    })
    const archive = readdirSync(target).find((file) => file.endsWith('.deb'))
    await execute('dpkg-deb', ['-x', archive, '.'], { cwd: target, advice })
  })
  return folder
}

const digest = (text) => createHash('sha256').update(text).digest('hex')
const stampOf = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '')

/** Installs the npm packages of the lock file, when they are not those that are there. */
export async function ensurePackages() {
  const wanted = digest(readFileSync(path.join(root, 'package-lock.json')))
  const stamp = path.join(root, 'node_modules', '.easel-stamp')
  if (stampOf(stamp) === wanted) return
  const advice = 'check that the npm registry can be reached, then run this again'
  await step('Installing npm packages', async () => {
    const major = Number((await execute('npm', ['--version'], { advice })).trim().split('.')[0])
    // npm 11 refuses a lock file without the optional packages of other platforms; npm 10 installs it.
    const args = ['ci', '--ignore-scripts', '--no-audit', '--no-fund']
    if (major === 10) await execute('npm', args, { advice })
    else await execute('npx', ['-y', 'npm@10', ...args], { advice })
    writeFileSync(stamp, wanted)
  })
}

/** The typefaces of sites and the parts that they come in, as the renderer has them. */
const typefaces = JSON.parse(
  readFileSync(new URL('../src/core/render/typefaces.json', import.meta.url), 'utf8'),
)
const subsets = ['latin', 'latin-ext']

/** The fonts that a swatch sheet carries inside it. */
const sheetFonts = { 'sheet-words': 'hanken-grotesk', 'sheet-codes': 'jetbrains-mono' }

/** Lays the fonts of the sites where stage and publishing take them from. */
export function ensureFonts() {
  const target = path.join(root, 'public', 'fonts')
  mkdirSync(target, { recursive: true })
  for (const { package: name } of typefaces) {
    for (const subset of subsets) {
      const file = `${name}-${subset}-wght-normal.woff2`
      const source = path.join(root, 'node_modules', '@fontsource-variable', name, 'files', file)
      if (!existsSync(path.join(target, file))) copyFileSync(source, path.join(target, file))
    }
  }
  for (const [name, family] of Object.entries(sheetFonts)) {
    const source = path.join(root, 'node_modules', '@fontsource-variable', family, 'files')
    const file = path.join(source, `${family}-latin-wght-normal.woff2`)
    copyFileSync(file, path.join(target, `${name}.woff2`))
  }
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && !/\.test\.tsx?$/.test(entry.name))
    .map((entry) => path.join(entry.parentPath, entry.name))
    .sort()
}

/** The worker: one file beside the build, its packages left where they are. */
export const workerFile = path.join(stateFolder, 'worker.mjs')

/** What threads of the server read what strangers made with. */
const readerFile = path.join(stateFolder, 'reader.mjs')

const bundle = (source, file) =>
  npx('esbuild', [
    source,
    ...['--bundle', '--platform=node', '--format=esm', '--packages=external'],
    '--tsconfig=tsconfig.json',
    `--outfile=${file}`,
  ])

export const bundleReader = () => bundle('src/reader/main.ts', readerFile)

/** Builds the application, when its sources are not those of the last build. */
export async function ensureBuild() {
  const sources = [
    ...filesBelow(path.join(root, 'src')),
    ...['package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'].map((name) =>
      path.join(root, name),
    ),
  ]
  const wanted = digest(
    sources.map((file) => `${path.relative(root, file)} ${digest(readFileSync(file))}`).join('\n'),
  )
  const stamp = path.join(stateFolder, 'build-stamp')
  const built = [path.join(root, '.next', 'BUILD_ID'), workerFile, readerFile].every(existsSync)
  if (built && stampOf(stamp) === wanted) return
  await step('Building', async () => {
    await npx('next', ['build'], {
      advice: 'read the messages above; ./easel test names the file at fault',
    })
    await bundle('src/worker/main.ts', workerFile)
    await bundleReader()
    writeFileSync(stamp, wanted)
  })
}

/** Whether a process of ours still runs. */
export function isRunning(pid) {
  if (!pid || Number.isNaN(pid)) return false
  try {
    process.kill(pid, 0)
    const state = statSync(`/proc/${pid}`, { throwIfNoEntry: false })
    return state !== undefined
  } catch {
    return false
  }
}

export { isRoot, Failure }
