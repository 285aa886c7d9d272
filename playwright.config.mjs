import { defineConfig } from '@playwright/test';

// The real pages in Debian's headless Chromium, against a server that bin/test has started on demo data.
export default defineConfig({
  testDir: 'tests/browser',
  fullyParallel: false,
  timeout: 150_000,
  // A state may take its time where the machine has other work.
  expect: { timeout: 20_000 },
  // Tries a failed one once more where nobody watches, and says so: "flaky" is printed with its error.
  retries: process.env.CI ? 1 : 0,
  reporter: [['list']],
  outputDir: 'storage/framework/playwright',
  use: {
    baseURL: process.env.VC_URL ?? 'http://127.0.0.1:8080',
    // Under bin/serve the certificate is of its own making.
    ignoreHTTPSErrors: process.env.VC_SCHEME === 'https',
    viewport: { width: 1280, height: 800 },
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
        // A service worker is fetched past what the page forgives.
        ...(process.env.VC_SCHEME === 'https' ? ['--ignore-certificate-errors'] : []),
      ],
    },
  },
});
