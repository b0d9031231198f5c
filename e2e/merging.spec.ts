import { expect, test, type Desk } from './desk';
import type { Page } from '@playwright/test';

interface Added {
    id: number;
    number: number;
}

/** Enters something as the page does, without its form. */
async function send<T>(page: Page, method: string, path: string, body: unknown): Promise<T> {
    return page.evaluate(async ([how, where, what]) => {
        const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
        const answer = await fetch(where, {
            method: how,
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
            body: JSON.stringify(what),
        });
        if (!answer.ok) {
            throw new Error(`${where}: ${await answer.text()}`);
        }
        return await answer.json() as T;
    }, [method, path, body] as const);
}

async function person(page: Page, given: string, family: string, phones: string[]): Promise<Added> {
    const { party } = await send<{ party: Added }>(page, 'POST', '/api/parties', { kind: 'person', given, family, isClient: true, isVendor: false });
    await send(page, 'PUT', `/api/parties/${party.id}/reach`, {
        version: 0,
        contactPoints: phones.map((value) => ({
            id: null, kind: 'phone', value, label: 'office', uses: [], isPrimary: false, sameAsId: null, addressUseId: null,
        })),
    });
    return party;
}

const says = (page: Page, text: string | RegExp) => expect(page.getByRole('status').filter({ hasText: text })).toBeVisible();

async function madeOne(desk: Desk, page: Page, records: Added[]): Promise<void> {
    await page.goto(`/upkeep/make-one?records=${records.map(({ id }) => id).join(',')}`);
    await page.getByRole('button', { name: 'Make them one' }).click();
    await says(page, 'are one record');
    await expect(desk.section('Reach')).toBeVisible();
}

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a sure pair is made one by the keyboard alone, and everything leads to it', async ({ desk, page }) => {
    await page.goto('/upkeep/look-alikes');
    const sides = desk.section('Side by side');
    await expect(sides.getByRole('link', { name: 'Measured Time Museum' })).toBeVisible();
    const gone = await sides.getByRole('link', { name: 'Measured Time Museum' }).getAttribute('href') ?? '';
    await page.keyboard.press('s');
    await expect(page.getByRole('heading', { level: 1, name: 'Make one of Museum of Measured Time and Measured Time Museum' })).toBeVisible();
    await expect(page.getByRole('radio', { name: /Museum of Measured Time.*the fuller name/ })).toBeChecked();
    await expect(desk.section('Reach')).toContainText('a double: what it says besides goes to the other');
    await desk.expectAccessible();
    // From the field of the reason, as from anywhere in the form; Enter alone does nothing of such weight.
    await page.getByLabel('Why, in a few words').focus();
    await page.keyboard.type('Entered twice');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Make them one' })).toBeVisible();
    await page.keyboard.press('Control+Enter');
    await says(page, 'are one record');
    await expect(page.getByRole('heading', { level: 1, name: 'Museum of Measured Time' })).toBeVisible();
    await expect(desk.section('Name and roles')).toContainText(/Made one from no\. \d+ Measured Time Museum/);
    const kept = page.url();

    await page.goto(gone);
    await expect(page).toHaveURL(kept);
    await expect(desk.section('Reach')).toBeVisible();
    await desk.search('measured time museum');
    await expect(desk.answers.first()).toContainText('Museum of Measured Time');
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'see it as it was' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Measured Time Museum' })).toBeVisible();
    await expect(desk.section('Not taken over')).toContainText('90 Longitude St., Boston, MA 02108');
    await desk.expectAccessible();
    await page.goto('/upkeep/look-alikes?show=decided');
    await expect(page.getByRole('row', { name: /Measured Time Museum/ })).toContainText('made one, by Maud Ferris');
    await expect(page.getByRole('row', { name: /Measured Time Museum/ })).toContainText('Entered twice');
});

test('of a pair with conflicts each value is chosen, a line struck, another called otherwise and put first', async ({ desk, page }) => {
    const robert = await person(page, 'Robert', 'Ainslie', ['802 555 0142', '802 555 0143']);
    const bob = await person(page, 'Bob', 'Ainslie', ['(802) 555-0142', '802 555 0144']);
    await page.goto(`/upkeep/make-one?records=${robert.id},${bob.id}`);
    const given = page.getByRole('radiogroup', { name: 'Given name' });
    await expect(given.getByRole('radio', { name: /Robert/ })).toBeChecked();
    await given.getByText('Bob', { exact: false }).click();
    await expect(given.getByRole('radio', { name: /Bob/ })).toBeChecked();
    const reach = desk.section('Reach');
    await reach.getByText('Keep Phone (802) 555-0143').or(reach.getByRole('checkbox', { name: /0143/ })).first().setChecked(false, { force: true });
    await expect(reach).toContainText('struck: kept in the history only');
    await reach.getByLabel('What (802) 555-0144, office is called').fill('workshop');
    await reach.getByRole('button', { name: /Put Phone \(802\) 555-0144.* first/ }).click();
    await expect(reach.getByText('comes first')).toBeVisible();
    await desk.expectAccessible();
    await desk.resize(390);
    await expect(page.getByRole('button', { name: 'Make them one' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await desk.resize(1280);
    // Who leaves now is asked first.
    await page.getByRole('link', { name: 'Leave them apart' }).click();
    await page.getByRole('alertdialog').getByRole('button', { name: 'Stay here' }).click();
    await page.getByRole('button', { name: 'Make them one' }).click();
    await says(page, 'are one record');
    await expect(page.getByRole('heading', { level: 1, name: 'Bob Ainslie' })).toBeVisible();
    await expect(desk.section('Reach')).toContainText('(802) 555-0144workshop, primary');
    await expect(desk.section('Reach')).not.toContainText('0143');
});

test('several that are nearly sure are made one in one go; who is not ticked stays', async ({ desk, page }) => {
    for (const [given, family, phone] of [['Leontine', 'Quillfeather', '802 555 0171'], ['Barnabas', 'Oddershede', '802 555 0172']] as const) {
        await person(page, given, family, [phone]);
        await person(page, given, family, [phone]);
    }
    await page.goto('/upkeep/look-alikes');
    const list = page.getByRole('list', { name: 'To settle' });
    await page.getByRole('button', { name: 'Go through the book' }).click();
    await expect(list.getByRole('button', { name: /Oddershede/ })).toContainText('nearly sure');
    await page.getByRole('link', { name: 'Settle those together …' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Make several one' })).toBeVisible();
    const one = page.getByRole('region', { name: /Quillfeather/ });
    await expect(one).toContainText('stays');
    await one.getByRole('button', { name: /^See/ }).click();
    await expect(one.getByRole('region', { name: 'Reach' })).toContainText('(802) 555-0171');
    await desk.expectAccessible();
    await page.getByRole('checkbox', { name: /Measured Time/ }).setChecked(false, { force: true });
    await page.getByRole('button', { name: /^Make one of each of these/ }).click();
    await says(page, 'Each can be taken apart at any time.');
    await expect(one).toContainText('made one');
    await expect(page.getByRole('region', { name: /Oddershede/ })).toContainText('made one');
    await expect(page.getByRole('region', { name: /Measured Time/ })).not.toContainText('made one');
    await page.getByRole('link', { name: 'Back to the look-alikes' }).click();
    await expect(list.getByRole('button', { name: /Measured Time/ })).toBeVisible();
    await expect(list.getByRole('button', { name: /Quillfeather/ })).toBeHidden();
});

test('a refusal says where it is cleared; a clerk proposes, and an approver does it', async ({ desk, page }) => {
    const robert = await person(page, 'Robert', 'Ainslie', ['802 555 0142']);
    const bob = await person(page, 'Bob', 'Ainslie', ['802 555 0144']);
    const tax = (value: string) => ({
        version: 0, taxNumbers: [{ id: null, kind: 'SSN', country: '', value }],
        formOn: '', formBy: '', formFileId: null, reportChoice: 'by-rule', isAttorney: false,
    });
    await send(page, 'PUT', `/api/parties/${robert.id}/tax-numbers`, tax('123-45-6789'));
    await send(page, 'PUT', `/api/parties/${bob.id}/tax-numbers`, tax('123-45-6780'));
    await desk.signIn('tobias');
    await page.goto(`/upkeep/make-one?records=${robert.id},${bob.id}`);
    const refused = page.getByRole('alert').filter({ hasText: 'They cannot be made one yet' });
    await expect(refused).toContainText('have different numbers');
    await expect(page.getByRole('button', { name: 'Propose it to an approver' })).toBeDisabled();
    await desk.expectAccessible();
    await refused.getByRole('link', { name: /Open no\./ }).click();
    const numbers = await desk.edit('Tax numbers');
    await numbers.getByRole('button', { name: /^Remove/ }).first().click();
    await desk.save('Tax numbers saved.');
    await page.goBack();
    await page.getByLabel('Why, in a few words').fill('The same man');
    await page.getByRole('button', { name: 'Propose it to an approver' }).click();
    await says(page, 'Proposed. An approver finds it under Look-alikes.');
    await expect(desk.section('Proposed')).toContainText('proposed by Tobias Reed');

    await desk.sessionEnds();
    await desk.signIn('cordelia');
    await page.goto('/upkeep/look-alikes');
    await desk.section('Proposed').getByRole('link', { name: /Ainslie/ }).click();
    await expect(page.getByLabel('Why, in a few words')).toHaveValue('The same man');
    await page.getByRole('button', { name: 'Make them one' }).click();
    await says(page, 'are one record');
    await page.goto('/upkeep/look-alikes');
    await expect(page.getByRole('heading', { level: 1, name: 'Look-alikes' })).toBeVisible();
    await expect(desk.section('Proposed')).toBeHidden();
});

test('taken apart after a new invoice and a changed phone: each goes where it is said', async ({ desk, page }) => {
    const robert = await person(page, 'Robert', 'Ainslie', ['802 555 0142']);
    const bob = await person(page, 'Bob', 'Ainslie', ['802 555 0144']);
    await madeOne(desk, page, [robert, bob]);
    const invoice = await send<{ row: { id: number; version: number } }>(page, 'POST', `/api/parties/${robert.id}/documents`, {
        kind: 'invoice', date: '', due: '', terms: 'net 30', treatment: 'exclusive', currency: 'USD', number: '', reference: '', note: '',
        lines: [{ text: 'The dial', quantity: '', price: '120', discount: '', taxRateId: null, accountId: null, costCentreIds: [] }],
    });
    const reach = await desk.edit('Reach');
    await reach.getByRole('textbox', { name: 'Phone' }).last().fill('802 555 0145');
    await desk.save('Reach saved.');

    await page.getByRole('link', { name: /^Take no\./ }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Take Robert Ainslie and Bob Ainslie apart' })).toBeVisible();
    await expect(desk.section('What goes back')).toContainText('1 phone or email');
    const came = desk.section('What came since');
    await expect(came).toContainText('USD 120.00');
    await desk.choose(/120\.00 goes to/, `no. ${bob.number} Bob Ainslie`, came);
    await expect(desk.section('What was changed since')).toContainText('(802) 555-0145');
    await desk.expectAccessible();
    await desk.resize(390);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await desk.resize(1280);
    await page.getByRole('button', { name: 'Take them apart' }).click();
    await says(page, 'are records of their own again');
    await expect(desk.section('Reach')).toContainText('(802) 555-0142');
    await expect(desk.section('Reach')).not.toContainText('0145');
    await page.goto(`/records/${bob.id}`);
    await expect(page.getByRole('heading', { level: 1, name: 'Bob Ainslie' })).toBeVisible();
    await expect(desk.section('Reach')).toContainText('(802) 555-0145');
    await expect(desk.section('Documents')).toContainText('120.00');
    await page.goto(`/documents/${invoice.row.id}`);
    await expect(page.getByRole('link', { name: 'Bob Ainslie' }).first()).toBeVisible();
});

test('two that are chosen in the directory are made one, but not while somebody changes one of them', async ({ desk, page, browser, baseURL }) => {
    const robert = await person(page, 'Robert', 'Ainslie', ['802 555 0142']);
    await person(page, 'Bob', 'Ainslie', ['802 555 0144']);
    const other = await (await browser.newContext({ baseURL })).newPage();
    await other.context().addCookies(await page.context().cookies());
    await page.goto('/directory?filter=Ainslie');
    await expect(page.getByRole('row', { name: /Ainslie/ })).toHaveCount(2);
    await page.getByRole('row', { name: /Bob Ainslie/ }).getByRole('checkbox').setChecked(true, { force: true });
    await page.getByRole('row', { name: /Robert Ainslie/ }).getByRole('checkbox').setChecked(true, { force: true });
    await page.getByRole('link', { name: 'Make one …' }).click();
    await expect(page.getByRole('button', { name: 'Make them one' })).toBeEnabled();

    // A colleague has it open.
    await send(page, 'PUT', `/api/parties/${robert.id}/reach`, { version: 1, contactPoints: [] });
    await page.getByRole('button', { name: 'Make them one' }).click();
    const stale = page.getByRole('alert').filter({ hasText: 'Not made one' });
    await expect(stale).toContainText('in the meantime');
    await stale.getByRole('button', { name: 'Look at them again' }).click();
    await expect(desk.section('Reach')).not.toContainText('0142');
    await page.getByRole('button', { name: 'Make them one' }).click();
    await says(page, 'are one record');
    await other.context().close();
});
