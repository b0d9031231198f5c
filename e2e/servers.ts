import type { LaunchOptions } from '@playwright/test';

export const CHROMIUM: LaunchOptions = {
    executablePath: '/usr/bin/chromium',
    args: [
        '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
        '--disable-background-networking', '--disable-component-update', '--disable-sync',
    ],
};

/** A server of its own for the tests, with a fresh database, on the pinned day. */
function fresh(storage: string, port: number, seed: string) {
    const url = `http://127.0.0.1:${port}`;
    return {
        url,
        start: {
            command: `e2e/serve.sh ${storage} ${port} ${seed}`,
            url: `${url}/api/session`,
            reuseExistingServer: false,
            timeout: 60_000,
        },
    };
}

export const server = {
    demo: fresh('e2e-demo', 8461, 'almanac:demo'),
    empty: fresh('e2e-empty', 8462, 'none'),
};
