import type { Page } from '@playwright/test';
import { expect, test } from '../desk';

const FOLDER = 'docs/screenshots';

async function take(page: Page, name: string): Promise<void> {
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `${FOLDER}/${name}.png`, animations: 'disabled', caret: 'hide' });
}

/** The views of the README, one picture each, from the demo office on its pinned day. */
test('pictures', async ({ desk, page }) => {
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
    await page.goto('/directory?view=map');
    await expect(page.getByRole('link', { name: /records around/ }).first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    await shoot('map');
    await page.goto('/directory/counted?by=source&period=last+12+months');
    await page.getByRole('button', { name: 'Month by month' }).click();
    await expect(page.getByRole('img', { name: /month by month/ })).toBeVisible();
    await shoot('counted');
    await page.goto('/directory');
    await expect(page.getByRole('grid').getByRole('link').first()).toBeVisible();
    await desk.search('wren brass');
    await expect(desk.answers.first()).toContainText('Silas');
    await shoot('find-with-results');
    await page.goto('/records/4/as-of?day=3%20Mar%202026');
    await expect(desk.section('Reach')).toContainText('(207) 555-0133');
    await shoot('as-of');
    await page.goto('/ledger?side=client');
    await expect(page.getByRole('gridcell', { name: /days late/ }).first()).toBeVisible();
    await shoot('ledger');

    await page.goto('/records/1');
    await expect(desk.section('When we bill them')).toContainText('is due');
    await shoot('company');


    await page.goto('/upkeep/look-alikes');
    await page.getByRole('list', { name: 'To settle' }).getByRole('button', { name: /Fairbairn/ }).click();
    await expect(page.getByRole('region', { name: 'Side by side' }).getByRole('link', { name: /Fairbairn Jr/ })).toBeVisible();
    await shoot('upkeep');
    await page.goto('/upkeep/look-alikes');
    await page.getByRole('list', { name: 'To settle' }).getByRole('button', { name: /Wren/ }).click();
    await page.getByRole('button', { name: 'They are the same …' }).click();
    await expect(page.getByRole('radiogroup', { name: 'Given name' })).toBeVisible();
    await shoot('make-one');
    await page.getByRole('button', { name: 'Make them one' }).click();
    await expect(desk.section('Name and roles')).toContainText('Made one from');
    await page.goto('/upkeep/look-alikes');
    await page.getByRole('list', { name: 'To settle' }).getByRole('button', { name: /Fairbairn/ }).click();
    await page.getByLabel('Why, in a few words').fill('Father and son');
    await page.getByRole('button', { name: 'They are different records' }).click();
    await page.goto('/imports');
    const fair = [
        'Company,First name,Last name,Position,Work phone,Mobile,E-mail,Street,City,State,Zip,Terms,Birthday',
        'Penhallow Observatory,Augusta,Penhallow,Director,802-555-0143,802-555-0199,augusta@penhallow.example,,,,,,',
        'Larch & Tolliver Joiners,Beatrix,Tolliver,Owner,802-555-0131,,beatrix@larchtolliver.example,4 Shaving Lane,Putney,VT,5346,net 30,3/4/1971',
        ',Edith,Larkin,,802-555-0190,,,9 Pond Street,Newfane,VT,05345,,',
        ',Ignatius,Pell,Verger,802-555-01,,ignatius at pell.example,2 Church Lane,Newfane,VT,05345,,31/02/1960',
    ];
    await page.locator('input[type=file]').setInputFiles({ name: 'Spring fair.csv', mimeType: 'text/csv', buffer: Buffer.from(fair.join('\n')) });
    await expect(page.getByRole('heading', { name: 'What the columns are' })).toBeVisible();
    await shoot('import-columns');
    await page.getByRole('button', { name: 'Check the lines' }).click();
    await expect(page.getByRole('heading', { name: 'The lines' })).toBeVisible();
    await shoot('import-lines');
    await page.goto('/directory');
    await page.getByRole('button', { name: 'Print' }).click();
    await page.getByRole('menuitem', { name: 'Labels and envelopes' }).click();
    await expect(page.getByRole('dialog').getByText('Achterberg')).toBeVisible();
    await shoot('labels');
    await page.keyboard.press('Escape');
    await page.goto('/directory?filter=clients%20tagged%20bells');
    await page.getByRole('button', { name: 'Print' }).click();
    await page.getByRole('menuitem', { name: 'Letters' }).click();
    await desk.choose(/Template/, 'Winter visit');
    await expect(page.getByRole('article', { name: 'How it reads' })).toContainText('before the frost');
    await shoot('letter');
    await desk.choose(/How$/, 'by email');
    await page.getByRole('button', { name: /^Send/ }).click();
    await page.getByRole('dialog').getByRole('button', { name: /^Send/ }).click();
    await page.getByRole('link', { name: 'See the outbox' }).click();
    await expect(page.getByRole('row', { name: /before the frost/ }).first()).toBeVisible();
    await shoot('outbox');

    await page.goto('/engagements');
    await expect(page.getByRole('row', { name: /Orrery for the entrance hall/ })).toBeVisible();
    await page.getByRole('link', { name: /Flooded barometer/ }).click();
    await expect(desk.section('Documents').getByRole('row').nth(1)).toBeVisible();
    await shoot('case');
    await page.goto('/conflicts');
    await page.getByRole('link', { name: /Hollow Pine/ }).click();
    await expect(page.getByText(/subsidiary of Coldwater/)).toBeVisible();
    await shoot('conflict-search');

    await page.goto('/office');
    await expect(page.getByRole('row', { name: /Jonas Pike/ })).toBeVisible();
    await shoot('office');
});
