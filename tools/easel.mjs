import { Failure } from './steps.mjs'

const commands = {
  demo: {
    told: 'set up what is missing, start the demo; --fresh starts over, --port N',
    load: () => import('./demo.mjs'),
  },
  dev: { told: 'the same with live reloading of the code', load: () => import('./demo.mjs') },
  test: { told: 'types, lint, unit, database and browser tests', load: () => import('./test.mjs') },
  bench: { told: 'measure speed, as ratios within one run', load: () => import('./bench.mjs') },
  'check-index': {
    told: 'whether the kept index says what the readers say',
    load: () => import('./check-index.mjs'),
  },
  shots: { told: 'take the pictures of docs/screenshots anew', load: () => import('./shots.mjs') },
}

const [name, ...options] = process.argv.slice(2)
const command = commands[name]
if (!command) {
  console.log('usage: ./easel COMMAND\n')
  for (const [key, { told }] of Object.entries(commands)) console.log(`  ${key.padEnd(12)} ${told}`)
  process.exit(name && name !== '--help' && name !== 'help' ? 2 : 0)
}
try {
  const { run } = await command.load()
  process.exitCode = (await run({ name, options })) ?? 0
} catch (error) {
  if (!(error instanceof Failure)) throw error
  console.error(`\neasel: ${error.message}`)
  if (error.advice) console.error(`what to do: ${error.advice}`)
  process.exitCode = 1
}
