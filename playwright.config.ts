import { defineConfig } from '@playwright/test'
import { browserProgram } from './e2e/browser'

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/serve.ts',
  outputDir: 'test-results',
  fullyParallel: false,
  // every test has a household of its own, but for those of a file, which go one after the other; three keep two cores busy
  workers: 3,
  timeout: 120_000,
  expect: { timeout: 60_000 },
  // what fails once is broken: a test waits for what it tests, so a noisy machine is no reason to fail
  retries: 0,
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    contextOptions: { reducedMotion: 'reduce' },
    timezoneId: 'Europe/Vienna',
    // a picture costs nothing until something fails; a trace costs every test its time: TRACE=1
    screenshot: 'only-on-failure',
    trace: process.env['TRACE'] ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: browserProgram,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
