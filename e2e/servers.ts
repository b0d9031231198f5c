import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, readFileSync, renameSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { LaunchOptions } from '@playwright/test';

/**
 * What would only take time: the address bar's popups are pages of their own in every window, though nobody sees them.
 * The rest of the list is what Playwright leaves out itself, since a second list takes the place of the first.
 */
const LEFT_OUT = [
    'WebUIOmniboxPopup', 'WebUIOmniboxAimPopup', 'WebUIOmniboxFullPopup',
    'AvoidUnnecessaryBeforeUnloadCheckSync', 'DestroyProfileOnBrowserClose', 'HttpsUpgrades', 'HttpsFirstBalancedModeAutoEnable',
    'LensOverlay', 'MediaRouter', 'PaintHolding', 'ThirdPartyStoragePartitioning', 'AvoidCorsURLLoaderRestartOnRedirect',
    'OptimizationHints', 'NetworkTimeServiceQuerying', 'AimEnabled', 'PreconnectToSearch',
];

export const CHROMIUM: LaunchOptions = {
    executablePath: '/usr/bin/chromium',
    args: [
        '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
        '--disable-background-networking', '--disable-component-update', '--disable-sync',
        `--disable-features=${LEFT_OUT.join(',')}`,
    ],
};

/** What an office of the tests begins with: the demo office, or nothing. */
export type Seed = 'demo' | 'empty';

const script = resolve('e2e/serve.sh');
const storage = (name: string) => resolve('storage', `e2e-${name}`);

export const FIRST_PORT = Number(process.env.ALMANAC_TEST_PORT ?? 8461);

export const PASSWORD = 'pendulum-1742';

/** Makes the offices that are copied for each test; once for a run. */
export async function seedAll(): Promise<void> {
    for (const [seed, command] of [['demo', 'almanac:demo'], ['empty', 'none']] as const) {
        const made = spawnSync(script, ['seed', `e2e-${seed}`, command], { stdio: 'inherit' });
        if (made.status !== 0) {
            throw new Error(`The office “${seed}” could not be made.`);
        }
    }
    await signInAll();
}

/** The sessions of those who work in the demo office, by name, as the cookies of their browsers. */
const sessions = () => resolve(storage('demo'), 'sessions.json');

export function cookiesOf(name: string): { name: string; value: string }[] | undefined {
    const kept = JSON.parse(readFileSync(sessions(), 'utf8')) as Record<string, { name: string; value: string }[]>;
    return kept[name];
}

/** Signs in everybody of the demo office once, so that tests need not do it again and again. */
async function signInAll(): Promise<void> {
    const office = await startServer(FIRST_PORT);
    try {
        office.reset('demo');
        const kept: Record<string, { name: string; value: string }[]> = {};
        for (const name of ['maud', 'tobias', 'jonas']) {
            kept[name] = await signInOnce(office.url, name);
        }
        cpSync(resolve(storage(`at-${FIRST_PORT}`), 'framework/sessions'), resolve(storage('demo'), 'framework/sessions'), {
            recursive: true,
        });
        writeFileSync(sessions(), JSON.stringify(kept));
    } finally {
        office.stop();
    }
    // The sessions stand in the book, too.
    for (const ending of ['', '-wal']) {
        const database = resolve(storage(`at-${FIRST_PORT}`), `almanac.sqlite${ending}`);
        if (existsSync(database)) {
            cpSync(database, resolve(storage('demo'), `almanac.sqlite${ending}`));
        }
    }
}

async function signInOnce(url: string, name: string): Promise<{ name: string; value: string }[]> {
    const cookies = new Map<string, string>();
    const ask = async (init: RequestInit) => {
        const answer = await fetch(`${url}/api/session`, {
            ...init,
            headers: {
                Accept: 'application/json', 'Content-Type': 'application/json', Referer: url,
                Cookie: [...cookies].map(([key, value]) => `${key}=${value}`).join('; '),
                'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN') ?? ''),
            },
        });
        for (const cookie of answer.headers.getSetCookie()) {
            const [key = '', value = ''] = (cookie.split(';')[0] ?? '').split('=', 2);
            cookies.set(key, value);
        }
        return answer;
    };
    await ask({});
    const answer = await ask({ method: 'POST', body: JSON.stringify({ email: `${name}@orreryvane.example`, password: PASSWORD }) });
    if (!answer.ok) {
        throw new Error(`${name} could not sign in: ${await answer.text()}`);
    }
    return [...cookies].map(([key, value]) => ({ name: key, value }));
}

export interface OfficeServer {
    url: string;
    /** Gives it the office as it was made, whatever has been done to it since. */
    reset: (seed: Seed) => void;
    /** Puts rows into its book that no hand would type. */
    fill: (sql: string) => void;
    stop: () => void;
}

/** A server with an office of its own. */
export async function startServer(port: number): Promise<OfficeServer> {
    const name = `at-${port}`;
    const url = `http://127.0.0.1:${port}`;
    let made = 0;
    // Each office stands in a place of its own, and a link leads to it: a request that the test before left behind
    // ends where it began, and writes nothing into what the next one begins with.
    const reset = (seed: Seed) => {
        made += 1;
        const place = storage(`${name}-${made}`);
        rmSync(place, { recursive: true, force: true });
        cpSync(storage(seed), place, { recursive: true });
        symlinkSync(place, `${storage(name)}-next`);
        renameSync(`${storage(name)}-next`, storage(name));
        rmSync(storage(`${name}-${made - 2}`), { recursive: true, force: true });
    };
    const fill = (sql: string) => {
        const filled = spawnSync(
            'php',
            ['-r', '(new PDO("sqlite:".$argv[1]))->exec($argv[2]);', resolve(storage(name), 'almanac.sqlite'), sql],
            { encoding: 'utf8' },
        );
        if (filled.status !== 0) {
            throw new Error(filled.stderr + filled.stdout);
        }
    };
    rmSync(storage(name), { recursive: true, force: true });
    rmSync(`${storage(name)}-next`, { force: true });
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
                return { url, reset, fill, stop };
            }
        } catch {
            // Not yet.
        }
        await new Promise((done) => setTimeout(done, 50));
    }
    stop();
    throw new Error(`The server at ${url} did not start.`);
}
