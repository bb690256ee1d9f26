import { defineConfig } from '@playwright/test'
import { chromiumLaunch } from './e2e/chromium'

/** ./easel test starts the server and the database, and says where they are. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: '.easel/test-results',
  // The journeys change the same demo sites; they go one after the other.
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: [['line'], ['json']],
  use: {
    baseURL: process.env.EASEL_ADDRESS,
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: chromiumLaunch,
  },
})
