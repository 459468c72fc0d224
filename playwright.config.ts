import { defineConfig } from '@playwright/test'

/**
 * What the browser must not begin of its own accord. Given once more it replaces Playwright's list, so that stands first;
 * then the pages that a new window would load for its address line, which headless nobody sees.
 */
const switchedOff = [
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch',
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
]

export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/fixtures/demo-template.ts',
  outputDir: 'test-results',
  // Long enough for a machine that is busy with something else; a test that waits in vain still fails.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: false,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // Each page would fetch the whole shell ahead; tests that start without the server ask for it.
    serviceWorkers: 'block',
    // Nothing waits for a fade.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        `--disable-features=${switchedOff.join(',')}`,
      ],
    },
  },
})
