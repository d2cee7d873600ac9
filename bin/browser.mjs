import { chromium } from '@playwright/test';

/** The browser that pictures are taken with and speeds are measured in: it asks nobody for anything. */
export const launched = () =>
    chromium.launch({
        executablePath: '/usr/bin/chromium',
        args: [
            '--no-sandbox',
            '--disable-gpu',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--no-first-run',
        ],
    });
