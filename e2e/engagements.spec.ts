import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a caller becomes a client with a case, from the search line, by the keyboard', async ({ desk, page }) => {
    const name = unique('Fern Ashdown');
    await desk.search(name);
    await page.getByRole('option', { name: `Add a person named “${name}”` }).click();
    await expect(page.getByLabel('Given name')).toHaveValue('Fern');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    await page.keyboard.press('Escape');
    // The section has closed, and given the keyboard back.
    await expect(desk.section('Reach').getByRole('button', { name: 'Edit Reach' })).toBeFocused();
    await desk.section('Cases & projects').getByRole('link', { name: 'New case' }).press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'New case' })).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Title' })).toBeFocused();
    await page.keyboard.type('Burst pipe over the regulator');
    const concerned = page.getByRole('group', { name });
    await expect(concerned.getByRole('button', { name: /as/ }).first()).toContainText('insured');
    // Whoever else is concerned, found from the line below.
    await page.getByRole('combobox', { name: 'Who else is concerned?' }).fill('harborlight');
    await page.getByRole('option', { name: /Harborlight Mutual/ }).first().click();
    const insurer = page.getByRole('group', { name: 'Harborlight Mutual' });
    await desk.choose(/as/, 'insurer', insurer);
    await insurer.getByLabel('Pays, %').fill('80');
    await page.keyboard.press('Control+Enter');
    await expect(insurer.getByText('100%')).toBeVisible();
    await concerned.getByLabel('Pays, %').fill('20');
    await desk.save('begun.');
    await expect(page.getByRole('heading', { level: 1, name: 'Burst pipe over the regulator' })).toBeVisible();
    await expect(desk.section('Parties')).toContainText('pays 80%');
    await desk.expectAccessible();
    // The record of the caller says so too.
    await desk.section('Parties').getByRole('link', { name }).click();
    await expect(desk.section('Cases & projects')).toContainText('insured');
    await expect(desk.section('Cases & projects')).toContainText('Burst pipe over the regulator');
    // And so does the search line.
    await desk.search('burst pipe');
    await expect(page.getByRole('option', { name: /Burst pipe over the regulator/ })).toBeVisible();
});

test('it is moved on by a key from the list, and back; closing asks how it ended', async ({ desk, page }) => {
    await page.keyboard.press('g');
    await page.keyboard.press('c');
    await expect(page.getByRole('heading', { level: 1, name: 'Cases & projects' })).toBeVisible();
    const line = page.getByRole('row', { name: /Sundial for the churchyard/ });
    await expect(line).toContainText('Asked about');
    await line.getByRole('link', { name: /Sundial/ }).focus();
    await page.keyboard.press('.');
    await expect(page.getByRole('status').filter({ hasText: 'is now “Quoted”.' })).toBeVisible();
    await expect(line).toContainText('Quoted');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(line).toContainText('Asked about');
    // Several at once: those that are chosen.
    await page.getByRole('checkbox', { name: /Choose PR2026-002/ }).press('Space');
    await page.getByRole('checkbox', { name: /Choose PR2026-003/ }).press('Space');
    await page.getByRole('button', { name: 'Move on' }).click();
    await expect(page.getByRole('status').filter({ hasText: '2 moved.' })).toBeVisible();
    await expect(page.getByRole('row', { name: /Office regulator clock/ })).toContainText('At work');
    // What closes it is asked about.
    await page.getByRole('row', { name: /Lightning at the clock tower/ }).getByRole('button', { name: /Move CA/ }).click();
    await page.getByRole('menuitem', { name: /Declined/ }).click();
    const dialog = page.getByRole('dialog', { name: /Move CA/ });
    await expect(dialog.getByLabel('How it ended')).toBeFocused();
    await desk.expectAccessible('[role=dialog]');
    await page.keyboard.press('Enter');
    await expect(dialog.getByText('Say in a few words how it ended.')).toBeVisible();
    await dialog.getByLabel('How it ended').fill('Not covered');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'is now “Declined”.' })).toBeVisible();
    await expect(page.getByRole('row', { name: /Lightning at the clock tower/ })).toBeHidden();
    // A stage of the band narrows the list.
    await page.getByRole('group', { name: 'Stages of projects' }).getByRole('button', { name: /Waiting for parts/ }).click();
    await expect(page.getByRole('row', { name: /Transit telescope/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /Sundial/ })).toBeHidden();
});

test('its page: site by link, details, somebody follows in a role, the log, and what is taken back', async ({ desk, page }) => {
    await page.goto('/engagements');
    await page.getByRole('link', { name: /Lightning at the clock tower/ }).click();
    await expect(desk.section('Details')).toContainText('HM-2026-1102');
    const site = await desk.edit('Site');
    await site.getByRole('button', { name: /1 Town Hall Square/ }).click();
    await site.getByLabel('Note on the site').fill('Ladder in the porch');
    await desk.save('Site saved.');
    await expect(site).toContainText('address of Town of Marlow Falls, by link');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(site).toContainText('No place yet.');

    await page.getByRole('button', { name: 'Replace Town of Marlow Falls as insured' }).click();
    const dialog = page.getByRole('dialog', { name: /Replace Town/ });
    await dialog.getByRole('combobox', { name: 'Who follows?' }).fill('parish');
    await page.getByRole('option', { name: /Parish of St. Osyth/ }).click();
    await dialog.getByLabel('From').fill('tomorrow');
    await page.keyboard.press('Enter');
    await expect(desk.section('Parties')).toContainText('Parish of St. Osyth');
    await expect(desk.section('Parties')).toContainText('until');

    await desk.section('Log').getByRole('button', { name: 'Write an entry' }).click();
    await page.getByLabel('What happened').fill('The clerk called about the ladder');
    await desk.save('Added to the log.');
    await expect(desk.section('Log')).toContainText('The clerk called about the ladder');
    await page.keyboard.press('m');
    await expect(page.getByRole('dialog', { name: /^Move/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await desk.expectAccessible();
});

test('an invoice written from its page is for it, and its figures open the list', async ({ desk, page }) => {
    await page.goto('/engagements');
    await page.getByRole('link', { name: /Orrery for the entrance hall/ }).click();
    await desk.section('Documents').getByRole('link', { name: 'New invoice' }).click();
    await expect(page.getByRole('button', { name: /For the case or project/ })).toContainText('Orrery for the entrance hall');
    await page.getByLabel('For', { exact: true }).first().fill('Drawings');
    await page.getByLabel('Price').first().fill('500');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('main')).toContainText('Orrery for the entrance hall');
    await page.getByRole('link', { name: /Orrery for the entrance hall/ }).click();
    await expect(page.getByRole('complementary')).toContainText('500.00');
    await page.getByRole('complementary').getByRole('link', { name: '500.00' }).first().click();
    await expect(page.getByRole('row', { name: /Penhallow Observatory/ })).toHaveCount(1);
});

test('an invoice that two pay is typed once, refused at its place, and written as a draft for each', async ({ desk, page }) => {
    await page.goto('/engagements?q=barometer');
    await page.getByRole('link', { name: /Flooded barometer/ }).first().click();
    await desk.section('Documents').getByRole('link', { name: /New invoice in shares/ }).press('Enter');
    await expect(page.getByText(/Edith Larkin 20%.*Harborlight Mutual.* 80%|Harborlight Mutual.* 80%.*Edith Larkin 20%/)).toBeVisible();
    await page.getByLabel('For', { exact: true }).first().fill('Drying and cleaning');
    await page.getByLabel('Price').first().fill('lots');
    await page.keyboard.press('Control+Enter');
    // At the field: what the preview below says comes before the answer to the save.
    await expect(page.getByLabel('Price').first()).toHaveAccessibleDescription(/“lots” is not a number/);
    await expect(page.getByLabel('For', { exact: true }).first()).toHaveValue('Drying and cleaning');
    await page.getByLabel('Price').first().fill('333.33');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('status').filter({ hasText: '2 drafts written, one for each who pays.' })).toBeVisible();
    // To the cent, with the discount of five and the tax of six per cent: 335.66 in all.
    const documents = desk.section('Documents');
    await expect(documents.getByRole('row', { name: /Edith Larkin.*67\.13/ })).toBeVisible();
    await expect(documents.getByRole('row', { name: /Harborlight Mutual.*268\.53/ })).toBeVisible();
    await desk.expectAccessible();
});

test('a private one is not there for others, and two who save one section see both', async ({ page, browser }) => {
    await page.goto('/engagements');
    await page.getByRole('link', { name: /Orrery for the entrance hall/ }).click();
    await page.getByRole('button', { name: 'Edit title and terms' }).click();
    await page.getByLabel('Agreed fee or budget').fill('11,000');
    const other = await browser.newPage();
    await other.goto(page.url());
    // The other window is signed in as nobody yet.
    await expect(other.getByLabel('Email')).toBeVisible();
    await other.getByLabel('Email').fill('cordelia@orreryvane.example');
    await other.getByLabel('Password').fill('pendulum-1742');
    await other.keyboard.press('Enter');
    await other.waitForURL(/\/$|engagements/);
    await other.goto(page.url());
    await other.getByRole('button', { name: 'Edit title and terms' }).click();
    await other.getByRole('textbox', { name: 'Title' }).fill('Orrery for the great hall');
    await other.keyboard.press('Control+Enter');
    await expect(other.getByRole('heading', { level: 1, name: 'Orrery for the great hall' })).toBeVisible();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText(/Cordelia Vane saved this/)).toBeVisible();
    await page.getByRole('button', { name: 'Save mine instead' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Orrery for the great hall' })).toBeVisible();
    await expect(page.getByRole('complementary')).toContainText('11,000.00');

    // Cordelia's own is not there for Maud.
    await other.goto('/engagements?q=chronometer');
    const link = other.getByRole('link', { name: /Pocket chronometer/ });
    const path = await link.getAttribute('href');
    await page.goto('/engagements?q=chronometer');
    await expect(page.getByText('Nothing in the book matches that.')).toBeVisible();
    await page.goto(path ?? '');
    await expect(page.getByText('is private to others')).toBeVisible();
    await other.close();
});

test('names are searched before somebody is taken on; what is found is decided, kept and printed', async ({ desk, page }) => {
    await page.keyboard.press('g');
    await page.keyboard.press('x');
    const names = page.getByRole('textbox', { name: 'All names concerned, one a line' });
    await expect(names).toBeFocused();
    await names.fill('Hollow Pine Timber, insured\nEdith Larkin, witness\nNobody Atall');
    await page.getByRole('button', { name: 'Search', exact: true }).click();
    const found = page.getByRole('region', { name: 'Hollow Pine Timber' });
    await expect(found).toContainText('Hollow Pine Timber Yard — subsidiary of Coldwater Crane Hire — opposing side in case CA2025-002');
    await expect(page.getByRole('region', { name: 'Nobody Atall' })).toContainText('nobody in the book');
    await desk.expectAccessible();
    await found.getByRole('button', { name: /^Decide:/ }).click();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Say in a few words why/)).toBeVisible();
    await page.getByLabel('Why').fill('Both sides know and agree');
    await desk.choose(/Decision/, 'consent given', page.getByRole('dialog'));
    await page.getByLabel('Why').press('Enter');
    await expect(found).toContainText('consent given');
    await expect(page.getByText('Nothing is left to decide.')).toBeVisible();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    await expect(found).toContainText('Both sides know and agree');
    await page.emulateMedia({ media: 'screen' });
    await page.reload();
    await expect(found).toContainText('consent given');
});
