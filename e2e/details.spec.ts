import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a firm’s own sheet with a secret is defined, filled in, shown when asked for, and retired', async ({ desk, page }) => {
    const sheet = unique('Keys');
    await page.goto('/office');
    await page.getByRole('button', { name: 'Add a detail sheet' }).click();
    const form = page.getByRole('form', { name: 'A new detail sheet' });
    await form.getByLabel('Name of the sheet').fill(sheet);
    await desk.choose(/ For$/, 'companies', form);
    await desk.choose(/Only of the type/, 'landlord', form);
    const first = form.getByRole('group').nth(0);
    await first.getByLabel('Field', { exact: true }).fill('Safe code');
    await desk.choose(/Holds/, 'secret', first);
    await form.getByRole('button', { name: 'Add a field' }).click();
    const second = form.getByRole('group').nth(1);
    await second.getByLabel('Field', { exact: true }).fill('Floors');
    await desk.choose(/Holds/, 'several choices', second);
    await form.getByRole('button', { name: 'Save the sheet' }).click();
    await expect(form.getByText('Type the choices, one per line.')).toBeVisible();
    await second.getByLabel('Choices, one per line').fill('cellar\nattic');
    await desk.expectAccessible();
    await form.getByRole('button', { name: 'Save the sheet' }).click();
    await expect(page.getByText('for companies of the type landlord')).toBeVisible();

    await desk.addCompany(unique('Letting'));
    await page.keyboard.press('Escape');
    await expect(desk.section('Details')).not.toContainText(sheet);
    await desk.edit('Classification');
    await page.getByRole('combobox', { name: 'Types' }).fill('landl');
    await page.getByRole('option', { name: 'landlord' }).click();
    await page.getByRole('combobox', { name: 'Tags' }).fill(`town house ${sheet}`);
    await page.keyboard.press('Enter');
    await desk.choose(/Grade/, '4 of 5', desk.section('Classification'));
    await desk.expectAccessible();
    await desk.save('Classification saved.');
    await expect(desk.section('Classification')).toContainText('4 of 5 stays in the office');

    const details = desk.section('Details');
    await expect(details).toContainText(sheet);
    await desk.edit('Details');
    const fillIn = async () => {
        await page.getByLabel('Safe code').fill('4-8-15');
        await details.getByText('attic').click();
        await desk.save('Details saved.');
        await expect(details).toContainText('kept, private');
    };
    await fillIn();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(details).not.toContainText('kept, private');
    await desk.edit('Details');
    await fillIn();
    await expect(page.getByText('4-8-15')).toHaveCount(0);
    await details.getByRole('button', { name: 'Show the Safe code' }).click();
    await expect(details).toContainText('4-8-15');
    await expect(desk.section('Log')).toContainText('Safe code: shown, though private');
    await details.getByRole('button', { name: 'Hide the Safe code' }).click();
    await expect(page.getByText('4-8-15')).toHaveCount(0);
    const address = page.url().replace(/\?.*/, '');

    await page.goto('/office');
    await page.getByRole('button', { name: `Change the sheet ${sheet}` }).click();
    await page.getByText('retire the whole sheet').click();
    await page.getByRole('button', { name: 'Save the sheet' }).click();
    await expect(page.getByText('for companies of the type landlord · retired')).toBeVisible();
    await page.goto(address);
    await expect(desk.section('Details')).toContainText('attic no longer asked for');
});

for (const [path, late, button] of [
    ['/office', '**/api/terms', 'Add a detail sheet'],
    ['/account', '**/api/tokens', 'Change the password'],
] as const) {
    test(`${path} has nothing to press until all of it stands where it stays`, async ({ page }) => {
        let release = () => {};
        const held = new Promise<void>((resolve) => (release = resolve));
        await page.route(late, async (route) => {
            await held;
            await route.continue();
        });
        const others = page.waitForResponse('**/api/session');
        await page.goto(path);
        await others;
        await expect(page.getByRole('main')).toHaveAttribute('aria-busy', 'true');
        await page.waitForLoadState('load');
        await expect(page.getByRole('button', { name: button })).toHaveCount(0);
        release();
        await expect(page.getByRole('button', { name: button })).toBeVisible();
    });
}

test('a birth date is kept private, and the age is told', async ({ desk, page }) => {
    await desk.open('quill isolde');
    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByLabel('Birth date').fill('25 Nov 2050');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('That day is still to come. Check the year.')).toBeVisible();
    await page.getByLabel('Birth date').fill('25 Nov 1980');
    await desk.save('Name and roles saved.');
    const head = desk.section('Name and roles');
    await expect(head).toContainText('45 years old');
    await expect(head).toContainText('kept, private');
    await head.getByRole('button', { name: 'Show the birth date' }).click();
    await expect(head).toContainText('25 Nov 1980');
    await expect(desk.section('Log')).toContainText('Birth date: shown, though private');
});

test('a word of the office is renamed where it is used, and retired', async ({ desk, page }) => {
    const label = unique('works');
    await page.goto('/office');
    await desk.choose(/ List$/, 'Labels of phones', page.getByRole('region', { name: 'Our own words' }));
    await page.getByRole('button', { name: 'Add to this list' }).click();
    await page.getByLabel('Name', { exact: true }).fill(label);
    await page.keyboard.press('Enter');
    await expect(page.getByText(`${label} added.`)).toBeVisible();
    await desk.addCompany(unique('Renamed'));
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0199');
    await page.getByRole('combobox', { name: 'Label' }).first().fill(label);
    await page.getByRole('option', { name: label }).click();
    await desk.save('Reach saved.');
    const address = page.url().replace(/\?.*/, '');

    await page.goto('/office');
    await desk.choose(/ List$/, 'Labels of phones', page.getByRole('region', { name: 'Our own words' }));
    await page.getByRole('button', { name: `Change ${label}` }).click();
    await expect(page.getByText('Renaming it renames it wherever it is used.')).toBeVisible();
    await page.getByLabel('Name', { exact: true }).fill(`${label} yard`);
    await page.getByText('retired: offered no more').click();
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Save it' }).click();
    await expect(page.getByText(`${label} yard · retired`)).toBeVisible();
    await page.goto(address);
    await expect(desk.section('Reach')).toContainText(`${label} yard, primary`);
});

test('a tax number is checked as it is typed, masked, and shown when asked for', async ({ desk, page }) => {
    await desk.addCompany(unique('Taxed Trestles'));
    await page.keyboard.press('Escape');
    const section = desk.section('Tax numbers');
    await desk.edit('Tax numbers');
    await section.getByRole('button', { name: 'Add a tax number' }).click();
    await section.getByLabel('Number', { exact: true }).fill('07-1234567');
    await page.keyboard.press('Control+Enter');
    await expect(section).toContainText('“07-1234567” is not a valid EIN: the IRS assigns none that begins with 07.');
    await section.getByLabel('Number', { exact: true }).fill('91-5550142');
    await expect(section).toContainText('same tax number');
    await desk.choose(/Kind/, 'VAT number', section);
    await section.getByRole('combobox', { name: 'Country' }).fill('germ');
    await page.getByRole('option', { name: 'Germany' }).click();
    await section.getByLabel('Number', { exact: true }).fill('DE999999990');
    await page.keyboard.press('Control+Enter');
    await expect(section).toContainText('its check digits do not match');
    await desk.choose(/Kind/, 'EIN', section);
    await section.getByLabel('Number', { exact: true }).fill('91-5550199');
    await desk.expectAccessible();
    await desk.save('Tax numbers saved.');
    await expect(section).toContainText('EIN•••• 0199');
    await section.getByRole('button', { name: 'Show the EIN' }).click();
    await expect(section).toContainText('91-5550199');
    await expect(desk.section('Log')).toContainText('EIN: shown, though private');
});
