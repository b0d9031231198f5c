// How long a browser that has never been here takes until the line can be typed into, until a keystroke is painted, and
// until a page further down in the directory is read.
// Called by the bench with the address of its served office; prints a line for each.
import { chromium } from '@playwright/test';

const [url, email, password] = process.argv.slice(2);
const FLAGS = [
    '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
    '--disable-component-update', '--disable-sync',
];
const RUNS = 10;

/** A browser of its own, so that nothing is in its cache. */
async function inNewBrowser(work) {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS });
    try {
        return await work(await browser.newContext({ viewport: { width: 1280, height: 800 } }));
    } finally {
        await browser.close();
    }
}

const cookies = await inNewBrowser(async (context) => {
    const page = await context.newPage();
    await page.goto(`${url}/sign-in`);
    await page.getByLabel('Email').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.keyboard.press('Enter');
    await page.getByRole('combobox', { name: 'Find or add' }).waitFor();
    return context.cookies();
});

/** Milliseconds from the start of the navigation until the line is there, and the keystrokes' own times until they are painted. */
async function firstVisit(slowdown) {
    return inNewBrowser(async (context) => {
        await context.addCookies(cookies);
        await context.addInitScript(() => {
            const seen = { strokes: [] };
            window.seen = seen;
            new MutationObserver((_, observer) => {
                const line = document.querySelector('[role=combobox]');
                if (line !== null && !line.disabled) {
                    observer.disconnect();
                    // The frame in which it is painted.
                    requestAnimationFrame(() => setTimeout(() => (seen.ready = performance.now())));
                }
            }).observe(document, { childList: true, subtree: true, attributes: true });
            new PerformanceObserver((list) => {
                for (const entry of list.getEntries()) {
                    if (entry.name === 'keydown') {
                        seen.strokes.push(entry.duration);
                    }
                }
            }).observe({ type: 'event', durationThreshold: 16 });
        });
        const page = await context.newPage();
        const session = await context.newCDPSession(page);
        await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
        await page.goto(`${url}/`, { waitUntil: 'commit' });
        await page.waitForFunction(() => window.seen?.ready !== undefined);
        await page.getByRole('combobox', { name: 'Find or add' }).focus();
        await page.keyboard.type('smithjohn', { delay: 150 });
        await page.waitForTimeout(500);
        return page.evaluate(() => window.seen);
    });
}

/** Milliseconds from each press of Page Down in the directory until every line in sight has its name. */
async function pagesDown() {
    return inNewBrowser(async (context) => {
        await context.addCookies(cookies);
        const page = await context.newPage();
        await page.goto(`${url}/directory`);
        const lines = page.locator('tbody tr[aria-rowindex]');
        await lines.nth(8).waitFor();
        await page.locator('tbody a.name').first().focus();
        // The first goes to the last line in sight.
        await page.keyboard.press('PageDown');
        await page.evaluate(() => {
            window.pages = [];
            const inSight = () => [...document.querySelectorAll('tbody tr[aria-rowindex]')].filter((line) => {
                const { top, bottom } = line.getBoundingClientRect();
                return top > 0 && bottom < innerHeight;
            });
            addEventListener('keydown', (event) => {
                if (event.key !== 'PageDown') {
                    return;
                }
                const before = inSight()[0]?.ariaRowIndex;
                const look = () => {
                    const lines = inSight();
                    const isThere = lines.length > 5 && lines[0].ariaRowIndex !== before && lines.every((line) => line.innerText.trim() !== '');
                    if (isThere) {
                        window.pages.push(performance.now() - event.timeStamp);
                    } else {
                        requestAnimationFrame(look);
                    }
                };
                requestAnimationFrame(look);
            }, { capture: true });
        });
        for (let press = 1; press <= 30; press++) {
            await page.keyboard.press('PageDown');
            await page.waitForFunction((many) => window.pages.length === many, press);
        }
        return page.evaluate(() => window.pages);
    });
}

const spread = (times) => {
    const sorted = times.toSorted((a, b) => a - b);
    return [0.5, 0.95].map((part) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))]);
};
const say = (what, times) => {
    const [median, most] = spread(times);
    process.stdout.write(`${what.padEnd(44)} ${median.toFixed(1).padStart(7)} ms ${most.toFixed(1).padStart(7)} ms\n`);
};

for (const [name, slowdown] of [['cold browser', 1], ['cold browser, 4 × throttled', 4]]) {
    const visits = [];
    for (let run = 0; run < RUNS; run++) {
        visits.push(await firstVisit(slowdown));
    }
    say(`${name}: the line can be typed into`, visits.map((visit) => visit.ready));
    // Painted in less than 16 ms, a keystroke is not told of.
    say(`${name}: a keystroke painted`, visits.flatMap((visit) => [...visit.strokes, ...Array(Math.max(0, 9 - visit.strokes.length)).fill(16)]));
}
say('a page down in the directory shows its lines', await pagesDown());
