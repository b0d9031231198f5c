import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('what the book and the ZIP table know is proposed while it is typed: a city, a whole address by link, whose phone it is', async ({
    desk,
    page,
}) => {
    const company = unique('Lantern');
    await desk.addCompany(company);
    await page.getByRole('textbox', { name: 'Phone' }).fill('802 555 0142');
    await expect(page.getByText('also the phone of Penhallow Observatory')).toBeVisible();
    await page.getByRole('textbox', { name: 'Email' }).fill('OFFICE@penhallow.example');
    await expect(page.getByText('also the email of Penhallow Observatory')).toBeVisible();
    await desk.save('Reach saved.');

    await desk.edit('Addresses');
    const street = page.getByLabel('Street, building');
    await page.getByLabel('ZIP code').fill('05301');
    await page.getByRole('button', { name: 'Fill in Brattleboro, VT' }).click();
    await expect(page.getByLabel('City')).toHaveValue('Brattleboro');
    await expect(page.getByRole('combobox', { name: 'State' })).toHaveValue('VT');
    await expect(page.getByRole('button', { name: 'Fill in Brattleboro, VT' })).toHaveCount(0);
    await expect(page.locator('body')).not.toBeFocused();

    await street.fill('14 merid');
    await expect(page.getByText('In the book: 14 Meridian Lane, South Dome, Brattleboro, VT 05301')).toBeVisible();
    await page.getByRole('button', { name: 'Copy the address of Penhallow Observatory' }).click();
    await expect(street).toHaveValue('14 Meridian Lane\nSouth Dome');
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Use the address of Penhallow Observatory by link' }).click();
    await expect(page.getByText('same as Penhallow Observatory, by link')).toBeVisible();
    await desk.save('Addresses saved.');
    await expect(desk.section('Addresses')).toContainText('same as Penhallow Observatory, by link');

    // Taken away and given back: it is a link again.
    await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Remove this address' }).click();
    await desk.save('Addresses saved.');
    await expect(desk.section('Addresses')).not.toContainText('Meridian');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(desk.section('Addresses')).toContainText('same as Penhallow Observatory, by link');
});

test('whoever gives up an address that others use gets it back as it was', async ({ desk, page }) => {
    await desk.open('Edith Larkin');
    await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Remove this address' }).first().click();
    await page.keyboard.press('Control+Enter');
    await page.getByRole('button', { name: 'Only from now on' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Addresses saved.' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(desk.section('Addresses')).toContainText('22 Orchard Hill');
    await expect(desk.section('Addresses')).toContainText('also used by Mr. Walter Larkin');
    await expect(desk.section('Addresses')).not.toContainText('by link');
});

test('a move asks which open documents take the new address; of several addresses one is chosen', async ({ desk, page }) => {
    await desk.open('Penhallow Observatory');
    const addresses = desk.section('Addresses');
    await addresses.getByRole('button', { name: 'This address' }).first().click();
    await page.getByRole('menuitem', { name: 'They move' }).click();
    const dialog = page.getByRole('dialog', { name: 'Penhallow Observatory moves' });
    await dialog.getByLabel('Street, building').fill('2 New Street');
    await dialog.getByLabel('ZIP code').fill('05346');
    await dialog.getByRole('button', { name: 'Fill in Putney, VT' }).click();
    await page.keyboard.press('Control+Enter');
    const asks = page.getByRole('alertdialog', { name: 'What this touches' });
    await expect(asks).toContainText('the old address.');
    // Going on editing keeps what was typed, and asks again.
    await page.keyboard.press('Escape');
    await expect(dialog.getByLabel('Street, building')).toHaveValue('2 New Street');
    await dialog.getByRole('button', { name: 'Move', exact: true }).click();
    const first = asks.getByRole('checkbox').first();
    if (!await first.isChecked()) {
        await asks.locator('label').first().click();
    }
    await expect(first).toBeChecked();
    await asks.getByRole('button', { name: /^Save, and change/ }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Moved, with everybody there.' })).toBeVisible();
    await expect(addresses).toContainText('2 New Street');
    await expect(addresses).toContainText('until 23 Nov 2026');
    await desk.open('Augusta Penhallow');
    await expect(desk.section('Addresses')).toContainText('2 New Street');

    // A second one in force: whoever uses it says which.
    await desk.open('Penhallow Observatory');
    await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Add an address' }).click();
    await page.getByLabel('Street, building').last().fill('9 Lake Road');
    await desk.save('Addresses saved.');
    const company = unique('Lantern');
    await desk.addCompany(company);
    await page.keyboard.press('Escape');
    await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Use another record’s address' }).click();
    await page.getByRole('combobox', { name: 'Whose address?' }).fill('penhallow obs');
    await page.getByRole('option', { name: /^company Penhallow Observatory/ }).click();
    const which = page.getByRole('group', { name: 'Which address of Penhallow Observatory' });
    await expect(which.getByRole('button', { name: /2 New Street/ })).toBeFocused();
    await which.getByRole('button', { name: '9 Lake Road' }).click();
    await desk.save('Addresses saved.');
    await expect(desk.section('Addresses')).toContainText('9 Lake Road');
});
