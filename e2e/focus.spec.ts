import type { Locator, Page } from '@playwright/test';
import { expect, test, unique } from './desk';

test.describe.configure({ timeout: 240_000 });

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

/** The keyboard is somewhere in there, or at the place itself; never on the page's body, where the next key does nothing. */
async function standsIn(place: Locator, after: string): Promise<void> {
    await expect
        .poll(
            () =>
                place.evaluate(
                    (element) =>
                        element !== document.body && element.contains(document.activeElement) && document.activeElement !== document.body,
                ),
            { message: `after ${after}` },
        )
        .toBe(true);
}

/** Wherever it is: on something, and not lost. */
async function isHeld(page: Page, after: string): Promise<void> {
    await expect
        .poll(() => page.evaluate(() => (document.activeElement === document.body ? 'the page’s body' : 'held')), {
            message: `after ${after}`,
        })
        .toBe('held');
}

/** As with the keyboard. */
async function press(button: Locator): Promise<void> {
    await button.focus();
    await button.press('Enter');
}

const field = (place: Locator) => place.locator('input:focus, textarea:focus');

test('every section of a record: Edit, Esc, Ctrl+Enter, adding a row and removing it', async ({ desk, page }) => {
    await desk.open('penhallow observatory');
    const sections: [string, string[], RegExp?][] = [
        [
            'Reach',
            ['Add a phone', 'Add an email', 'Add a website', 'Add a handle', 'Add a profile page'],
            /^Remove (phone|email|website|messaging handle|profile page)/,
        ],
        ['Addresses', ['Add an address'], /^Remove this address/],
        ['People', []],
        ['Relations', []],
        ['Classification', ['Add a number'], /^Remove/],
        ['When we bill them', []],
        ['When we pay them', []],
        ['Tax numbers', ['Add a tax number'], /^Remove the/],
        ['Details', []],
    ];
    for (const [title, adds, removes] of sections) {
        const section = desk.section(title);
        const edit = page.getByRole('button', { name: `Edit ${title}`, exact: true });
        await press(edit);
        await standsIn(section, `Edit ${title}`);
        await page.keyboard.press('Escape');
        await expect(edit, `after Esc in ${title}`).toBeFocused();
        await press(edit);
        for (const add of adds) {
            const fields = await section.locator('input, textarea').count();
            await press(section.getByRole('button', { name: add }));
            await expect.poll(() => section.locator('input, textarea').count(), { message: `after ${add}` }).toBeGreaterThan(fields);
            await expect(field(section), `after ${add}`).toBeAttached();
            if (removes !== undefined) {
                await press(section.getByRole('button', { name: removes }).last());
                await standsIn(section, `removing what ${add} added`);
            }
        }
        await page.keyboard.press('Control+Enter');
        await expect(page.getByRole('status').filter({ hasText: ' saved.' })).toBeVisible();
        await expect(edit, `after saving ${title}`).toBeFocused();
    }
    const name = page.getByRole('button', { name: 'Edit name and roles' });
    await press(name);
    await standsIn(desk.section('Name and roles'), 'Edit name');
    await page.keyboard.press('Escape');
    await expect(name).toBeFocused();
});

test('choosing, linking and leaving in the forms of a record', async ({ desk, page }) => {
    await desk.open('penhallow observatory');
    const relations = desk.section('Relations');
    await press(page.getByRole('button', { name: 'Edit Relations' }));
    await page.getByRole('combobox', { name: 'A relation to whom?' }).fill('town of marlow');
    await expect(page.getByRole('option', { name: /Town of Marlow Falls/ }).first()).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(relations.getByRole('group', { name: 'Town of Marlow Falls' })).toBeVisible();
    await expect(relations.getByRole('group', { name: 'Town of Marlow Falls' }).getByRole('button', { name: /is their/ })).toBeFocused();
    await press(relations.getByRole('button', { name: 'Remove the relation to Town of Marlow Falls' }));
    await standsIn(relations, 'removing a relation');
    await page.keyboard.press('Escape');
    await isHeld(page, 'leaving Relations');

    const addresses = desk.section('Addresses');
    await press(page.getByRole('button', { name: 'Edit Addresses' }));
    await press(addresses.getByRole('button', { name: 'Use another record’s address' }));
    await expect(page.getByRole('combobox', { name: 'Whose address?' })).toBeFocused();
    await page.keyboard.type('edith larkin');
    await expect(page.getByRole('option', { name: /Edith Larkin/ }).first()).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(addresses).toContainText('same as Mrs. Edith Larkin, by link');
    await standsIn(addresses, 'following a link');
    await press(addresses.getByRole('button', { name: 'Use an address of its own' }));
    await standsIn(addresses, 'using one of its own');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Leave without saving' }).press('Enter');
    await isHeld(page, 'leaving Addresses');

    await press(addresses.getByRole('button', { name: 'This address' }).first());
    await page.getByRole('menuitem', { name: 'They move' }).press('Enter');
    await standsIn(page.getByRole('dialog'), 'They move');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await isHeld(page, 'Esc in They move');

    const people = desk.section('People');
    await press(people.getByRole('button', { name: 'Add a person here' }));
    await expect(page.getByRole('combobox', { name: 'Who works here?' })).toBeFocused();
    await page.keyboard.press('Escape');
    await isHeld(page, 'Esc while somebody is looked for');
    await press(people.getByRole('button', { name: /^Replace / }).first());
    await standsIn(page.getByRole('dialog'), 'Replace');
    await page.keyboard.press('Escape');
    await isHeld(page, 'Esc in Replace');

    for (const [menu, title] of [
        ['Add a caution', 'caution'],
        ['Archive this company', 'Archive'],
        ['Delete this company', 'Delete'],
    ] as const) {
        await press(page.getByRole('button', { name: 'More', exact: true }));
        await page.getByRole('menuitem', { name: menu }).press('Enter');
        await standsIn(page.getByRole('dialog').or(page.getByRole('alertdialog')), title);
        await page.keyboard.press('Escape');
        await isHeld(page, `Esc in ${title}`);
    }
});

test('entries, reminders, cautions, files, bank details and cards', async ({ desk, page }) => {
    await desk.addCompany(unique('Held & Co'));
    await page.keyboard.press('Escape');
    await isHeld(page, 'leaving Reach of a new record');
    const log = desk.section('Log');
    await press(log.getByRole('button', { name: 'Write an entry' }));
    await expect(page.getByLabel('What happened')).toBeFocused();
    await page.keyboard.press('Escape');
    await standsIn(log, 'Esc in an entry');
    await press(log.getByRole('button', { name: 'Write an entry' }));
    await page.keyboard.type('They ring back.');
    await page.keyboard.press('Control+Enter');
    await expect(log).toContainText('They ring back.');
    await standsIn(log, 'writing an entry');
    await press(log.getByRole('button', { name: 'Pin it' }));
    await expect(log.getByRole('button', { name: 'Unpin it' })).toBeVisible();
    await isHeld(page, 'pinning');
    await press(log.getByRole('button', { name: 'Remove' }));
    await expect(page.getByRole('status').filter({ hasText: /removed/i })).toBeVisible();
    await isHeld(page, 'removing an entry');

    const reminders = desk.section('Reminders');
    await press(reminders.getByRole('button', { name: 'Set a reminder' }));
    await expect(page.getByLabel('What to do')).toBeFocused();
    await page.keyboard.press('Escape');
    await standsIn(reminders, 'Esc in a reminder');
    await press(reminders.getByRole('button', { name: 'Set a reminder' }));
    await page.keyboard.type('Ring again');
    await page.keyboard.press('Control+Enter');
    await expect(reminders).toContainText('Ring again');
    await standsIn(reminders, 'setting a reminder');
    await press(reminders.getByRole('button', { name: /^Done/ }).first());
    await expect(reminders).not.toContainText('Ring again');
    await isHeld(page, 'doing a reminder');

    await press(page.getByRole('button', { name: 'More', exact: true }));
    await page.getByRole('menuitem', { name: 'Add a caution' }).press('Enter');
    await page.getByRole('dialog').getByRole('textbox').first().fill('Cash only');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('button', { name: 'Lift it' })).toBeVisible();
    await isHeld(page, 'setting a caution');
    await press(page.getByRole('button', { name: 'Lift it' }));
    await expect(page.getByRole('button', { name: 'Lift it' })).toHaveCount(0);
    await isHeld(page, 'lifting a caution');

    const files = desk.section('Files');
    await files
        .locator('input[type=file]')
        .setInputFiles([{ name: 'small.txt', mimeType: 'text/plain', buffer: Buffer.from('Ring twice.') }]);
    await press(files.getByRole('button', { name: 'Change small.txt' }));
    await expect(page.getByRole('dialog').getByLabel('Name')).toBeFocused();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await standsIn(files, 'saving a file');
    await press(files.getByRole('button', { name: 'Change small.txt' }));
    await page.getByRole('button', { name: 'Remove the file' }).press('Enter');
    await expect(files.getByRole('link', { name: 'small.txt' })).toHaveCount(0);
    await isHeld(page, 'removing a file');

    const bank = desk.section('Bank and cards');
    for (const add of ['Add bank details', 'Add a card']) {
        await press(bank.getByRole('button', { name: add }));
        await standsIn(bank, add);
        await page.keyboard.press('Escape');
        await standsIn(bank, `Esc in ${add}`);
    }
    await press(bank.getByRole('button', { name: 'Add a card' }));
    await bank.getByLabel('Card number').fill('4111 1111 1111 1111');
    await bank.getByLabel('Until').fill('04/28');
    await page.keyboard.press('Control+Enter');
    await expect(bank).toContainText('1111');
    await standsIn(bank, 'saving a card');
    await press(bank.getByRole('button', { name: /^Remove the card/ }));
    await expect(bank.getByRole('button', { name: /^Remove the card/ })).toHaveCount(0);
    await isHeld(page, 'forgetting a card');
});

test('a document from its first line to its end, and a payment', async ({ desk, page }) => {
    await desk.open('penhallow observatory');
    await press(page.getByRole('link', { name: 'New invoice' }));
    await expect(page.getByRole('group', { name: 'Line 1' }).getByLabel('For', { exact: true })).toBeFocused();
    await page.keyboard.type('A bell');
    await page.getByRole('group', { name: 'Line 1' }).getByLabel('Price').fill('100');
    await press(page.getByRole('button', { name: 'Add a line' }));
    await expect(page.getByRole('group', { name: 'Line 2' }).getByLabel('For', { exact: true })).toBeFocused();
    await press(page.getByRole('button', { name: 'Remove line 2' }));
    await standsIn(page.getByRole('main'), 'removing a line');
    await press(page.getByRole('button', { name: 'Save as a draft' }));
    await expect(page.getByRole('heading', { level: 1, name: 'Invoice (draft)' })).toBeVisible();
    await isHeld(page, 'saving a draft');

    await press(page.getByRole('button', { name: 'Change it' }));
    await standsIn(page.getByRole('form', { name: 'Change the draft' }), 'Change it');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('form', { name: 'Change the draft' })).toHaveCount(0);
    await isHeld(page, 'Esc in the draft');
    await press(page.getByRole('button', { name: 'Issue it' }));
    const anyway = page.getByRole('button', { name: 'Issue it all the same' });
    const issued = page.getByRole('heading', { level: 1, name: /^Invoice I2026-/ });
    await expect(anyway.or(issued)).toBeVisible();
    if (await anyway.isVisible()) {
        await anyway.press('Enter');
    }
    await expect(issued).toBeVisible();
    await isHeld(page, 'issuing');

    for (const item of ['Void it', 'Write it off']) {
        await press(page.getByRole('button', { name: 'More' }));
        await page.getByRole('menuitem', { name: item }).press('Enter');
        await standsIn(page.getByRole('dialog'), item);
        await page.keyboard.press('Escape');
        await expect(page.getByRole('dialog')).toHaveCount(0);
        await isHeld(page, `Esc in ${item}`);
    }
    await press(page.getByRole('button', { name: 'Send it' }).first());
    await standsIn(page.getByRole('dialog'), 'Send it');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await isHeld(page, 'sending');

    await page.goto('/records/1/payment/client');
    await expect(page.getByLabel('Amount', { exact: true })).toBeFocused();
    await press(page.getByRole('button', { name: /^All of Invoice/ }).first());
    await isHeld(page, 'All of it');
    await page.getByLabel('Reference').focus();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('status').filter({ hasText: 'Payment recorded.' })).toBeVisible();
    await isHeld(page, 'recording a payment');
});

test('the forms of the office and of one’s account', async ({ page }) => {
    await page.goto('/office');
    const openers: [string, string][] = [
        ['People who sign in', 'Add a colleague'],
        ['Payment terms', 'Add payment terms'],
        ['Tax rates', 'Add a tax rate'],
        ['Chart of accounts', 'Add an account'],
        ['Cost centers', 'Add a cost center'],
        ['Currencies', 'Add a rate'],
        ['Our own words', 'Add to this list'],
        ['Detail sheets', 'Add a detail sheet'],
    ];
    for (const [region, opener] of openers) {
        const button = page.getByRole('button', { name: opener, exact: true });
        await press(button);
        await expect(page.locator('form input:focus, form textarea:focus'), `after ${opener}`).toBeAttached();
        await page.keyboard.press('Escape');
        await expect(button, `after Esc in ${region}`).toBeVisible();
        await isHeld(page, `Esc in ${opener}`);
    }
    for (const change of [
        /^Change the terms/,
        /^Change the rate/,
        /^Change the account/,
        /^Change Jonas Pike/,
        /^Change the sheet Works and keys/,
    ]) {
        await press(page.getByRole('button', { name: change }).first());
        await expect(page.locator('form input:focus, form textarea:focus'), `after ${change}`).toBeAttached();
        await page.keyboard.press('Control+Enter');
        await expect(page.getByRole('status').filter({ hasText: /saved|changed/i })).toBeVisible();
        await isHeld(page, `saving after ${change}`);
    }
    await press(page.getByRole('button', { name: 'Add a rate', exact: true }));
    await page.getByLabel('Currency').last().fill('SEK');
    await page.getByLabel(/^Worth in/).fill('0.09');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('button', { name: /Remove the rate of SEK/ })).toBeVisible();
    await isHeld(page, 'adding a rate');
    await press(page.getByRole('button', { name: /Remove the rate of SEK/ }));
    await expect(page.getByRole('button', { name: /Remove the rate of SEK/ })).toHaveCount(0);
    await isHeld(page, 'removing a rate');

    await page.goto('/account');
    await page.getByRole('form', { name: 'New token' }).getByRole('textbox').first().fill('nightly list');
    await page.getByRole('form', { name: 'New token' }).locator('input[type=password]').fill('pendulum-1742');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('button', { name: 'Revoke nightly list' })).toBeVisible();
    await isHeld(page, 'making a token');
    await press(page.getByRole('button', { name: 'Revoke nightly list' }));
    await expect(page.getByRole('button', { name: 'Revoke nightly list' })).toHaveCount(0);
    await isHeld(page, 'revoking a token');
});
