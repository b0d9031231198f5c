import { expect, test, unique } from './desk';

test('from the search line to a due date, by keyboard alone', async ({ desk, page }) => {
    await desk.signIn();
    const company = unique('Verdigris Gear Works');
    const last = unique('Thistlewood').replace(' ', '-');

    // She looks for it, does not find it, adds it.
    await desk.search(company);
    await expect(page.getByText('Nobody in the book matches that.')).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(company);
    await page.keyboard.press('Tab');
    await page.keyboard.type(`${company} LLC`);
    await page.keyboard.press('Tab');
    await page.keyboard.press('Space');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { level: 1, name: company })).toBeVisible();
    await expect(page.getByText(`legally ${company} LLC`)).toBeVisible();

    // A phone and an email.
    const phone = page.getByRole('textbox', { name: 'Phone' });
    await expect(phone).toBeFocused();
    await page.keyboard.type('802.555.0177 x 9');
    await page.getByRole('textbox', { name: 'Email' }).focus();
    await page.keyboard.type('office@verdigris.example');
    await desk.save('Reach saved.');
    await expect(desk.section('Reach').getByRole('link', { name: '(802) 555-0177 ext. 9' })).toHaveAttribute(
        'href',
        'tel:+18025550177;ext=9',
    );

    // An address: j goes to the section, e edits it.
    await page.keyboard.press('j');
    await expect(desk.section('Addresses')).toBeFocused();
    await page.keyboard.press('e');
    await expect(page.getByLabel('Street, building')).toBeFocused();
    await page.keyboard.type('5 Escapement Row');
    await page.getByRole('textbox', { name: 'City' }).focus();
    await page.keyboard.type('Brattleboro');
    await page.keyboard.press('Tab');
    await page.keyboard.type('vermont');
    await page.getByLabel('ZIP code').focus();
    await page.keyboard.type('05301');
    await desk.save('Addresses saved.');
    await expect(desk.section('Addresses')).toContainText('Brattleboro, VT 05301');
    await expect(page.getByRole('complementary')).toContainText('BRATTLEBORO, VT 05301');

    // The person who works there, tied to it from the start.
    await page.keyboard.press('j');
    await expect(desk.section('People')).toBeFocused();
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await page.keyboard.type(`Ms. Ottilie ${last}`);
    await expect(page.getByRole('option', { name: /Add a person named/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText(`At ${company}, with its address by link.`)).toBeVisible();
    await expect(page.getByLabel('Given name')).toHaveValue('Ottilie');
    await expect(page.getByLabel('Given name')).toBeFocused();
    await expect(page.getByLabel('Family name')).toHaveValue(last);
    await page.getByLabel(`Title at ${company}`).focus();
    await page.keyboard.type('Works manager');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { level: 1, name: `Ms. Ottilie ${last}` })).toBeVisible();
    await page.keyboard.type('802-555-0178');
    await desk.save('Reach saved.');
    await expect(desk.section('Positions')).toContainText('Works manager');
    await expect(desk.section('Addresses')).toContainText(`same as ${company}, by link`);

    // Payment terms, and the day an invoice of a given date would be due.
    await desk.open(`${company}`);
    await desk.edit('When we bill them');
    await page.keyboard.type('2/10, n/30');
    await expect(page.getByText('not taking it costs 37.24% a year.').first()).toBeVisible();
    await desk.save('When we bill them saved.');
    const terms = desk.section('When we bill them');
    await terms.getByLabel('An invoice dated').fill('31 jan');
    await expect(terms).toContainText('An invoice of 31 Jan 2026 is due Mon 2 Mar 2026.');
    await expect(terms).toContainText('31 Jan 2026, plus 30 days, is Mon 2 Mar 2026.');
    await expect(terms).toContainText('2% off until 10 Feb 2026; not taking it costs 37.24% a year.');

    // Tomorrow she finds it again by digits of the phone number, and changes it.
    await page.reload();
    await expect(desk.section('Log')).toContainText('added as');
    await desk.search('0177');
    await expect(desk.answers.first()).toContainText('phone (802) 555-0177 ext. 9');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: company })).toBeVisible();
    await page.keyboard.press('j');
    await page.keyboard.press('j');
    await page.keyboard.press('e');
    await expect(phone).toBeFocused();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('802-555-0179');
    await desk.save('Reach saved.');
    await expect(desk.section('Log')).toContainText('Phone: (802) 555-0177 ext. 9, office, primary → (802) 555-0179, office, primary');
});

test('the same by mouse: an existing person, a second company, an address of its own', async ({ desk, page }) => {
    await desk.signIn('tobias');
    const company = unique('Cormorant Survey');
    await desk.addCompany(company);
    await page.getByRole('textbox', { name: 'Email' }).fill('desk@cormorant.example');
    await page.getByRole('button', { name: 'Save reach' }).click();
    await expect(desk.section('Reach')).toContainText('desk@cormorant.example');

    await page.getByRole('button', { name: 'Add a person here' }).click();
    await page.getByRole('combobox', { name: 'Who works here?' }).fill('isolde');
    await page.getByRole('option', { name: /Isolde Quill/ }).click();
    await page.getByLabel('Title', { exact: true }).fill('Consultant');
    await page.getByText('technical').click();
    await page.getByLabel('Since').fill('1 mar');
    await page.getByRole('button', { name: 'Save people' }).click();
    await expect(desk.section('People')).toContainText('technical, primary, since 1 Mar 2026');

    await desk.section('People').getByRole('link', { name: 'Ms. Isolde Quill' }).click();
    await expect(desk.section('Positions')).toContainText(company);

    await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Use another record’s address' }).click();
    await page.getByRole('combobox', { name: 'Whose address?' }).fill('penhallow obs');
    await page.getByRole('option', { name: /^company Penhallow Observatory/ }).click();
    await expect(page.getByText('same as Penhallow Observatory, by link: a change there shows here')).toBeVisible();
    await page.getByRole('button', { name: 'Use an address of its own' }).click();
    await expect(page.getByLabel('Street, building').last()).toHaveValue('14 Meridian Lane\nSouth Dome');
    await page.getByLabel('Street, building').last().fill('15 Meridian Lane');
    await page.getByRole('button', { name: 'Save addresses' }).click();
    await expect(desk.section('Addresses')).toContainText('15 Meridian Lane');

    // Undo, said once at the foot.
    await expect(page.getByRole('status').filter({ hasText: 'Addresses saved.' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Addresses: as it was before.' })).toBeVisible();
    await expect(desk.section('Addresses')).not.toContainText('15 Meridian Lane');
});

test('terms are chosen from the list of the office, and left to it again', async ({ desk, page }) => {
    await desk.signIn();
    await desk.addCompany(unique('Barometer Club'));
    await page.keyboard.press('Escape');
    await desk.edit('When we pay them');
    await page.keyboard.type('tenth');
    await page.getByRole('option', { name: 'Tenth of next month: 10th prox' }).click();
    await desk.save('When we pay them saved.');
    const terms = desk.section('When we pay them');
    await expect(terms).toContainText('10th prox');
    await expect(terms).toContainText('A bill of 24 Nov 2026 is due Thu 10 Dec 2026.');

    await desk.edit('When we pay them');
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Delete');
    await desk.save('When we pay them saved.');
    // What is not theirs is folded again.
    await expect(terms).toContainText('Not a vendor.');
});
