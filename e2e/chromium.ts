import { existsSync } from 'node:fs'

/** Debian's Chromium that draws on no screen; else the whole one. */
const bare = '/usr/lib/chromium/chromium-headless-shell'

/** How it is started, for tests, pictures and measurements alike. */
export const chromiumLaunch = {
  executablePath: existsSync(bare) ? bare : '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
