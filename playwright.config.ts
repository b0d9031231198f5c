import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './e2e/servers';

export default defineConfig({
    testDir: 'e2e',
    testMatch: '*.spec.ts',
    fullyParallel: true,
    forbidOnly: true,
    retries: 0,
    workers: 2,
    timeout: 240_000,
    // Nothing waits this long; a machine that stood still for a while does.
    expect: { timeout: 45_000 },
    reporter: [['list']],
    use: {
        actionTimeout: 60_000,
        timezoneId: 'America/New_York',
        viewport: { width: 1280, height: 800 },
        launchOptions: CHROMIUM,
    },
    globalSetup: './e2e/setup.ts',
});
