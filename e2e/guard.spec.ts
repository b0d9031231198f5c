import type { Locator, Page } from '@playwright/test';
import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

/** It is asked about by a click elsewhere, by Back and by a reload, and stays as it was typed. */
async function isKept(page: Page, input: Locator): Promise<void> {
    await input.fill('Half typed');
    const asks = page.getByRole('alertdialog', { name: 'Leave without saving?' });
    await page.getByRole('link', { name: 'Directory' }).click();
    await expect(asks).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(input).toHaveValue('Half typed');
    await page.evaluate(() => window.history.back());
    await expect(asks).toBeVisible();
    await asks.getByRole('button', { name: 'Stay here' }).click();
    await expect(input).toHaveValue('Half typed');

    const asked = new Promise<string>((resolve) => page.once('dialog', (dialog) => {
        resolve(dialog.type());
        void dialog.dismiss();
    }));
    await page.evaluate(() => window.location.reload());
    expect(await asked).toBe('beforeunload');
    await expect(input).toHaveValue('Half typed');

    await page.getByRole('link', { name: 'Directory' }).click();
    await asks.getByRole('button', { name: 'Leave without saving' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Directory' })).toBeVisible();
}

/** Where something is typed that is not kept yet: from which page it is opened, how, and the field. */
const FORMS: Record<string, { from: string; open: (page: Page) => Locator; field: string }> = {
    'a new document': { from: '/records/1', open: (page) => page.getByRole('link', { name: 'New invoice' }), field: 'Their reference' },
    'a payment': { from: '/records/1', open: (page) => page.getByRole('link', { name: 'Record a payment' }), field: 'Reference' },
    'a new project': { from: '/engagements', open: (page) => page.getByRole('link', { name: 'New project' }), field: 'Agreed fee or budget' },
    'the office': { from: '/upkeep', open: (page) => page.getByRole('link', { name: 'Office', exact: true }), field: 'Name of the office' },
    'a log entry': {
        from: '/directory?filter=name+begins+with+Penhallow',
        open: (page) => page.getByRole('link', { name: 'Penhallow Observatory' }),
        field: 'What happened',
    },
};

for (const [what, { from, open, field }] of Object.entries(FORMS)) {
    test(`${what} is not lost: by a click elsewhere, by Back, by a reload`, async ({ page }) => {
        await page.goto(from);
        await open(page).first().click();
        if (what === 'a log entry') {
            await page.getByRole('button', { name: 'Write an entry' }).click();
        }
        await isKept(page, page.getByLabel(field).first());
    });
}

test('a new record is not lost: by a click elsewhere, by Back, by a reload', async ({ desk, page }) => {
    await desk.search('Half a record');
    await page.getByRole('option', { name: 'Add a company named “Half a record”' }).click();
    await isKept(page, page.getByLabel('Legal name'));
});

test('a busy server is asked again by itself, with the same key, and the work is done once', async ({ desk, page }) => {
    await desk.addCompany(unique('Patient & Co'));
    await page.keyboard.type('802-555-0101');
    const keys: (string | undefined)[] = [];
    await page.route('**/reach', async (route) => {
        keys.push(route.request().headers()['idempotency-key']);
        if (keys.length < 3) {
            await route.fulfill({
                status: 503,
                headers: { 'Retry-After': '1' },
                contentType: 'application/problem+json',
                body: '{"type":"about:blank","title":"Busy","status":503,"detail":"Busy."}',
            });
        } else {
            await route.continue();
        }
    });
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('button', { name: 'Save reach' })).toBeDisabled();
    await expect(page.getByRole('status').filter({ hasText: 'Reach saved.' })).toBeVisible();
    await expect(desk.section('Reach')).toContainText('(802) 555-0101');
    expect(keys).toHaveLength(3);
    expect(new Set(keys).size).toBe(1);
    expect(keys[0]).toMatch(/^[0-9a-f-]{36}$/);

    // A file that is sent waits in the same way.
    let sent = 0;
    await page.route('**/files', async (route) => {
        sent += 1;
        await (sent === 1
            ? route.fulfill({ status: 503, headers: { 'Retry-After': '1' }, contentType: 'application/problem+json', body: '{}' })
            : route.continue());
    });
    await desk
        .section('Files')
        .locator('input[type=file]')
        .setInputFiles([{ name: 'small.txt', mimeType: 'text/plain', buffer: Buffer.from('Ring twice.') }]);
    await expect(desk.section('Files').getByRole('link', { name: 'small.txt' })).toHaveCount(1);
    expect(sent).toBe(2);
});

test('an answer that is lost on its way is asked for once more, and nothing is done twice', async ({ desk, page }) => {
    await desk.addCompany(unique('Lost Answer'));
    await page.keyboard.type('802-555-0101');
    const keys: (string | undefined)[] = [];
    await page.route('**/reach', async (route) => {
        keys.push(route.request().headers()['idempotency-key']);
        if (keys.length === 1) {
            await route.fetch();
            await route.abort('connectionreset');
        } else {
            await route.continue();
        }
    });
    await desk.save('Reach saved.');
    expect(keys).toHaveLength(2);
    expect(keys[0]).toBe(keys[1]);
    await expect(desk.section('Reach').getByText('(802) 555-0101')).toHaveCount(1);
});
