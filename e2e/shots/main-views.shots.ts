import type { Page } from '@playwright/test';
import { expect, PASSWORD, test } from '../desk';

const FOLDER = 'docs/screenshots';

async function take(page: Page, name: string): Promise<void> {
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `${FOLDER}/${name}.png`, animations: 'disabled', caret: 'hide' });
}

/** The views of the README, one picture each, from the demo office on its pinned day. */
test('pictures', async ({ desk, page, browser }) => {
    test.setTimeout(180_000);
    const shoot = (name: string) => take(page, name);

    await desk.signIn();
    await expect(page.getByText('Ask the verger')).toBeVisible();
    await shoot('today');
    await page.goto('/directory?filter=clients%2C+owing+something&sort=receivable');
    const lines = page.getByRole('grid').locator('tbody input[type=checkbox]');
    await expect(lines.nth(3)).toBeVisible();
    await lines.nth(1).click();
    await lines.nth(3).click({ modifiers: ['Shift'] });
    await expect(page.getByText('3 chosen')).toBeVisible();
    await shoot('directory');
    await page.getByRole('button', { name: 'Change them …' }).click();
    await desk.choose(/Who/, 'Jonas Pike', page.getByRole('dialog'));
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await expect(page.getByRole('dialog').getByRole('table')).toBeVisible();
    await shoot('many-at-once');
    await page.keyboard.press('Escape');
    await page.goto('/directory');
    await expect(page.getByRole('grid').getByRole('link').first()).toBeVisible();
    await desk.search('wren brass');
    await expect(desk.answers.first()).toContainText('Silas');
    await shoot('find-with-results');
    await page.goto('/records/4');
    await expect(desk.section('Documents')).toContainText('days late');
    await shoot('standing');
    await page.goto('/records/4/as-of?day=3%20Mar%202026');
    await expect(desk.section('Reach')).toContainText('(207) 555-0133');
    await shoot('as-of');
    await page.goto('/ledger?side=client');
    await expect(page.getByRole('cell', { name: /days late/ }).first()).toBeVisible();
    await shoot('ledger');

    await page.goto('/records/1');
    await expect(desk.section('When we bill them')).toContainText('is due');
    await shoot('company');

    await page.goto('/records/14');
    await expect(desk.section('Log')).toContainText('added as');
    await shoot('person');

    await page.goto('/records/3');
    await desk.edit('When we bill them');
    await page.getByRole('combobox', { name: /Payment terms/ }).fill('2/10 net 30, next business day');
    await desk.section('When we bill them').getByLabel('An invoice dated').fill('31 jan');
    await expect(desk.section('When we bill them')).toContainText('37.24%');
    await page.evaluate(() => document.getElementById('client-terms')?.scrollIntoView({ block: 'center' }));
    await shoot('terms-preview');

    await page.goto('/records/8');
    await desk.edit('Reach');
    const colleague = await (await browser.newContext()).newPage();
    await colleague.goto('/sign-in');
    await colleague.getByLabel('Email').fill('tobias@orreryvane.example');
    await colleague.getByLabel('Password').fill(PASSWORD);
    await colleague.keyboard.press('Enter');
    await colleague.getByRole('heading', { name: 'Today' }).waitFor();
    await colleague.goto('/records/8');
    await colleague.getByRole('button', { name: 'Edit Reach' }).click();
    await colleague.getByRole('textbox', { name: 'Phone' }).fill('802-555-0181');
    await colleague.keyboard.press('Control+Enter');
    await colleague.getByText('Reach saved.').waitFor();
    await page.getByRole('textbox', { name: 'Phone' }).fill('802-555-0182');
    await page.keyboard.press('Control+Enter');
    await page.getByRole('button', { name: 'Save mine instead' }).waitFor();
    await shoot('two-people-one-section');
    await colleague.close();

    await page.goto('/add/person?name=Si%20Wrenn');
    await expect(page.getByText('in the book already')).toBeVisible();
    await shoot('look-alikes');

    await page.goto('/upkeep');
    await expect(page.getByText('the second was added by')).toBeVisible();
    await expect(page.getByText('Go there').first()).toBeVisible();
    await shoot('upkeep');

    await page.goto('/engagements');
    await expect(page.getByRole('row', { name: /Orrery for the entrance hall/ })).toBeVisible();
    await shoot('engagements');
    await page.getByRole('link', { name: /Flooded barometer/ }).click();
    await expect(desk.section('Documents').getByRole('row').nth(1)).toBeVisible();
    await shoot('case');
    await page.goto('/conflicts');
    await page.getByRole('link', { name: /Hollow Pine/ }).click();
    await expect(page.getByText(/subsidiary of Coldwater/)).toBeVisible();
    await shoot('conflict-search');

    await page.goto('/records/1');
    await expect(desk.section('Details')).toContainText('The porter');
    await expect(desk.section('Log')).toContainText('Works and keys');
    await page.evaluate(() => document.getElementById('details')?.scrollIntoView({ block: 'center' }));
    await shoot('details');

    await page.goto('/office');
    await expect(page.getByRole('row', { name: /Jonas Pike/ })).toBeVisible();
    await shoot('office');

    await page.emulateMedia({ colorScheme: 'dark' });
    await page.goto('/records/9');
    await expect(desk.section('When we pay them')).toContainText('is due');
    await shoot('by-lamp');
});
