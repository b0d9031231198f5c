import { expect, test, type Desk } from './desk';
import type { Page } from '@playwright/test';

/** A word that nothing breaks, as somebody types it who leans on a key. */
const LONG = 'Donaudampfschifffahrtselektrizitätenhauptbetriebswerkbauunterbeamtengesellschaft'.repeat(2);

/** Every page with a table on it, and what shows that it has been read. */
const PAGES: [string, (desk: Desk, page: Page) => Promise<void>][] = [
    ['/', async (_, page) => expect(page.getByText('Ask the verger').first()).toBeVisible()],
    ['/directory', async (_, page) => expect(page.getByRole('row').nth(3)).toBeVisible()],
    ['/directory?sort=receivable', async (_, page) => expect(page.getByRole('row').nth(3)).toBeVisible()],
    ['/records/1', async (desk) => expect(desk.section('Documents').getByRole('row').nth(1)).toBeVisible()],
    ['/records/9', async (desk) => expect(desk.section('Documents').getByRole('row').nth(1)).toBeVisible()],
    ['/ledger', async (_, page) => expect(page.getByRole('row').nth(3)).toBeVisible()],
    ['/ledger/tax-report', async (_, page) => expect(page.getByRole('row').nth(1)).toBeVisible()],
    ['/documents/1', async (_, page) => expect(page.getByRole('row').nth(1)).toBeVisible()],
    ['/payments/1', async (_, page) => expect(page.getByRole('heading', { level: 1 })).toBeVisible()],
    ['/records/1/statement?side=client&currency=USD', async (_, page) => expect(page.getByRole('row').nth(1)).toBeVisible()],
    [
        '/records/1/write/invoice',
        async (_, page) => expect(page.getByRole('button', { name: 'Save and issue this invoice' })).toBeVisible(),
    ],
    ['/records/1/payment/client', async (_, page) => expect(page.getByRole('button', { name: 'Record the payment' })).toBeVisible()],
    ['/engagements', async (_, page) => expect(page.getByRole('row').nth(3)).toBeVisible()],
    ['/engagements/FLOOD', async (desk) => expect(desk.section('Documents').getByRole('row').nth(1)).toBeVisible()],
    ['/records/1/as-of', async (_, page) => expect(page.getByRole('row').nth(3)).toBeVisible()],
    ['/engagements/FLOOD/meet', async (_, page) => expect(page.getByRole('button', { name: 'Arrange it' })).toBeVisible()],
    ['/upkeep', async (_, page) => expect(page.getByText('Go there').first()).toBeVisible()],
    ['/office', async (_, page) => expect(page.getByText('Works and keys').first()).toBeVisible()],
    ['/office/log', async (_, page) => expect(page.getByRole('heading', { level: 1 })).toBeVisible()],
];

/** Figures of which something is hidden: by their cell, by a box around them, or by the edge of the window. */
function cutFigures(): string[] {
    return [...document.querySelectorAll<HTMLElement>('td.figure, th.figure, [data-figure]')].filter((cell) => {
        const texts = document.createTreeWalker(cell, NodeFilter.SHOW_TEXT);
        while (texts.nextNode() !== null) {
            const range = document.createRange();
            range.selectNodeContents(texts.currentNode);
            const { left, right, width } = range.getBoundingClientRect();
            for (let box: HTMLElement | null = cell; box !== null; box = box.parentElement) {
                const edge = box.getBoundingClientRect();
                const hides = getComputedStyle(box).overflowX !== 'visible' || box === document.documentElement;
                if (width > 0 && hides && (left < edge.left - 1 || right > edge.right + 1)) {
                    return true;
                }
            }
        }
        return false;
    }).map((cell) => cell.innerText);
}

const tooWide = () => document.documentElement.scrollWidth - document.documentElement.clientWidth;

const WIDTHS = [1024, 1280, 1920];

/** The pages, with the number that the claim has. */
async function pages(page: Page): Promise<typeof PAGES> {
    const { rows: [claim] } = await page.evaluate(async () => {
        const answer = await fetch('/api/engagements?q=flooded', { headers: { Accept: 'application/json' } });
        return await answer.json() as { rows: { id: number }[] };
    });
    return PAGES.map(([place, isRead]) => [place.replace('FLOOD', String(claim?.id)), isRead]);
}

test(`no figure of any table is cut at ${WIDTHS.join(', ')}`, async ({ desk, page }) => {
    await desk.signIn();
    let figures = 0;
    for (const [place, isRead] of await pages(page)) {
        await page.goto(place);
        await isRead(desk, page);
        figures += await page.locator('td.figure').count();
        for (const width of WIDTHS) {
            await desk.resize(width);
            expect(await page.evaluate(cutFigures), `${place} at ${width}`).toEqual([]);
            expect(await page.evaluate(tooWide), `${place} at ${width}`).toBeLessThanOrEqual(0);
        }
    }
    expect(figures).toBeGreaterThan(100);
});

test('very long words, amounts and names stay within the page, at a desk and on a phone', async ({ desk, page, office }) => {
    office.fill(`update parties set display_name = '${LONG}', company_name = '${LONG}', legal_name = '${LONG}' where id in (1, 9);
        update documents set reference = '${LONG}', note = '${LONG}', total_minor = 987654321012, open_minor = case when open_minor > 0 then 987654321012 else open_minor end where party_id in (1, 9);
        update document_lines set text = '${LONG}', amount_minor = 987654321012;
        update contact_points set label = '${LONG.slice(0, 40)}'; update addresses set lines = '${LONG.slice(0, 100)}', locality = '${LONG.slice(0, 60)}';
        update positions set title = '${LONG}', department = '${LONG}'; update log_entries set text = '${LONG}'; update reminders set text = '${LONG}';
        update files set name = '${LONG}.pdf'; update list_items set name = name || '${LONG.slice(0, 50)}' where list in ('tags', 'types');
        update balances set receivable_minor = 987654321012, payable_minor = 987654321012;`);
    await desk.signIn();
    for (const [place] of await pages(page)) {
        await page.goto(place);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await expect(page.locator('main[aria-busy=true]')).toHaveCount(0);
        for (const width of [1280, 390]) {
            await desk.resize(width);
            expect(await page.evaluate(tooWide), `${place} at ${width}`).toBeLessThanOrEqual(0);
        }
    }
});
