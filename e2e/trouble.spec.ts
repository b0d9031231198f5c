import { expect, PASSWORD, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('an empty and an overlong name are told at the field, and nothing typed is lost', async ({ desk, page }) => {
    await page.goto('/add/company');
    await page.getByLabel('Legal name').fill('Nameless Ltd');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Type the company’s name.')).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
    await page.keyboard.type('x'.repeat(300));
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('That is 300 characters long; the limit is 200.')).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('x'.repeat(300));
    await expect(page.getByLabel('Legal name')).toHaveValue('Nameless Ltd');
    await desk.expectAccessible();
});

test('what cannot be is told at its place: phone, email, postcode, date, terms', async ({ desk, page }) => {
    await desk.addCompany(unique('Trouble & Co'));
    await page.keyboard.type('letters');
    await page.getByRole('textbox', { name: 'Email' }).fill('a@b@c.example');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('“letters” is not a phone number.')).toBeVisible();
    await expect(page.getByText('“a@b@c.example” has more than one @.')).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Phone' })).toBeFocused();
    await expect(page.getByRole('textbox', { name: 'Email' })).toHaveValue('a@b@c.example');
    await desk.expectAccessible();
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0142');
    await page.getByRole('textbox', { name: 'Email' }).fill('a@c.example');
    await desk.save('Reach saved.');

    await desk.edit('Addresses');
    await page.getByLabel('Street, building').fill('1 Street');
    await page.getByLabel('ZIP code').fill('SW1A 1AA');
    await page.getByLabel('Since').fill('31 February');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('It looks like one of the United Kingdom: change the country, or the ZIP code.')).toBeVisible();
    await expect(page.getByText('There is no 31 February: February 2026 has 28 days.')).toBeVisible();
    await page.getByLabel('Since').fill('');
    await page.getByRole('combobox', { name: 'Country' }).fill('united k');
    await page.getByRole('option', { name: 'United Kingdom' }).click();
    await expect(page.getByLabel('Postcode')).toHaveValue('SW1A 1AA');
    await page.getByLabel('Post town').fill('London');
    await desk.save('Addresses saved.');
    await expect(desk.section('Addresses')).toContainText('United Kingdom');

    await desk.edit('When we bill them');
    for (const [terms, message] of [
        ['2/40 net 30', 'The discount (2/40) would end after the payment is due (net 30).'],
        ['net -5', 'Payment cannot be due 5 days before the document.'],
        ['tomorrow', '“tomorrow” cannot be read as payment terms.'],
    ] as const) {
        await page.getByRole('combobox', { name: /Payment terms/ }).fill(terms);
        await page.keyboard.press('Control+Enter');
        await expect(page.getByText(message).first()).toBeVisible();
        await expect(page.getByRole('combobox', { name: /Payment terms/ })).toHaveValue(terms);
    }
});

test('two people save one section: the second sees both values and chooses', async ({ desk, page, browser }) => {
    await desk.addCompany(unique('Twice Told'));
    await page.keyboard.type('802-555-0101');
    await desk.save('Reach saved.');

    const colleague = await browser.newContext();
    const other = await colleague.newPage();
    await other.goto('/sign-in');
    await other.getByLabel('Email').fill('tobias@orreryvane.example');
    await other.getByLabel('Password').fill(PASSWORD);
    await other.getByRole('button', { name: 'Sign in' }).click();
    await expect(other.getByRole('heading', { name: 'Today' })).toBeVisible();
    await other.goto(page.url().replace(/\?.*/, ''));
    await other.getByRole('button', { name: 'Edit Reach' }).click();

    await desk.edit('Reach');
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0102');
    await desk.save('Reach saved.');

    await other.getByRole('textbox', { name: 'Phone' }).fill('802-555-0103');
    await other.keyboard.press('Control+Enter');
    const row = other.getByRole('row', { name: /Phone/ });
    await expect(row).toContainText('(802) 555-0102');
    await expect(row).toContainText('(802) 555-0103');
    await expect(other.getByText('Maud Ferris saved this')).toBeVisible();
    await other.getByRole('button', { name: 'Save mine instead' }).click();
    await expect(other.getByRole('status').filter({ hasText: 'Reach saved.' })).toBeVisible();
    await expect(other.getByRole('region', { name: 'Reach' })).toContainText('(802) 555-0103');

    // And the other way round: the first, who has not seen that, keeps the colleague's.
    await desk.edit('Reach');
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0104');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Tobias Reed saved this')).toBeVisible();
    await page.getByRole('button', { name: 'Keep theirs' }).click();
    await expect(page.getByRole('button', { name: 'Keep theirs' })).toBeHidden();
    await expect(desk.section('Reach')).toContainText('(802) 555-0103');
    await colleague.close();
});

test('while the server is down the text stays, and Retry saves it', async ({ desk, page }) => {
    await desk.addCompany(unique('Brownout'));
    await page.keyboard.type('802-555-0105');
    await page.context().setOffline(true);
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Not saved: the server cannot be reached')).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Phone' })).toHaveValue('802-555-0105');
    await page.context().setOffline(false);
    await page.getByRole('button', { name: 'Retry' }).click();
    await expect(desk.section('Reach')).toContainText('(802) 555-0105');
});

test('a session that expired while typing: sign in on the spot, and it is saved', async ({ desk, page }) => {
    await desk.addCompany(unique('Long Lunch'));
    const known = page.waitForResponse(/\/api\/known\/phones/);
    await page.keyboard.type('802-555-0106');
    await known;
    await desk.sessionEnds();
    await page.keyboard.press('Control+Enter');
    const again = page.getByRole('dialog', { name: 'Sign in again' });
    await expect(again).toBeVisible();
    await again.getByLabel('Email').fill('maud@orreryvane.example');
    await again.getByLabel('Password').fill('wrong');
    await page.keyboard.press('Enter');
    await expect(again).toContainText('The email and the password do not belong together.');
    await desk.expectAccessible();
    await again.getByLabel('Password').fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(desk.section('Reach')).toContainText('(802) 555-0106');
});

test('a session that expired while reading: sign in on the spot, and read on', async ({ desk, page }) => {
    await page.getByRole('link', { name: 'Directory' }).click();
    await expect(page.getByRole('heading', { name: 'Directory', level: 1 })).toBeVisible();
    await expect(page.getByRole('main')).toHaveAttribute('aria-busy', 'false');
    const link = page.getByRole('link', { name: 'Brass Lantern Foundry' });
    await expect(link).toBeVisible();
    await desk.sessionEnds();
    await link.click();
    const again = page.getByRole('dialog', { name: 'Sign in again' });
    await again.getByLabel('Email').fill('maud@orreryvane.example');
    await again.getByLabel('Password').fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Brass Lantern Foundry' })).toBeVisible();
    await expect(desk.section('Reach')).toContainText('orders@brasslantern.example');
    await expect(again).toBeHidden();
});

test('leaving asks when something would be lost', async ({ desk, page }) => {
    await desk.addCompany(unique('Half Typed'));
    await page.keyboard.type('802');
    await page.keyboard.press('Escape');
    const asked = page.getByRole('alertdialog', { name: 'Leave without saving?' });
    await asked.getByRole('button', { name: 'Stay here' }).click();
    await expect(page.getByRole('textbox', { name: 'Phone' })).toHaveValue('802');
    await page.getByRole('link', { name: 'Directory' }).click();
    await asked.getByRole('button', { name: 'Stay here' }).click();
    await expect(page.getByRole('textbox', { name: 'Phone' })).toHaveValue('802');
    await page.getByRole('link', { name: 'Directory' }).click();
    await asked.getByRole('button', { name: 'Leave without saving' }).click();
    await expect(page.getByRole('heading', { name: 'Directory' })).toBeVisible();
});

test('an address that leads nowhere says so', async ({ desk, page }) => {
    await page.goto('/records/99999');
    await expect(page.getByRole('heading', { name: 'No such record' })).toBeVisible();
    await desk.expectAccessible();
    await page.goto('/nowhere');
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
});
