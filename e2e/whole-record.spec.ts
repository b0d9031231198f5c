import { expect, test, unique } from './desk';

// Each is a whole job, of a minute or two at a desk.
test.describe.configure({ timeout: 120_000 });

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

/** A family name that no other test uses, of one word. */
function family(name: string): string {
    return unique(name).replace(/ /g, '-');
}

test('a new client couple: pasted name, a spouse with the address and the phone by link, birth dates, one envelope', async ({
    desk,
    page,
}) => {
    const name = family('Thistle');
    await desk.search(`Mr. Edmund R. ${name}, Jr.`);
    await page.getByRole('option', { name: /Add a person named/ }).click();
    await expect(page.getByLabel('Given name')).toHaveValue('Edmund');
    await expect(page.getByLabel('Suffix')).toHaveValue('Jr.');
    await page.getByText('Client: we bill them').click();
    await page.getByLabel('Given name').focus();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('textbox', { name: 'Phone' })).toBeFocused();
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0144');
    await desk.save('Reach saved.');

    const addresses = await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Paste a whole address' }).click();
    await page.getByLabel('The whole address').fill(`Mr. Edmund R. ${name}, Jr.\n7 Quarry Road\nChester, VT 05143`);
    await page.getByRole('button', { name: 'Split it into parts' }).click();
    await expect(page.getByLabel('ZIP code')).toHaveValue('05143');
    await expect(page.getByRole('textbox', { name: 'City' })).toHaveValue('Chester');
    await addresses.getByText('postal', { exact: true }).click();
    await desk.save('Addresses saved.');

    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByLabel('Birth date').fill('3 Feb 1950');
    await desk.save('Name and roles saved.');

    await desk.edit('Relations');
    await page.getByRole('combobox', { name: 'A relation to whom?' }).fill(`Mrs. Clara ${name}`);
    await page.getByRole('option', { name: /Add a person named/ }).click();
    const row = page.getByRole('group', { name: `Mrs. Clara ${name}` });
    await desk.choose(/On an envelope/, 'Mr. and Mrs.', row);
    await desk.expectAccessible();
    await desk.save('Relations saved.');
    const spouse = desk.section('Relations').getByRole('link', { name: `Mrs. Clara ${name}` });
    await spouse.click();
    await expect(page.getByRole('heading', { level: 1, name: `Mrs. Clara ${name}` })).toBeVisible();
    await expect(desk.section('Relations')).toContainText('spouse');

    // From her page: his address and phone by link, in the direction that is said.
    await desk.edit('Relations');
    await page.getByRole('button', { name: `Remove the relation to Mr. Edmund R. ${name} Jr.` }).click();
    await page.getByRole('combobox', { name: 'A relation to whom?' }).fill(`Edmund ${name}`);
    await page.getByRole('option', { name: new RegExp(`Edmund R. ${name}`) }).first().click();
    const his = page.getByRole('group', { name: `Mr. Edmund R. ${name} Jr.` });
    await desk.choose(/Address/, `Mr. Edmund R. ${name} Jr.’s, here too by link`, his);
    await desk.choose(/Phone/, `Mr. Edmund R. ${name} Jr.’s, here too by link`, his);
    await desk.choose(/On an envelope/, 'Mr. and Mrs.', his);
    await desk.save('Relations saved.');
    await expect(desk.section('Addresses')).toContainText('7 Quarry Road');
    await expect(desk.section('Addresses')).toContainText('by link');
    await expect(desk.section('Reach')).toContainText('(802) 555-0144office, primary');
    await expect(desk.section('Reach')).toContainText('by link');
    // Taken away and given back: it is a link again.
    await desk.edit('Reach');
    await page.getByRole('button', { name: /^Remove phone/ }).click();
    await desk.save('Reach saved.');
    await expect(desk.section('Reach')).not.toContainText('555-0144');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(desk.section('Reach')).toContainText('by link');
    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByLabel('Birth date').fill('12 Aug 1953');
    await desk.save('Name and roles saved.');
    await expect(desk.section('Name and roles')).toContainText('73 years old');
    const margin = page.getByRole('complementary');
    await expect(margin).toContainText(`Mr. and Mrs. Edmund R. ${name} Jr.`);
    await expect(margin).toContainText(`Dear Mr. and Mrs. ${name}:`);
});

test('a client who has died: letters go to the executor', async ({ desk, page }) => {
    const name = family('Hollis');
    await desk.search(`Mr. Amos ${name}`);
    await page.getByRole('option', { name: /Add a person named/ }).click();
    await expect(page.getByLabel('Given name')).toHaveValue('Amos');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('textbox', { name: 'Phone' })).toBeFocused();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByText('Has died').click();
    await page.getByLabel('On which day, if it is known').fill('1 Nov 2026');
    await desk.save('Name and roles saved.');
    const margin = page.getByRole('complementary');
    await expect(margin).toContainText('nobody is greeted');
    await expect(margin).toContainText('Add the executor, the next of kin or the spouse as a relation: letters go to them.');

    await desk.edit('Relations');
    await page.getByRole('combobox', { name: 'A relation to whom?' }).fill('Edith Larkin');
    await page.getByRole('option', { name: /Edith Larkin/ }).first().click();
    await desk.choose(/is their/, 'executor', page.getByRole('group', { name: 'Mrs. Edith Larkin' }));
    await desk.save('Relations saved.');
    await expect(margin).toContainText(`Estate of Amos ${name}`);
    await expect(margin).toContainText('c/o Mrs. Edith Larkin');
    await expect(margin).toContainText('22 Orchard Hill');
    await expect(margin).toContainText('Dear Mrs. Larkin:');
    await expect(margin).not.toContainText('letters go to them');
    await desk.expectAccessible();
});

test('a firm with nine people, one of whom is followed by another', async ({ desk, page }) => {
    const firm = unique('Nonesuch Clockworks');
    const staff = family('Brandt');
    await desk.search(firm);
    await page.getByRole('option', { name: `Add a company named “${firm}”` }).click();
    for (let n = 0; n < 9; n++) {
        await page.getByRole('button', { name: 'Add a person there' }).click();
        await page
            .getByLabel('Person there')
            .nth(n)
            .fill(`${['Lise', 'Jon', 'Ada', 'Per', 'Ulf', 'Eva', 'Kai', 'Tor', 'Mia'][n]} ${staff}`);
        await page
            .getByLabel('Title')
            .nth(n)
            .fill(n === 0 ? 'Office manager' : 'Clockmaker');
    }
    await desk.expectAccessible();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { level: 1, name: firm })).toBeVisible();
    await page.keyboard.press('Escape');
    const people = desk.section('People');
    await expect(people.getByRole('link')).toHaveCount(9);

    await desk.edit('People');
    // A long list stands closed but for what is asked for.
    await desk.section('People').getByRole('button', { name: `Change Lise ${staff}` }).click();
    await page.getByRole('group', { name: `Lise ${staff}` }).getByText('billing', { exact: true }).first().click();
    await desk.save('People saved.');
    const company = page.url();
    await people.getByRole('link', { name: `Lise ${staff}` }).click();
    await page.getByRole('button', { name: 'Edit Reach' }).click();
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0133');
    await desk.save('Reach saved.');
    await page.goto(company.replace(/\?.*/, ''));

    await people.getByRole('button', { name: `Replace Lise ${staff}` }).click();
    const dialog = page.getByRole('dialog', { name: `Who follows Lise ${staff}?` });
    await dialog.getByRole('button', { name: 'Replace' }).click();
    await expect(dialog).toContainText('Choose who follows.');
    await dialog.getByRole('combobox', { name: 'Followed by' }).fill(`Sara ${staff}`);
    await page.getByRole('option', { name: `Add a person named “Sara ${staff}”` }).click();
    await dialog.getByLabel('From', { exact: true }).fill('1 Mar 2026');
    await dialog.getByText('(802) 555-0133').click();
    await desk.expectAccessible();
    await dialog.getByRole('button', { name: 'Replace' }).click();
    await expect(page.getByRole('status').filter({ hasText: `Lise ${staff} is followed by Sara ${staff}.` })).toBeVisible();
    await expect(people.getByRole('link')).toHaveCount(10);
    await expect(people).toContainText(`Sara ${staff}Office managerbilling, primary, since 1 Mar 2026`);
    await expect(people).toContainText('until 28 Feb 2026');
    await people.getByRole('link', { name: `Sara ${staff}` }).click();
    await expect(desk.section('Reach')).toContainText('(802) 555-0133');
    await expect(desk.section('Positions')).toContainText(firm);
});

test('a vendor that moved, with everybody at its address', async ({ desk, page }) => {
    const vendor = unique('Wandering Wheelwrights');
    await desk.addCompany(vendor);
    await page.keyboard.press('Escape');
    await desk.edit('Addresses');
    await page.getByLabel('Street, building').fill('1 Old Mill Lane');
    await page.getByRole('textbox', { name: 'City' }).fill('Putney');
    await page.getByLabel('ZIP code').fill('05346');
    await desk.save('Addresses saved.');
    const vendorId = /records\/(\d+)/.exec(page.url())?.[1];
    await page.getByRole('button', { name: 'Add a person here' }).click();
    await page.getByRole('combobox', { name: 'Who works here?' }).fill('Nora Wheel');
    await page.getByRole('option', { name: /Add a person named/ }).click();
    await expect(page.getByLabel('Given name')).toHaveValue('Nora');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('textbox', { name: 'Phone' })).toBeFocused();
    await page.keyboard.press('Escape');

    // The vendor stands there as it was, until the answer that knows of Nora is there: it comes when the dialog is open.
    let answer: (() => void) | undefined;
    const asked = new Promise<void>((resolve) => {
        answer = resolve;
    });
    await page.route(`**/api/parties/${vendorId}`, async (route) => {
        await asked;
        await route.continue();
    });
    await desk.section('Positions').getByRole('link', { name: vendor }).click();
    const addresses = desk.section('Addresses');
    await addresses.getByRole('button', { name: 'This address' }).click();
    await page.getByRole('menuitem', { name: 'They move …' }).click();
    const dialog = page.getByRole('dialog', { name: `${vendor} moves` });
    await expect(dialog).toBeVisible();
    answer?.();
    await expect(dialog.getByRole('checkbox', { name: 'everybody here moves: also Nora Wheel' })).toBeChecked();
    await dialog.getByLabel('First day at the new address').fill('1 May 2026');
    await dialog.getByRole('button', { name: 'Paste a whole address' }).click();
    await dialog.getByLabel('The whole address').fill('2 New Mill Lane, Grafton, VT 0514');
    await dialog.getByRole('button', { name: 'Split it into parts' }).click();
    await expect(dialog.getByText('Is this right?').first()).toBeVisible();
    await dialog.getByLabel('Street, building').fill('2 New Mill Lane');
    await dialog.getByRole('textbox', { name: 'City' }).fill('Grafton');
    await dialog.getByLabel('ZIP code').fill('0514');
    await dialog.getByRole('button', { name: 'Move', exact: true }).click();
    await expect(dialog).toContainText(/ZIP code\b.*05301 or 05301-1234/);
    await dialog.getByLabel('ZIP code').fill('05146');
    await expect(dialog.getByText('everybody here moves: also Nora Wheel')).toBeVisible();
    await dialog.getByRole('button', { name: 'Move', exact: true }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Moved, with everybody there.' })).toBeVisible();
    await expect(addresses).toContainText('since 1 May 2026');
    await expect(addresses).toContainText('until 30 Apr 2026');
    await desk.section('People').getByRole('link', { name: 'Nora Wheel' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Nora Wheel' })).toBeVisible();
    await expect(page.getByRole('complementary')).toContainText('2 New Mill Lane');
    await expect(addresses).toContainText('2 New Mill Lane');

    await addresses.getByRole('button', { name: 'This address' }).first().click();
    await page.getByRole('menuitem', { name: 'Show on a map' }).click();
    await expect(page.getByRole('img', { name: 'A map with a mark at ZIP code 05146' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Open it in a map program' })).toHaveAttribute('href', /^geo:43\.\d+,-72\.\d+$/);
    await desk.expectAccessible();
});
