import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { withApplication } from './application.mjs'
import { npx, root, step } from './steps.mjs'

/** Takes the pictures of docs/screenshots anew, from freshly seeded demo sites. */
export async function run() {
  mkdirSync(path.join(root, 'docs', 'screenshots'), { recursive: true })
  await withApplication('shot', (address) =>
    step('Taking the pictures', () =>
      npx('tsx', ['docs/shots.ts'], { env: { EASEL_ADDRESS: address } }),
    ),
  )
  return 0
}
