import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a record is archived with a reason, found with a mark, and restored', async ({ desk, page }) => {
    const name = unique('Mothball Trust');
    await desk.addCompany(name);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Archive this company …' }).click();
    const asked = page.getByRole('dialog', { name: `Archive ${name}?` });
    await asked.getByRole('button', { name: 'Archive' }).click();
    await expect(asked).toContainText('Say in a few words why');
    await desk.expectAccessible();
    await asked.getByLabel('Why').fill('moved to another trust');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Archived on 24 Nov 2026: moved to another trust')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Edit/ })).toHaveCount(0);
    await desk.expectAccessible();

    await desk.search(name);
    await expect(desk.answers.first()).toContainText('archived');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await page.goto(`/directory?filter=${encodeURIComponent(`name is "${name}"`)}`);
    await expect(page.getByText('Nobody in the book is that.')).toBeVisible();
    await page.getByText('show archived too').click();
    await page.getByRole('link', { name }).click();
    await page.getByRole('button', { name: 'Restore' }).click();
    await expect(page.getByRole('button', { name: 'Edit Reach' })).toBeVisible();
    await expect(desk.section('Log')).toContainText('archived: moved to another trust → in use');
});

test('archiving is undone in one press', async ({ desk, page }) => {
    const name = unique('Second Thoughts');
    await desk.addCompany(name);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: /Archive/ }).click();
    await page.getByLabel('Why').fill('no reason');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('status').filter({ hasText: `${name} is in use again.` })).toBeVisible();
});

test('what was entered by mistake is deleted; what is used is offered to be archived', async ({ desk, page }) => {
    const name = unique('Mistaek');
    await desk.addCompany(name);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Delete this company …' }).click();
    await page.getByRole('button', { name: 'Delete for good' }).click();
    await expect(page.getByRole('heading', { name: 'Directory' })).toBeVisible();
    await expect(page.getByRole('status').filter({ hasText: `${name} deleted.` })).toBeVisible();

    await desk.open('penhallow observatory');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Delete this company …' }).click();
    await page.getByRole('button', { name: 'Delete for good' }).click();
    const told = page.getByRole('alertdialog');
    await expect(told).toContainText(/It is still used by \d+ documents and payments, \d+ positions/);
    await desk.expectAccessible();
    await told.getByRole('button', { name: 'Archive it instead' }).click();
    await expect(page.getByRole('dialog', { name: 'Archive Penhallow Observatory?' })).toBeVisible();
    await page.keyboard.press('Escape');
});

test('a person is known by all that a letter needs', async ({ desk, page }) => {
    const family = unique('Ferrante').replace(' ', '-');
    await desk.search(`Ms. Juana Garcia ${family}, CPA`);
    await page.getByRole('option', { name: /Add a person named/ }).click();
    await expect(page.getByLabel('After the name')).toHaveValue('CPA');
    await expect(page.getByText('Is this right?').first()).toBeVisible();
    await page.getByLabel('Middle name').fill('');
    await page.getByLabel('Family name').fill(`Garcia ${family}`);
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('complementary')).toContainText(`Dear Ms. Garcia ${family}:`);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByLabel('Preferred name').fill('Juanita');
    await page.getByText('On first-name terms').click();
    await desk.save('Name and roles saved.');
    await expect(page.getByRole('complementary')).toContainText('Dear Juanita:');

    await page.getByRole('button', { name: 'Edit name and roles' }).click();
    await page.getByText('Has died').click();
    await page.getByLabel('On which day').fill('+5');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('That day is still to come. Check the year.')).toBeVisible();
    await page.getByLabel('On which day').fill('1 nov');
    await desk.save('Name and roles saved.');
    await expect(page.getByText('died 1 Nov 2026')).toBeVisible();
    await expect(page.getByRole('complementary')).toContainText('nobody is greeted');
});
