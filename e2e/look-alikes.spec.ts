import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('who is in the book already is shown while the name is typed', async ({ desk, page }) => {
    await page.goto('/add/company');
    await page.getByLabel('Name', { exact: true }).fill('The Brass Lantern Foundry, Inc.');
    const told = page.getByRole('alert').filter({ hasText: 'Perhaps in the book already' });
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
    await expect(page.getByRole('alert').filter({ hasText: 'Probably in the book already' })).toContainText('same phone · same given name · family names much alike');
    await desk.save('Reach saved.');
});

test('what is added all the same waits in Upkeep until somebody settles it, and can be opened again', async ({ desk, page }) => {
    const name = unique('Twinned Timepieces');
    await desk.addCompany(`${name} LLC`);
    await page.keyboard.press('Escape');
    await page.goto(`/add/company?name=${encodeURIComponent(`${name}, Inc.`)}`);
    await expect(page.getByText('Perhaps in the book already')).toBeVisible();
    await page.getByLabel('Name', { exact: true }).focus();
    await page.keyboard.press('Control+Enter');
    await expect(desk.section('Log')).toContainText(`though much like ${name} LLC`);
    await page.keyboard.press('Escape');

    await page.keyboard.press('g');
    await page.keyboard.press('u');
    await expect(page.getByRole('heading', { level: 1, name: 'Upkeep' })).toBeVisible();
    await desk.section('Look-alikes').getByRole('link', { name: 'Settle them' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Look-alikes' })).toBeVisible();
    const open = page.getByRole('list', { name: 'To settle' }).getByRole('button', { name: new RegExp(name) });
    await expect(open).toContainText('added all the same by Maud Ferris');
    await open.click();
    const sides = desk.section('Side by side');
    await expect(sides.getByRole('link', { name: `${name}, Inc.` })).toBeVisible();
    await expect(sides).toContainText('For it: same name.');
    await sides.getByRole('button', { name: 'With weights' }).click();
    await expect(sides).toContainText(/same name \(\+\d/);
    await desk.expectAccessible();
    await sides.getByLabel('Why, in a few words').fill('Two firms of that name');
    await sides.getByRole('button', { name: 'They are different records' }).click();
    await expect(open).toBeHidden();
    await page.getByRole('radio', { name: 'Decided' }).click();
    const decided = page.getByRole('row', { name: new RegExp(name) });
    await expect(decided).toContainText('Two firms of that name');
    await desk.expectAccessible();
    await decided.getByRole('button', { name: /Open again/ }).click();
    await expect(decided).toBeHidden();
    await page.getByRole('radio', { name: /To settle/ }).click();
    await expect(open).toBeVisible();
});

test('the book is gone through, and what it finds is settled by the keyboard alone', async ({ desk, page }) => {
    await page.goto('/upkeep/look-alikes');
    const list = page.getByRole('list', { name: 'To settle' });
    await page.getByRole('button', { name: 'Go through the book' }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'The book is being gone through.' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Go through the book' })).toBeVisible();
    await expect(list.getByRole('button').first()).toContainText('nearly sure');
    const sides = desk.section('Side by side');
    await expect(sides.getByRole('link', { name: 'Measured Time Museum' })).toBeVisible();
    // Father and son are for eyes; the next one of the list, and one of them is put off.
    await page.keyboard.press('j');
    const second = list.locator('[aria-current=true]');
    await expect(second).not.toContainText('Measured Time Museum');
    const put = (await second.locator('b').textContent()) ?? '';
    await expect(sides.getByRole('link').first()).toBeVisible();
    await page.keyboard.press('l');
    await expect(page.getByRole('status').filter({ hasText: 'Put off: they stand last.' })).toBeVisible();
    await expect(list.getByRole('button', { name: put })).toContainText('put off');
    await list.getByRole('button', { name: /Fairbairn/ }).press('Enter');
    await expect(sides.getByRole('link', { name: /Fairbairn Jr/ })).toBeVisible();
    await page.keyboard.press('d');
    await expect(list.getByRole('button', { name: /Fairbairn/ })).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).press('Enter');
    await expect(list.getByRole('button', { name: /Fairbairn/ })).toBeVisible();
});

test('a household is named, and a call from it shows who may be behind it', async ({ desk, page }) => {
    await page.goto('/upkeep/look-alikes');
    await page.getByRole('list', { name: 'To settle' }).getByRole('button', { name: /Fairbairn/ }).click();
    const sides = desk.section('Side by side');
    await sides.getByRole('button', { name: /^They share it.*555-0194/ }).press('Enter');
    const dialog = page.getByRole('dialog', { name: 'They share it' });
    await expect(dialog.getByLabel('What it is called')).toHaveValue('Fairbairn household');
    await expect(dialog).toContainText('Fairbairn household: ');
    await desk.expectAccessible('[role=dialog]');
    await dialog.getByLabel('What it is called').fill('The Fairbairns, Stowe');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('status').filter({ hasText: '(802) 555-0194 is “The Fairbairns, Stowe” now.' })).toBeVisible();
    // The same name is left, for eyes; the number is no reason any more.
    await expect(page.getByRole('list', { name: 'To settle' }).getByRole('button', { name: /Fairbairn/ })).not.toContainText('same phone');
    await desk.search('555 0194');
    await expect(page.getByRole('option', { name: /^person Mr\. Amos Fairbairn Jr/ })).toContainText('The Fairbairns, Stowe');
    await page.keyboard.press('Escape');
    await page.goto('/upkeep/look-alikes?show=decided');
    await expect(page.getByRole('heading', { name: 'Shared lines' })).toBeVisible();
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Ask about The Fairbairns, Stowe again' }).click();
    await expect(page.getByRole('button', { name: 'Ask about The Fairbairns, Stowe again' })).toBeHidden();
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
