import { expect, test, unique } from './desk';
import type { Page } from '@playwright/test';

const main = (page: Page) => page.getByRole('main');

test('a client is billed from their defaults, pays in part, and the standing follows', async ({ desk, page }) => {
    const name = unique('Marlow Clockworks');
    await desk.signIn();
    await desk.addCompany(name);
    await page.keyboard.press('Escape');
    const record = page.url();
    // Terms of their own, a limit, and back to what is inherited.
    const terms = await desk.edit('When we bill them');
    await terms.getByRole('combobox', { name: /Payment terms/ }).fill('2/10 net 30');
    await page.keyboard.press('Tab');
    await terms.getByRole('button', { name: 'Set its own: Credit limit' }).click();
    await terms.getByRole('textbox', { name: 'Credit limit', exact: true }).fill('1500');
    await terms.getByRole('button', { name: 'Set its own: How invoices reach them' }).click();
    await terms.getByRole('button', { name: 'Back to inherited: How invoices reach them' }).click();
    await desk.expectAccessible();
    await desk.save('When we bill them saved.');
    await expect(terms).toContainText('USD 1,500.00');
    await expect(terms).toContainText('email as the office');

    await page.getByRole('link', { name: 'New invoice' }).click();
    await expect(page.getByRole('heading', { name: 'New invoice' })).toBeVisible();
    await expect(page.getByLabel('For', { exact: true })).toBeFocused();
    await page.keyboard.type('Regulator clock: new pendulum');
    await page.getByLabel('Price').fill('1,000');
    await expect(main(page)).toContainText('Total, USD1,060.00');
    await expect(main(page)).toContainText('Due 24 Dec 2026');
    await expect(main(page)).toContainText('440.00 left');
    await page.getByLabel('Price').fill('ten');
    await expect(main(page)).toContainText('“ten” is not a number.');
    await page.getByLabel('Price').fill('1000');
    await desk.expectAccessible();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { name: /^Invoice I2026-\d{4}$/ })).toBeVisible();
    await expect(main(page)).toContainText('issued');
    await desk.expectAccessible();
    const number = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';

    // Part of the money comes, the oldest first.
    await page.getByRole('link', { name: 'Record a payment' }).click();
    await expect(page.getByLabel('Amount')).toBeFocused();
    // Also once an amount is proposed: what is typed takes its place.
    await expect(page.getByLabel('Amount')).toHaveValue('1060.00');
    await page.keyboard.type('600');
    await expect(page.getByLabel(`Used on ${number}`)).toHaveValue('600.00');
    await expect(main(page)).toContainText('0.00 stays unallocated');
    await page.getByLabel(`Used on ${number}`).fill('1060');
    await expect(main(page)).toContainText('460.00 more is used than there is');
    await page.getByRole('button', { name: 'Record the payment' }).click();
    await expect(main(page)).toContainText('only USD 600.00 is there to be used');
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Oldest first again' }).click();
    await page.getByRole('button', { name: 'Record the payment' }).click();
    await expect(page.getByRole('heading', { name: `Payment from ${name}` })).toBeVisible();
    await desk.expectAccessible();

    await page.goto(record);
    const standing = page.getByRole('region', { name: 'Receivable in USD' });
    await expect(standing).toContainText('460.00');
    await expect(page.getByRole('complementary')).toContainText('USD 1,040.00 left');
    // The figure opens the list that makes it up.
    await standing.getByRole('link', { name: '460.00' }).click();
    await expect(page.getByRole('row', { name: new RegExp(number) })).toContainText('part paid');
    await expect(main(page)).toContainText('1 document');

    // The rest is let go, for a reason, and taken back.
    await page.getByRole('link', { name: number }).click();
    await desk.more('Write it off');
    await page.getByRole('dialog').getByRole('button', { name: 'Write it off' }).click();
    await expect(page.getByText('Say why.')).toBeVisible();
    await page.getByLabel('Why').fill('agreed on the phone');
    await page.keyboard.press('Enter');
    await expect(main(page)).toContainText('settled');
    await page.getByRole('button', { name: /Take back write-off/ }).click();
    await expect(main(page)).toContainText('part paid');
});

test('over the limit somebody is asked, and a quote goes its way to the invoice', async ({ desk, page }) => {
    await desk.signIn('tobias');
    await desk.open('harborlight');
    await page.getByRole('link', { name: 'New invoice' }).click();
    await expect(main(page)).toContainText('over the limit');
    await page.getByLabel('For', { exact: true }).fill('Second survey');
    await page.getByLabel('Price').fill('10');
    await page.getByRole('button', { name: 'Save and issue this invoice' }).click();
    const dialog = page.getByRole('alertdialog', { name: 'Issue it all the same?' });
    await expect(dialog).toContainText('Limit USD 6,000.00');
    await desk.expectAccessible();
    await dialog.getByRole('button', { name: 'Leave it as a draft' }).click();
    await expect(page.getByRole('heading', { name: 'Invoice (draft)' })).toBeVisible();
    await desk.more('Discard the draft');
    await page.getByLabel('Why').fill('not now');
    await page.keyboard.press('Enter');
    await expect(main(page)).toContainText('void');

    await page.goto('/ledger?kind=order');
    await page.getByRole('link', { name: /^Order O2026/ }).click();
    await expect(page.getByRole('complementary')).toContainText('from Quote Q2026-0001');
    await page.getByRole('button', { name: 'Make the invoice' }).click();
    await expect(page.getByRole('heading', { name: 'Invoice (draft)' })).toBeVisible();
    await expect(main(page)).toContainText('new escapement, as surveyed');
    await page.getByRole('button', { name: 'Change it' }).click();
    await page.getByLabel('Note on it').fill('Thank you for your patience.');
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Save the draft' }).click();
    await expect(main(page)).toContainText('Thank you for your patience.');
    await page.getByRole('button', { name: 'Issue it' }).click();
    await expect(page.getByRole('heading', { name: /^Invoice I2026-/ })).toBeVisible();
    await page.getByRole('button', { name: 'Send it' }).click();
    await page.getByLabel('To', { exact: true }).fill('clerk@marlowfalls.example');
    await page.getByRole('dialog').getByRole('button', { name: 'Send it' }).click();
    await expect(page.getByRole('complementary')).toContainText('sent to clerk@marlowfalls.example');
});

test('new bank details wait for a second person', async ({ desk, page, browser }) => {
    await desk.signIn('tobias');
    await desk.open('hollow pine');
    const record = page.url();
    const bank = desk.section('Bank and cards');
    await bank.getByRole('button', { name: 'Add bank details' }).click();
    await page.getByLabel('Routing number').fill('021000022');
    await page.getByLabel('Account number', { exact: true }).fill('12345678');
    await page.keyboard.press('Enter');
    await expect(bank).toContainText('its check digits do not match');
    await desk.expectAccessible();
    await page.getByLabel('Routing number').fill('123456780');
    await page.keyboard.press('Enter');
    await expect(bank).toContainText('on hold');
    await expect(bank.getByRole('button', { name: 'Confirm' })).toHaveCount(0);
    await page.goto(`${record}/payment/vendor`);
    await page.getByLabel('Amount').fill('5');
    await desk.choose(/How/, 'transfer');
    await page.getByRole('button', { name: 'Record the payment' }).click();
    await expect(main(page)).toContainText('on hold until a second person confirms them');

    const context = await browser.newContext();
    const other = await context.newPage();
    await other.goto('/sign-in');
    await other.getByLabel('Email').fill('cordelia@orreryvane.example');
    await other.getByLabel('Password').fill('pendulum-1742');
    await other.keyboard.press('Enter');
    await expect(other.getByRole('heading', { name: 'Today' })).toBeVisible();
    await other.goto(record);
    await other.getByRole('button', { name: 'Confirm', exact: true }).click();
    await other.getByRole('dialog').getByRole('button', { name: /How/ }).click();
    await other.getByRole('option', { name: 'called a number known before' }).click();
    await other.getByRole('button', { name: 'Confirm them' }).click();
    await expect(other.getByRole('region', { name: 'Bank and cards' })).toContainText(
        'confirmed on 24 Nov 2026 by Cordelia Vane: called a number known before',
    );
    await context.close();

    await page.getByRole('button', { name: 'Record the payment' }).click();
    await expect(page.getByRole('heading', { name: /Payment to Hollow Pine/ })).toBeVisible();
});

test('a change says what it touches before it is saved', async ({ desk, page }) => {
    const name = unique('Quoin Chapel');
    await desk.signIn();
    await desk.addCompany(name);
    await page.keyboard.press('Escape');
    const record = page.url();
    for (const price of ['10', '20']) {
        await page.goto(`${record}`.replace(/[?#].*/, '').concat('/write/invoice'));
        await page.getByLabel('For', { exact: true }).fill('Work');
        await page.getByLabel('Price').fill(price);
        // The sums have come, and the buttons below them no longer move.
        await expect(page.getByRole('definition').filter({ hasText: `${price}.00` })).toBeVisible();
        await page.getByRole('button', { name: price === '10' ? 'Save and issue this invoice' : 'Save as a draft' }).click();
        await expect(page.getByRole('heading', { name: price === '10' ? /Invoice I2026/ : 'Invoice (draft)' })).toBeVisible();
    }
    await page.goto(record);
    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByLabel('Name', { exact: true }).fill(`${name} Trust`);
    await page.keyboard.press('Control+Enter');
    const dialog = page.getByRole('alertdialog', { name: 'What this touches' });
    await expect(dialog).toContainText('1 open invoice and 1 draft show the old name.');
    await desk.expectAccessible();
    await dialog.getByText(/^Invoice I2026/).click();
    await dialog.getByRole('button', { name: 'Save, and change 2 documents' }).click();
    await expect(page.getByRole('heading', { level: 1, name: `${name} Trust` })).toBeVisible();
    await desk.section('Documents').getByRole('link', { name: /^Invoice I2026/ }).click();
    await expect(page.getByRole('complementary')).toContainText('reissued with the new name');
});

test('the ledger, the tax report, a statement and the settings are read', async ({ desk, page }) => {
    await desk.signIn();
    await page.keyboard.press('g');
    await page.keyboard.press('b');
    await expect(page.getByRole('heading', { level: 1, name: 'Ledger' })).toBeVisible();
    await desk.choose(/State/, 'overdue', page.getByRole('form', { name: 'What is shown' }));
    await expect(page.getByRole('gridcell', { name: /days late/ }).first()).toBeVisible();
    await desk.expectAccessible();
    await page.getByLabel('Number, reference or name').fill('harborlight');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/q=harborlight/);
    await page.getByRole('link', { name: 'Payments' }).click();
    await expect(page.getByRole('columnheader', { name: 'Not used yet' })).toBeVisible();
    await desk.expectAccessible();
    await page.goto('/ledger/tax-report');
    await expect(page.getByRole('row', { name: /Brass Lantern Foundry/ })).toContainText('EIN');
    await desk.expectAccessible();
    await page.getByRole('button', { name: '2025' }).click();
    await expect(main(page)).toContainText('reported from USD 600.00 on');

    await desk.open('harborlight');
    await page.getByRole('link', { name: /Statement/ }).click();
    await expect(page.getByRole('heading', { name: 'Statement of account' })).toBeVisible();
    await page.getByLabel('From').fill('1 oct');
    await expect(main(page)).toContainText('1 Oct 2026 to 24 Nov 2026');
    await desk.expectAccessible();

    await page.goto('/directory');
    await page.getByRole('button', { name: 'Receivable' }).click();
    await expect(page.getByRole('row').nth(1)).toContainText('Harborlight Mutual');
    await page.getByRole('button', { name: 'Receivable' }).click();
    // The smallest first, and whoever owes nothing last, whichever way round.
    await expect(page.getByRole('columnheader', { name: 'Receivable' })).toHaveAttribute('aria-sort', 'ascending');
    await expect(page.getByRole('row').nth(1)).toContainText('Town of Marlow Falls');
    await desk.expectAccessible();
});

test('tax rates, accounts, cost centers and currencies are kept', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/office');
    const rates = page.getByRole('region', { name: 'Tax rates' });
    const rate = unique('County tax');
    await rates.getByRole('button', { name: 'Add a tax rate' }).click();
    await page.getByLabel('Name', { exact: true }).fill(rate);
    await page.getByLabel('Percent', { exact: true }).fill('1.25');
    await rates.getByRole('button', { name: 'Save this rate' }).click();
    await expect(rates).toContainText(`${rate}, 1.25%`);

    const accounts = page.getByRole('region', { name: 'Chart of accounts' });
    await accounts
        .locator('input[type=file]')
        .setInputFiles({
            name: 'accounts.csv',
            mimeType: 'text/csv',
            buffer: Buffer.from('code,name,kind\n4900,Talks,income\n4901,,income'),
        });
    await expect(accounts).toContainText('Line 3: Type a name for it.');
    await accounts
        .locator('input[type=file]')
        .setInputFiles({ name: 'accounts.csv', mimeType: 'text/csv', buffer: Buffer.from('code,name,kind\n4900,Talks,income') });
    await expect(accounts).toContainText('4900 Talks');

    const centres = page.getByRole('region', { name: 'Cost centers' });
    const centre = unique('Barometers');
    await centres.getByRole('button', { name: 'Add a cost center' }).click();
    await centres.getByLabel('Group').fill('Department');
    await centres.getByLabel('Name').fill(centre);
    await page.keyboard.press('Enter');
    await expect(centres).toContainText(`Department: ${centre}`);

    const currencies = page.getByRole('region', { name: 'Currencies' });
    await currencies.getByRole('button', { name: 'Add a rate' }).click();
    await currencies.getByLabel('Currency').fill('USD');
    await currencies.getByLabel('Worth in USD').fill('1');
    await page.keyboard.press('Enter');
    await expect(currencies).toContainText('That is the office’s own currency.');
    await currencies.getByLabel('Currency').fill('SEK');
    await currencies.getByLabel('Worth in USD').fill('0.0951');
    await page.keyboard.press('Enter');
    await expect(currencies).toContainText('1 SEK = 0.0951 USD');
    await page.evaluate(() => window.scrollTo(0, 0));
    await desk.expectAccessible();
});

test('a file of documents is checked, left, and imported', async ({ desk, page }) => {
    const tag = unique('R').replaceAll(' ', '');
    const rows = Array.from(
        { length: 400 },
        (_, at) => `invoice,${tag}-${at},Parish of St. Osyth,2026-11-0${(at % 9) + 1},${at === 7 ? 'ten' : '1.00'},0,Bell rope`,
    );
    await desk.signIn('tobias');
    await page.goto('/ledger');
    await page.getByRole('link', { name: 'Import a file' }).click();
    await page
        .locator('input[type=file]')
        .setInputFiles({
            name: 'ropes.csv',
            mimeType: 'text/csv',
            buffer: Buffer.from(['kind,number,party,date,amount,tax,text', ...rows].join('\n')),
        });
    await expect(page.getByRole('button', { name: 'Import 399 documents' })).toBeVisible({ timeout: 20_000 });
    await expect(main(page)).toContainText('“ten” is not a number.');
    await desk.expectAccessible();
    // The page comes at the moment when everything is taken and what they owe is being counted: it goes on looking.
    let isFirst = true;
    await page.route('**/api/imports/*', async (route) => {
        const answer = await route.fetch();
        const file = (await answer.json()) as { state: string; isUnderWay: boolean };
        const isShown = isFirst && route.request().method() === 'GET';
        isFirst = isFirst && !isShown;
        await route.fulfill({ response: answer, json: isShown ? { ...file, state: 'counting', isUnderWay: true } : file });
    });
    await page.getByRole('button', { name: 'Import 399 documents' }).click();
    await page.goto('/imports');
    await page.getByRole('link', { name: 'ropes.csv' }).click();
    await expect(page.getByRole('radiogroup', { name: 'Which documents' }).getByRole('radio').first()).toHaveText('added 399', { timeout: 20_000 });
    await page.goto(`/ledger?q=${tag}`);
    await expect(main(page)).toContainText('399 documents');
});

test('a long statement is made behind the screen: its progress, leaving meanwhile, and saving it', async ({ desk, page, office }) => {
    await desk.signIn();
    office.fill(`create temp table one as select * from documents where party_id = 1 and kind = 'invoice' and number is not null and currency = 'USD' limit 1;
        create temp table many as with recursive n(i) as (select 1 union all select i + 1 from n where i < 9000) select one.* from n, one;
        update many set id = 100000 + rowid, number = 'L' || rowid, open_minor = 0;
        insert into documents select * from many;`);
    await page.goto('/records/1/statement?side=client&currency=USD');
    const pdf = page.getByRole('group', { name: 'PDF' });
    await pdf.getByRole('button', { name: 'Make the PDF' }).click();
    await expect(pdf).toContainText(/of 9,0\d\d lines|Save the PDF/);
    await page.goto('/');
    await page.goto('/records/1/statement?side=client&currency=USD');
    await expect(pdf.getByRole('link', { name: 'Save the PDF' })).toBeVisible({ timeout: 60_000 });
    const address = await pdf.getByRole('link', { name: 'Save the PDF' }).getAttribute('href');
    expect(await page.evaluate(async (path) => (await (await fetch(path)).text()).slice(0, 4), address ?? '')).toBe('%PDF');
    await pdf.getByRole('button', { name: 'Discard it' }).click();
    await expect(pdf.getByRole('button', { name: 'Make the PDF' })).toBeVisible();
});
