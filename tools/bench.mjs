import { withApplication } from './application.mjs'
import { npx } from './steps.mjs'

/** Every measurement, or those that are named: `./easel bench extraction shades`. */
export async function run({ options }) {
  await withApplication('bench', (address, { databaseUrl, files, pids }) =>
    npx('tsx', ['bench/run.ts', ...options], {
      show: true,
      env: {
        EASEL_ADDRESS: address,
        EASEL_PIDS: pids.join(),
        DATABASE_URL: databaseUrl,
        EASEL_FILES: files,
      },
      advice: 'run ./easel test first; it tells what is broken',
    }),
  )
  return 0
}
