import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a call is written into the log, pinned, and taken down again', async ({ desk, page }) => {
    await desk.addCompany(unique('Ledger Lane'));
    await page.keyboard.press('Escape');
    const log = desk.section('Log');
    await log.getByRole('button', { name: 'Write an entry' }).click();
    await expect(page.getByLabel('What happened')).toBeFocused();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Write what happened.')).toBeVisible();
    await page.getByLabel('What happened').fill('Wants the clock back\nbefore the fair.');
    await page.getByLabel('On', { exact: true }).fill('yesterday');
    await log.getByRole('button', { name: /Kind/ }).click();
    await page.getByRole('option', { name: 'call' }).click();
    await page.getByRole('combobox', { name: /With whom/ }).fill('isolde');
    await page.getByRole('option', { name: /Isolde Quill/ }).click();
    await page.getByText('pin it to the head of the page').click();
    await desk.expectAccessible();
    await page.getByLabel('What happened').focus();
    await desk.save('Added to the log.');
    await expect(log).toContainText('call · 23 Nov 2026 · Maud Ferris · with Ms. Isolde Quill');
    const head = desk.section('Name and roles');
    await expect(head).toContainText('Wants the clock back');
    await head.getByRole('button', { name: 'Unpin it' }).click();
    await expect(head).not.toContainText('Wants the clock back');

    await log.getByRole('button', { name: /Shown/ }).click();
    await page.getByRole('option', { name: 'what was said and written' }).click();
    await expect(log).not.toContainText('added as');
    await expect(log).toContainText('before the fair.');
    await log.getByRole('button', { name: 'Remove' }).click();
    await expect(log).toContainText('Nothing yet.');
});

test('a caution is seen by colleagues, and a stop lifted only by its author', async ({ desk, page, browser }) => {
    await desk.addCompany(unique('Disputed Dials'));
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Add a caution …' }).click();
    const dialog = page.getByRole('dialog', { name: /A caution on/ });
    await dialog.getByLabel('What colleagues should know').fill('The account is disputed.');
    await dialog.getByRole('button', { name: /How serious it is/ }).click();
    await page.getByRole('option', { name: /stop/ }).click();
    await dialog.getByRole('button', { name: /When to show it/ }).click();
    await page.getByRole('option', { name: 'when paying' }).click();
    await expect(dialog).toContainText('Stop when paying: The account is disputed.');
    await desk.expectAccessible();
    await dialog.getByRole('button', { name: 'Set this caution' }).click();
    const head = desk.section('Name and roles');
    await expect(head).toContainText('Stop when paying: The account is disputed.');
    await desk.expectAccessible();

    const context = await browser.newContext();
    const colleague = new (desk.constructor as typeof import('./desk').Desk)(await context.newPage());
    await colleague.signIn('tobias');
    await colleague.page.goto(page.url().replace(/\?.*/, ''));
    await expect(colleague.section('Name and roles')).toContainText('The account is disputed.');
    await expect(colleague.page.getByRole('button', { name: 'Lift it' })).toHaveCount(0);
    await context.close();

    await head.getByRole('button', { name: 'Lift it' }).click();
    await expect(head).not.toContainText('disputed');
    await expect(desk.section('Log')).toContainText('Caution: stop, when paying: The account is disputed. removed');
});

test('a relation is shown at both ends, and somebody new is added with just a name', async ({ desk, page }) => {
    const child = unique('Thea Larkin').replace(/ (\d)/, '-$1');
    await desk.open('edith larkin');
    await desk.edit('Relations');
    await page.getByRole('combobox', { name: 'A relation to whom?' }).fill(child);
    await page.getByRole('option', { name: `Add a person named “${child}”` }).click();
    const row = page.getByRole('group', { name: child });
    await row.getByRole('button', { name: /is their/ }).click();
    await page.getByRole('option', { name: 'child' }).click();
    await desk.expectAccessible();
    await row.getByLabel('Since').fill('1 Jan 1999');
    await desk.save('Relations saved.');
    await expect(desk.section('Relations')).toContainText(`child${child}`);
    await desk.section('Relations').getByRole('link', { name: child }).click();
    await expect(desk.section('Relations')).toContainText('parentMrs. Edith Larkin');

    await desk.edit('Addresses');
    await page.getByRole('button', { name: 'Use Mrs. Edith Larkin’s address' }).click();
    await page.getByRole('button', { name: 'Save addresses' }).click();
    await expect(desk.section('Addresses')).toContainText('same as Mrs. Edith Larkin, by link');
});
