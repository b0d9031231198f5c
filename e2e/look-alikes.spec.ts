import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('who is in the book already is shown while the name is typed', async ({ desk, page }) => {
    await page.goto('/add/company');
    await page.getByLabel('Name', { exact: true }).fill('The Brass Lantern Foundry, Inc.');
    const told = page.getByRole('alert').filter({ hasText: 'Probably in the book already' });
    await expect(told).toContainText('Brass Lantern Foundry');
    await expect(told).toContainText('same name');
    await desk.expectAccessible();
    await page.getByLabel('Name', { exact: true }).fill(unique('Wholly Other'));
    await expect(told).toBeHidden();
    await page.getByLabel('Name', { exact: true }).fill('Brass Lantern Foundry');
    await told.getByRole('link').click();
    await page.getByRole('button', { name: 'Leave without saving' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Brass Lantern Foundry' })).toBeVisible();
});

test('a phone that somebody has already gives the slip of the name away', async ({ desk, page }) => {
    await page.goto('/add/person');
    await page.getByLabel('Given name').fill('Nadia');
    await page.getByLabel('Family name').fill('Petrov-Amess');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('textbox', { name: 'Phone' })).toBeFocused();
    await page.keyboard.type('207 555 0151');
    await expect(page.getByRole('alert').filter({ hasText: 'Probably in the book already' })).toContainText('name much alike · same phone');
    await desk.save('Reach saved.');
});

test('what is added all the same waits in Upkeep until somebody settles it', async ({ desk, page }) => {
    const name = unique('Twinned Timepieces');
    await desk.addCompany(`${name} LLC`);
    await page.keyboard.press('Escape');
    await page.goto(`/add/company?name=${encodeURIComponent(`${name}, Inc.`)}`);
    await expect(page.getByText('Probably in the book already')).toBeVisible();
    await page.getByLabel('Name', { exact: true }).focus();
    await page.keyboard.press('Control+Enter');
    await expect(desk.section('Log')).toContainText(`though much like ${name} LLC`);
    await page.keyboard.press('Escape');

    await page.keyboard.press('g');
    await page.keyboard.press('u');
    await expect(page.getByRole('heading', { level: 1, name: 'Upkeep' })).toBeVisible();
    const pair = page.getByRole('listitem').filter({ hasText: `${name}, Inc.` }).filter({ hasText: 'the second was added' });
    await expect(pair).toContainText('same name · the second was added by Maud Ferris');
    await desk.expectAccessible();
    await pair.getByRole('button', { name: 'They are two different records' }).click();
    await expect(pair).toBeHidden();
    await expect(page.getByRole('listitem').filter({ hasText: 'Mr. Silas A. Wren III' }).first()).toBeVisible();
});

test('what a record lacks is told in the margin and in Upkeep, with the way there', async ({ desk, page }) => {
    const name = unique('Gap & Sons');
    await page.goto(`/add/company?name=${encodeURIComponent(name)}`);
    await page.getByText('Vendor: they bill us').click();
    await page.keyboard.press('Control+Enter');
    const margin = page.getByRole('complementary');
    await expect(margin).toContainText('to pay: 5 of 6');
    await expect(margin).toContainText('Add bank details, or mark the address that payments go to as remit-to.');
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Upkeep' }).click();
    const row = page.getByRole('listitem').filter({ hasText: name }).first();
    await expect(row).toContainText('Add the address that letters go to.');
    await row.getByRole('link', { name: 'Go there' }).first().click();
    await expect(desk.section('Addresses')).toBeFocused();
    await page.keyboard.press('e');
    await page.getByLabel('Street, building').fill('1 Filled Street');
    await page.getByRole('textbox', { name: 'City' }).fill('Putney');
    await page.getByRole('combobox', { name: 'State' }).fill('VT');
    await page.getByLabel('ZIP code').fill('05346');
    await page.getByRole('group', { name: 'Use for' }).getByText('remit-to').click();
    await desk.save('Addresses saved.');
    await expect(margin).not.toContainText('to pay: 3 of 4');
    await desk.expectAccessible();
});
