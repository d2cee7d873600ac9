import { defineConfig } from '@playwright/test';

const address = process.env.EMBREL_ADDRESS ?? 'http://127.0.0.1:8080';
// Where it is reached over TLS, the certificate is one that was made for the tests.
const isSealed = address.startsWith('https:');

export default defineConfig({
    testDir: 'tests/browser',
    outputDir: 'storage/framework/testing/browser',
    reporter: [['list']],
    workers: 2,
    fullyParallel: true,
    timeout: 180_000,
    expect: { timeout: 45_000 },
    use: {
        baseURL: address,
        ignoreHTTPSErrors: isSealed,
        viewport: { width: 1280, height: 800 },
        acceptDownloads: true,
        // What a test does to requests it does to the page's own; offline.spec.js tries the worker.
        serviceWorkers: 'block',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [...(isSealed ? ['--ignore-certificate-errors'] : []), '--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
        },
    },
});
