import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  // Machines differ, and others work on them too: a page that comes late is no fault of what is tested.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  // Two cores, and a firm of its own for each: the demo is planted as often.
  workers: Number(process.env.UMBRACELL_WORKERS ?? 1),
  fullyParallel: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    baseURL: process.env.UMBRACELL_URL ?? 'http://127.0.0.1:5210',
    viewport: { width: 1280, height: 800 },
    // Axe would otherwise measure contrast in the middle of a fade.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      // Chromium's own build for use without a window: the same pages for little more than half the work.
      executablePath: '/usr/bin/chromium-headless-shell',
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
