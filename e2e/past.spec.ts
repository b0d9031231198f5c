import { expect, test } from './desk';

test('a record is read as it was last spring, beside today, and its reach is brought back', async ({ desk, page }) => {
    await desk.signIn();
    await desk.open('Harborlight');
    await desk.more('As it was on a day …');
    const day = page.getByLabel('As it was on');
    await expect(day).toBeFocused();
    await day.fill('3/3/2026');
    await expect(page.getByText('as it was on 3 Mar 2026')).toBeVisible();
    await expect(desk.section('Reach')).toContainText('(207) 555-0133');
    await expect(desk.section('Reach')).toContainText('(207) 555-0150');
    await expect(desk.section('When we bill them')).toContainText('net 30');
    await expect(desk.section('Name and roles')).toBeVisible();
    await page.getByText('Only what differs').click();
    await expect(desk.section('Name and roles')).toBeHidden();
    await desk.expectAccessible('html', 'all');

    // From save to save, and no further than it is known.
    await page.getByRole('button', { name: 'Earlier save' }).click();
    await expect(day).toHaveValue('30 Sep 2025');
    await expect(page.getByRole('button', { name: 'Earlier save' })).toBeDisabled();
    await page.getByRole('button', { name: 'Later save' }).click();
    await expect(day).toHaveValue('17 Jun 2026');
    await day.fill('1/1/2020');
    await expect(page.getByText('It was added on 30 Sep 2025. Choose that day or a later one.')).toBeVisible();
    await day.fill('soon');
    await expect(page.getByText(/is not a date|Type a date/)).toBeVisible();
    await day.fill('3/3/2026');

    await page.getByRole('button', { name: 'Bring back Reach' }).click();
    const dialog = page.getByRole('dialog', { name: 'Reach: as on 3 Mar 2026 again?' });
    await expect(dialog).toContainText('(207) 555-0150, switchboard, primary → (207) 555-0133, switchboard, primary');
    await dialog.getByRole('button', { name: 'Save Reach as it was' }).click();
    await expect(page).toHaveURL(/\/records\/\d+#reach$/);
    await expect(desk.section('Reach')).toContainText('(207) 555-0133');
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(desk.section('Reach')).toContainText('(207) 555-0150');
});

test('a project is read as it was, with its stage and what was agreed then', async ({ desk, page }) => {
    await desk.signIn('jonas');
    await page.goto('/engagements');
    await page.getByRole('link', { name: /Transit telescope/ }).click();
    await desk.section('Log').getByRole('link', { name: 'As it was on a day' }).click();
    await page.getByLabel('As it was on').fill('1 Mar 2026');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Transit telescope: movement and circles');
    await expect(desk.section('Stage')).toContainText('At work since');
    await expect(desk.section('Title and terms')).toContainText('36,500.00');
    await expect(page.getByRole('button', { name: /Bring back/ })).toHaveCount(0);
    await page.getByLabel('Beside').fill('1 Apr 2026');
    await expect(page.getByText('Nothing differs between 1 Mar 2026 and 1 Apr 2026.')).toBeVisible();
    await desk.expectAccessible();
});
