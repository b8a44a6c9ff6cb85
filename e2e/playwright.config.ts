import { defineConfig } from '@playwright/test';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const launchOptions = { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args };

export default defineConfig({
  testDir: './tests',
  timeout: 300_000,
  expect: { timeout: 60_000 },
  // Two side by side: most of a test is waiting for the other side. Time-outs are made for a machine ten times as busy.
  workers: 2,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  outputDir: '../test-results/e2e',
  // The service worker fetches the whole app behind each first page: only tests that go on without a server let it.
  use: { launchOptions, serviceWorkers: 'block', acceptDownloads: true },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', grepInvert: /@once/, use: { viewport: { width: 1280, height: 800 } } },
  ],
});
