import { expect, test } from './desk';

/** axe on every screen, by day and by lamp, and the page on narrow and zoomed screens. */
for (const colorScheme of ['light', 'dark'] as const) {
    test.describe(colorScheme, () => {
        test.use({ colorScheme });
        const rules = colorScheme === 'light' ? 'all' : 'contrast';

        test('directory, find or add, a company, a person', async ({ desk, page }) => {
            await desk.signIn();
            await desk.expectAccessible('html', rules);
            await desk.search('penhallow observatory');
            await desk.expectAccessible('html', rules);
            await page.keyboard.press('Enter');
            await expect(desk.section('When we bill them')).toContainText('is due');
            await expect(desk.section('Log')).toContainText('added as');
            await desk.expectAccessible('html', rules);
            await desk.open('wren brass');
            await expect(desk.section('Log')).toContainText('added as');
            await desk.expectAccessible('html', rules);
        });

        test('today, upkeep, and the office with a sheet open', async ({ desk, page }) => {
            await desk.signIn();
            await expect(page.getByText('Ask the verger').first()).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.goto('/upkeep');
            await expect(page.getByText('Go there').first()).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.goto('/office');
            await page.getByRole('button', { name: 'Change the sheet Works and keys' }).click();
            await expect(page.getByRole('form', { name: 'The sheet Works and keys' })).toBeVisible();
            // Under the line at the top, what is half hidden would count as too small to press.
            await page.evaluate(() => window.scrollTo(0, 0));
            await desk.expectAccessible('html', rules);
        });

        test('a file that comes in, its lines, and labels', async ({ desk, page }) => {
            await desk.signIn();
            await page.goto('/imports');
            await page.locator('input[type=file]').setInputFiles({
                name: 'fair.csv', mimeType: 'text/csv', buffer: Buffer.from('First,Last,Email\nEdith,Larkin,\nIda,Bell,nobody\n'),
            });
            await expect(page.getByRole('heading', { name: 'What the columns are' })).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.getByRole('button', { name: 'Check the lines' }).click();
            await expect(page.getByRole('heading', { name: 'The lines' })).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.getByRole('radio', { name: /^wrong/ }).click();
            await expect(page.getByRole('textbox', { name: 'Email' })).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.goto('/directory');
            await page.getByRole('button', { name: 'Print' }).click();
            await page.getByRole('menuitem', { name: 'Labels and envelopes' }).click();
            await expect(page.getByRole('dialog').getByText('Achterberg')).toBeVisible();
            await desk.choose(/Sheet/, 'A sheet of our own', page.getByRole('dialog'));
            await expect(page.getByLabel('Label width, mm')).toBeVisible();
            await desk.expectAccessible('[role=dialog]', rules);
        });

        test('a letter as it is written, a template, what came of it', async ({ desk, page }) => {
            await desk.signIn();
            await page.goto('/letters/write?filter=clients%20tagged%20bells');
            await desk.choose(/Template/, 'Winter visit');
            await expect(page.getByRole('article', { name: 'How it reads' })).toContainText('before the frost');
            await desk.expectAccessible('html', rules);
            await page.getByRole('button', { name: /^Write/ }).click();
            await expect(page.getByRole('link', { name: 'Save as PDF' })).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.goto('/letters');
            await page.getByRole('link', { name: 'How we stand' }).click();
            await expect(page.getByLabel('What it says')).toHaveValue(/receivable/);
            await desk.expectAccessible('html', rules);
        });

        test('cases and projects: the list, one of them with its parties edited, and a new one', async ({ desk, page }) => {
            await desk.signIn();
            await page.goto('/engagements');
            await expect(page.getByRole('row').nth(3)).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.getByRole('link', { name: /Flooded barometer/ }).click();
            await expect(desk.section('Documents').getByRole('row').nth(1)).toBeVisible();
            await desk.expectAccessible('html', rules);
            await page.getByRole('button', { name: 'Edit Parties' }).click();
            await expect(page.getByRole('button', { name: 'Save parties' })).toBeVisible();
            await desk.expectAccessible('main form', rules);
            await page.goto('/engagements/begin');
            await expect(page.getByRole('textbox', { name: 'Title' })).toBeFocused();
            await desk.expectAccessible('html', rules);
        });

        test('every section while it is edited, and adding', async ({ desk, page }) => {
            await desk.signIn();
            await desk.open('penhallow observatory');
            for (const title of [
                'name and roles',
                'Reach',
                'Addresses',
                'People',
                'Relations',
                'Classification',
                'When we bill them',
                'When we pay them',
                'Tax numbers',
                'Details',
            ]) {
                await page.getByRole('button', { name: `Edit ${title}`, exact: true }).click();
                await expect(page.getByRole('button', { name: /^Save / })).toBeVisible();
                // The rest of the page is looked at by the test before.
                await desk.expectAccessible('main form', rules);
                await page.keyboard.press('Escape');
                await expect(page.getByRole('button', { name: /^Save / })).toBeHidden();
            }
            await page.goto('/add/person?name=Dr.%20Ada%20Finch');
            await expect(page.getByLabel('Family name')).toHaveValue('Finch');
            await desk.expectAccessible('html', rules);
            await page.keyboard.press('Escape');
            await page.getByRole('button', { name: /Maud Ferris/ }).click();
            await desk.expectAccessible('html', rules);
        });
    });
}

for (const [name, viewport] of Object.entries({
    'a phone': { width: 390, height: 800 },
    'a small window, or 200% zoom': { width: 640, height: 400 },
    'the smallest desk': { width: 1024, height: 700 },
    'a wide desk': { width: 1920, height: 1080 },
})) {
    test(`nothing is cut off on ${name}`, async ({ desk, page }) => {
        await page.setViewportSize(viewport);
        await desk.signIn();
        await expect(page.getByText('Ask the verger').first()).toBeVisible();
        const tooWide = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
        expect(await tooWide()).toBeLessThanOrEqual(0);
        for (const place of ['/office', '/upkeep']) {
            await page.goto(place);
            await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
            await expect(page.getByText(place === '/office' ? 'Works and keys' : 'Go there').first()).toBeVisible();
            await expect(page.getByText(place === '/office' ? 'jonas@orreryvane.example' : 'Si Wren').first()).toBeAttached();
            expect(await tooWide(), place).toBeLessThanOrEqual(0);
        }
        await page.goto('/letters/write?filter=clients');
        await desk.choose(/Template/, 'Winter visit');
        await expect(page.getByRole('article', { name: 'How it reads' })).toContainText('before the frost');
        expect(await tooWide(), 'a letter').toBeLessThanOrEqual(0);
        await page.goto('/records/1');
        await expect(desk.section('When we bill them')).toContainText('is due');
        expect(await tooWide()).toBeLessThanOrEqual(0);
        for (const section of ['Addresses', 'Classification', 'Tax numbers']) {
            await desk.edit(section);
            await expect(page.getByRole('button', { name: /^Save / }).first()).toBeVisible();
            expect(await tooWide(), section).toBeLessThanOrEqual(0);
        }
    });
}

test('the light can be chosen and is kept', async ({ desk, page }) => {
    await desk.signIn();
    const paper = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const byDay = await paper();
    await page.getByRole('button', { name: /Maud Ferris/ }).click();
    await page.getByRole('menuitem', { name: 'Light: by lamp' }).click();
    await expect.poll(paper).not.toBe(byDay);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    expect(await paper()).not.toBe(byDay);
});

test('a record prints on a clean sheet, without what stays in the office', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/records/3');
    await expect(desk.section('Log')).toContainText('ring twice');
    await expect(page.getByText('The key to the belfry is with the verger; ring twice.').first()).toBeVisible();
    await expect(desk.section('When we bill them')).toContainText('is due');
    await page.emulateMedia({ media: 'print' });
    await expect(desk.find).toBeHidden();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
    await expect(page.getByRole('button', { name: /Edit/ }).first()).toBeHidden();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('tower clocks').first()).toBeVisible();
    for (const internal of ['The key to the belfry', '4 of 5', 'Ask the verger']) {
        await expect(page.getByText(internal).first()).toBeHidden();
    }
});

test('the start of the program is small and its parts come from here', async ({ page }) => {
    const scripts: { url: string; bytes: number }[] = [];
    const hosts = new Set<string>();
    page.on('request', (request) => hosts.add(new URL(request.url()).host));
    page.on('response', async (response) => {
        if (response.request().resourceType() === 'script') {
            scripts.push({ url: response.url(), bytes: (await response.body()).length });
        }
    });
    await page.goto('/sign-in');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    expect([...hosts]).toEqual([new URL(page.url()).host]);
    expect(scripts.length).toBeGreaterThan(0);
    // About a third of this once it is gzipped; the build prints the gzipped sizes.
    expect(scripts.reduce((sum, { bytes }) => sum + bytes, 0)).toBeLessThan(750_000);
});
