import { ensureDebian, ensureFonts, ensurePackages } from './machine.mjs'
import { npx } from './steps.mjs'

export async function run() {
  await ensureDebian(['chromium'])
  await ensurePackages()
  ensureFonts()
  await npx('tsx', ['bench/run.ts'], {
    show: true,
    advice: 'run ./easel test first; it tells what is broken',
  })
  return 0
}
