import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import type { LaunchOptions } from '@playwright/test';

export const CHROMIUM: LaunchOptions = {
    executablePath: '/usr/bin/chromium',
    args: [
        '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
        '--disable-background-networking', '--disable-component-update', '--disable-sync',
    ],
};

/** What an office of the tests begins with: the demo office, or nothing. */
export type Seed = 'demo' | 'empty';

const script = resolve('e2e/serve.sh');
const storage = (name: string) => resolve('storage', `e2e-${name}`);

/** Makes the offices that are copied for each test; once for a run. */
export function seedAll(): void {
    for (const [seed, command] of [['demo', 'almanac:demo'], ['empty', 'none']] as const) {
        const made = spawnSync(script, ['seed', `e2e-${seed}`, command], { stdio: 'inherit' });
        if (made.status !== 0) {
            throw new Error(`The office “${seed}” could not be made.`);
        }
    }
}

export interface OfficeServer {
    url: string;
    /** Gives it the office as it was made, whatever has been done to it since. */
    reset: (seed: Seed) => void;
    stop: () => void;
}

/** A server with an office of its own. */
export async function startServer(port: number): Promise<OfficeServer> {
    const name = `at-${port}`;
    const url = `http://127.0.0.1:${port}`;
    const reset = (seed: Seed) => {
        mkdirSync(storage(name), { recursive: true });
        for (const entry of readdirSync(storage(name))) {
            rmSync(resolve(storage(name), entry), { recursive: true, force: true });
        }
        cpSync(storage(seed), storage(name), { recursive: true });
    };
    reset('empty');
    const process = spawn(script, ['serve', `e2e-${name}`, String(port)], { stdio: 'ignore', detached: true });
    const stop = () => {
        if (process.pid !== undefined) {
            globalThis.process.kill(-process.pid, 'SIGKILL');
        }
    };
    for (let tries = 0; tries < 200; tries += 1) {
        try {
            if ((await fetch(`${url}/api/session`)).ok) {
                return { url, reset, stop };
            }
        } catch {
            // Not yet.
        }
        await new Promise((done) => setTimeout(done, 50));
    }
    stop();
    throw new Error(`The server at ${url} did not start.`);
}
