import { expect, test, unique } from './desk';

test.describe.configure({ timeout: 90_000 });

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a file of thirty megabytes is refused in words, and the small one beside it is kept', async ({ desk, page }) => {
    await desk.addCompany(unique('Heavy Papers'));
    await page.keyboard.press('Escape');
    const files = desk.section('Files');
    await files.locator('input[type=file]').setInputFiles([
        { name: 'huge.txt', mimeType: 'text/plain', buffer: Buffer.alloc(30_000_000, 'Ring twice. ') },
        { name: 'small.txt', mimeType: 'text/plain', buffer: Buffer.from('Ring twice.') },
    ]);
    await expect(files.getByRole('link', { name: 'small.txt' })).toBeVisible({ timeout: 30_000 });
    await expect(files).toContainText('That is more than can be taken at once.');
    await expect(files.getByRole('link', { name: 'huge.txt' })).toHaveCount(0);
});

test('while the server is away a file says so, and what was typed for a reminder stays', async ({ desk, page }) => {
    await desk.addCompany(unique('Far Papers'));
    await page.keyboard.press('Escape');
    await desk.section('Reminders').getByRole('button', { name: 'Set a reminder' }).click();
    await page.getByLabel('What to do').fill('Ring again');
    await page.context().setOffline(true);
    await page.keyboard.press('Control+Enter');
    await expect(desk.section('Reminders')).toContainText('The server cannot be reached. What you typed is still here.');
    await desk
        .section('Files')
        .locator('input[type=file]')
        .setInputFiles([{ name: 'small.txt', mimeType: 'text/plain', buffer: Buffer.from('Ring twice.') }]);
    await expect(desk.section('Files')).toContainText('The server cannot be reached.');
    await page.context().setOffline(false);
    await page.getByLabel('What to do').focus();
    await desk.save('Reminder set.');
    await expect(desk.section('Reminders')).toContainText('Ring again');
});

test('a reminder for a colleague is on their day', async ({ desk, page, browser }) => {
    const what = unique('Order the castings');
    await desk.addCompany(unique('Castings'));
    await page.keyboard.press('Escape');
    const section = desk.section('Reminders');
    await section.getByRole('button', { name: 'Set a reminder' }).click();
    await page.getByLabel('What to do').fill(what);
    await desk.choose(/ For$/, 'Cordelia Vane', section);
    await page.getByLabel('What to do').focus();
    await desk.save('Reminder set.');
    await expect(section).toContainText('for Cordelia Vane');
    const context = await browser.newContext({ timezoneId: 'America/New_York' });
    const cordelia = new (desk.constructor as typeof import('./desk').Desk)(await context.newPage());
    await cordelia.signIn('cordelia');
    await expect(cordelia.section('To do')).toContainText(what);
    await expect(cordelia.section('To do')).toContainText('set by Maud Ferris');
    await context.close();
    await page.goto('/');
    await expect(desk.section('To do')).not.toContainText(what);
});

test('an account manager is taken over from the company, visibly, and set anew', async ({ desk, page }) => {
    await desk.open('penhallow observatory');
    const company = desk.section('Classification');
    await expect(company).toContainText('Account managerMaud Ferris');
    await desk.section('People').getByRole('link', { name: 'Ms. Misaki Tanaka-Løvås' }).click();
    const person = desk.section('Classification');
    await expect(person).toContainText('Account managerMaud Ferris as at Penhallow Observatory');
    await desk.edit('Classification');
    await desk.choose(/Account manager/, 'Tobias Reed', person);
    await desk.save('Classification saved.');
    await expect(person).toContainText('Account managerTobias Reed');
    await expect(person).not.toContainText('Tobias Reed as at');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(person).toContainText('Account managerMaud Ferris as at Penhallow Observatory');
});

test('the office’s own relation is told from both ends', async ({ desk, page }) => {
    const [word, inverse] = [unique('keeper'), unique('kept by')];
    await page.goto('/office');
    const words = page.getByRole('region', { name: 'Our own words' });
    await desk.choose(/ List$/, 'Relations of our own', words);
    await expect(words).toContainText('Add to this list');
    await page.getByRole('button', { name: 'Add to this list' }).click();
    await page.getByLabel('Name', { exact: true }).fill(word);
    await page.getByLabel('From the other end, if it differs').fill(inverse);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: `${word} added.` })).toBeVisible();

    const owner = unique('Clock Keepers');
    await desk.addCompany(owner);
    await page.keyboard.press('Escape');
    await desk.edit('Relations');
    await page.getByRole('combobox', { name: 'A relation to whom?' }).fill('town of marlow');
    await page.getByRole('option', { name: /Town of Marlow Falls/ }).first().click();
    await desk.choose(/is their/, word, page.getByRole('group', { name: 'Town of Marlow Falls' }));
    await desk.save('Relations saved.');
    await expect(desk.section('Relations')).toContainText(`${word}Town of Marlow Falls`);
    await desk.section('Relations').getByRole('link', { name: 'Town of Marlow Falls' }).click();
    await expect(desk.section('Relations')).toContainText(`${inverse}${owner}`);
});

test('what is offered comes late, and is offered all the same', async ({ desk, page }) => {
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((resolve) => {
        letGo = resolve;
    });
    await page.route('**/api/choices', async (route) => {
        await held;
        await route.continue();
    });
    await desk.signIn();
    await desk.addCompany(unique('Late Offers'));
    await page.keyboard.press('Escape');
    await desk.edit('When we pay them');
    await page.keyboard.type('tenth');
    await expect(page.getByRole('option')).toHaveCount(0);
    letGo();
    await page.getByRole('option', { name: 'Tenth of next month: 10th prox' }).click();
    await expect(desk.section('When we pay them')).toContainText('is due Thu 10 Dec 2026');
    await expect(page.getByRole('option')).toHaveCount(0);
});

test('of two who have a duty, one is the first to be asked', async ({ desk, page }) => {
    const firm = unique('Two Clerks');
    await desk.search(firm);
    await page.getByRole('option', { name: `Add a company named “${firm}”` }).click();
    for (const [n, name] of ['Olga Clerk', 'Peter Clerk'].entries()) {
        await page.getByRole('button', { name: 'Add a person there' }).click();
        await page.getByLabel('Person there').nth(n).fill(name);
    }
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { level: 1, name: firm })).toBeVisible();
    await page.keyboard.press('Escape');
    await desk.edit('People');
    for (const name of ['Olga Clerk', 'Peter Clerk']) {
        await page.getByRole('group', { name }).getByText('billing', { exact: true }).first().click();
    }
    await page.getByRole('group', { name: 'Peter Clerk' }).getByText('billing', { exact: true }).last().click();
    await desk.expectAccessible();
    await desk.save('People saved.');
    await expect(desk.section('People')).toContainText('first for billing');
    await expect(desk.section('People').locator('div').filter({ hasText: /^Peter Clerk/ }).first()).toContainText('first for billing');
});

test('the office gets its address, and reads dates its own way', async ({ page }) => {
    await page.goto('/office');
    const form = page.getByRole('form', { name: 'Name and country' });
    await expect(form.getByLabel('Street, building')).toHaveValue('3 Escapement Lane');
    await form.getByLabel('ZIP code').fill('K1A 0B1');
    await form.getByRole('button', { name: 'Save the office' }).click();
    await expect(form).toContainText('is not a valid ZIP code for the United States');
    await form.getByLabel('ZIP code').fill('05302');
    await form.getByRole('button', { name: 'Save the office' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Office saved.' })).toBeVisible();
    await form.getByLabel('ZIP code').fill('05301');
    await form.getByRole('button', { name: 'Save the office' }).click();
    await expect(form.getByRole('button', { name: 'Save the office' })).toBeDisabled();
});

test('an address is copied for an envelope and a label', async ({ desk, page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await page.goto('/records/9');
    const addresses = desk.section('Addresses');
    for (const [item, text] of [
        ['Copy the address', 'Old Bell Yard\n5 Foundry Row\nLondon\nE1 1AA\nUnited Kingdom'],
        ['Copy for an envelope', 'Tarn & Whitlow Bellfounders\nOld Bell Yard\n5 Foundry Row\nLONDON\nE1 1AA\nUNITED KINGDOM'],
        ['Copy for a label', 'Tarn & Whitlow Bellfounders\nOld Bell Yard\n5 Foundry Row\nLONDON\nE1 1AA\nUNITED KINGDOM'],
    ] as const) {
        await addresses.getByRole('button', { name: 'This address' }).click();
        await page.getByRole('menuitem', { name: item }).click();
        await expect(page.getByRole('status').filter({ hasText: 'Copied.' })).toBeVisible();
        expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(text);
    }
});
