import { readFile } from 'node:fs/promises';
import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a list is asked for by a sentence, put right, opened in pieces, kept under a name and gone through', async ({ desk, page }) => {
    const name = unique('Vermont clients');
    await page.goto('/directory');
    const line = page.getByRole('combobox', { name: 'Which records?' });
    await page.getByRole('heading', { name: 'Directory' }).click();
    await page.keyboard.press('f');
    await expect(line).toBeFocused();
    await line.fill('clientz, in vt');
    await page.keyboard.press('Enter');
    await expect(page.getByText('“clientz” is not understood. Do you mean “clients”? The list does without it.')).toBeVisible();
    await expect(line).toHaveValue('clientz, in vt');
    await desk.expectAccessible();
    // What may come next is proposed; an arrow takes it.
    await line.fill('cli');
    await expect(page.getByRole('option', { name: 'clients' })).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(line).toHaveValue('clients ');
    await page.keyboard.type('in VT');
    await page.keyboard.press('Enter');
    await expect(line).toHaveValue('clients in VT');
    await expect(page.getByRole('grid').getByRole('link', { name: 'Penhallow Observatory' })).toBeVisible();
    await expect(page.getByRole('grid').getByRole('link', { name: 'Harborlight Mutual' })).toBeHidden();
    // One more condition by choosing.
    await page.getByRole('button', { name: 'Add a condition' }).click();
    const dialog = page.getByRole('dialog', { name: 'Add a condition' });
    await dialog.getByRole('combobox', { name: 'Field' }).fill('Receivable');
    await page.getByRole('option', { name: 'Receivable', exact: true }).click();
    await desk.choose(/What is asked/, 'at least', dialog);
    await dialog.getByLabel('Compared with').fill('lots');
    await page.keyboard.press('Control+Enter');
    await expect(dialog.getByText('“lots” is not a number')).toBeVisible();
    await dialog.getByLabel('Compared with').fill('1,000');
    await page.keyboard.press('Control+Enter');
    await expect(line).toHaveValue('clients in VT, owing at least 1000.00');
    const rows = page.getByRole('grid').getByRole('link');
    await expect(rows).toHaveText(['Parish of St. Osyth', 'Penhallow Observatory']);
    // Turned round by a heading, and by two.
    await page.getByRole('button', { name: 'Receivable' }).click();
    await expect(rows).toHaveText(['Penhallow Observatory', 'Parish of St. Osyth']);
    await expect(page.getByRole('columnheader', { name: /Receivable/ })).toHaveAttribute('aria-sort', 'descending');
    await page.getByRole('button', { name: 'Name' }).click({ modifiers: ['Shift'] });
    await expect(page.getByRole('columnheader', { name: /Name/ })).toHaveAttribute('aria-sort', 'ascending');

    await page.getByRole('button', { name: 'Keep this list' }).click();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Type a name for the list.')).toBeVisible();
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.keyboard.press('Enter');
    const kept = page.getByRole('list', { name: 'Lists of the directory' }).getByRole('link', { name: new RegExp(name) });
    await expect(kept).toContainText('2');
    // A record knows its place in it.
    await rows.first().click();
    const leaves = page.getByRole('navigation', { name: 'In the list' });
    await expect(leaves).toContainText('1 of 2');
    await expect(leaves.getByRole('button', { name: /Parish of St. Osyth/ })).toBeVisible();
    await page.keyboard.press('.');
    await expect(page.getByRole('heading', { level: 1, name: 'Parish of St. Osyth' })).toBeVisible();
    await expect(leaves).toContainText('2 of 2');
    await page.keyboard.press(',');
    await expect(page.getByRole('heading', { level: 1, name: 'Penhallow Observatory' })).toBeVisible();
    await leaves.getByRole('button', { name: 'Back to the list' }).click();
    await expect(line).toHaveValue('clients in VT, owing at least 1000.00');
    // It is removed, and back by Undo.
    await page.getByRole('button', { name: 'List', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Remove this list' }).click();
    await expect(kept).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(kept).toBeVisible();
});

test('columns are chosen, put in another order and kept; a look beside the list; the list by the keyboard alone', async ({ desk, page }) => {
    await page.goto('/directory');
    await page.getByRole('button', { name: 'Columns' }).click();
    const dialog = page.getByRole('dialog', { name: 'Columns' });
    await dialog.getByRole('combobox', { name: 'Add a column' }).fill('Owner');
    await page.getByRole('option', { name: 'Owner', exact: true }).click();
    await dialog.getByRole('button', { name: 'Take out Phone' }).click();
    await desk.expectAccessible('[role=dialog]');
    await dialog.getByRole('button', { name: 'Show these columns' }).click();
    await expect(page.getByRole('columnheader', { name: 'Owner' })).toBeVisible();
    await expect(page.getByRole('columnheader', { name: 'Phone' })).toBeHidden();
    await page.reload();
    await expect(page.getByRole('columnheader', { name: 'Owner' })).toBeVisible();
    const edge = page.getByRole('separator', { name: 'Width of Name' });
    const before = Number(await edge.getAttribute('aria-valuenow'));
    await edge.focus();
    await page.keyboard.press('ArrowRight');
    await expect(edge).toHaveAttribute('aria-valuenow', String(before + 20));

    await page.keyboard.press('j');
    await expect(page.getByRole('link', { name: 'Achterberg, Desmond' })).toBeFocused();
    await page.keyboard.press('End');
    await expect(page.getByRole('grid').getByRole('link').last()).toBeFocused();
    await page.keyboard.press('Home');
    await page.keyboard.press('Space');
    await page.keyboard.press('Shift+ArrowDown');
    await expect(page.getByText('2 chosen')).toBeVisible();
    await page.keyboard.press('p');
    await expect(page.getByRole('complementary', { name: 'A look at the record' })).toContainText('Addison Street Library');
    await desk.expectAccessible();
    await page.keyboard.press('Control+a');
    await expect(page.getByText(/^\d\d chosen$/)).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByText('chosen')).toBeHidden();
    // As it was, for the tests that come after.
    await page.getByRole('button', { name: 'Columns' }).click();
    await dialog.getByRole('button', { name: 'The usual ones' }).click();
    await expect(page.getByRole('columnheader', { name: 'Phone' })).toBeVisible();
});

test('many are changed at once: tried, begun, seen under way, and taken back as one', async ({ desk, page }) => {
    const tag = unique('spring');
    await page.goto('/directory?filter=vendors');
    await page.getByRole('checkbox', { name: 'Choose all' }).check();
    await page.getByRole('button', { name: 'Change them …' }).click();
    const dialog = page.getByRole('dialog', { name: /^Change \d+ records/ });
    await desk.choose(/What is done/, 'Add tags', dialog);
    await dialog.getByRole('button', { name: 'See what it would do' }).click();
    await expect(dialog.getByText('Choose at least one.')).toBeVisible();
    await dialog.getByRole('combobox', { name: 'Tags' }).fill(tag);
    await page.keyboard.press('Enter');
    await dialog.getByRole('button', { name: 'See what it would do' }).click();
    await expect(dialog.getByRole('status')).toContainText(`Add the tag ${tag}`);
    await expect(dialog.getByRole('table').getByRole('row').nth(1)).toContainText(tag);
    await desk.expectAccessible('[role=dialog]');
    await dialog.getByRole('button', { name: /^Change \d+$/ }).click();
    const change = page.getByRole('article', { name: `Add the tag ${tag}` });
    await expect(change.getByRole('status')).toHaveText('done');
    await expect(change).toContainText(/\d+ changed/);
    await change.getByRole('button', { name: 'The records' }).click();
    await expect(change.getByRole('row').nth(1)).toContainText('changed');
    await desk.expectAccessible();
    await page.goto(`/directory?filter=${encodeURIComponent(`tagged "${tag}"`)}`);
    await expect(page.getByRole('grid').getByRole('link', { name: 'Brass Lantern Foundry' })).toBeVisible();
    await page.goto('/under-way');
    await change.getByRole('button', { name: 'Take it back' }).click();
    await expect(change.getByRole('status')).toHaveText('taken back');
    await expect(change).toContainText(/\d+ taken back/);
    await expect(change.getByRole('button', { name: 'Take it back' })).toBeHidden();
    await page.goto(`/directory?filter=${encodeURIComponent(`tagged "${tag}"`)}`);
    await expect(page.getByText('Nobody in the book is that.')).toBeVisible();
});

test('a list is counted by a field and by two, and each line opens those that it counts', async ({ desk, page }) => {
    await page.goto('/directory?filter=clients');
    await page.getByRole('radio', { name: 'Counted' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Counted by role' })).toBeVisible();
    await page.getByRole('combobox', { name: 'By', exact: true }).fill('State or region');
    await page.getByRole('option', { name: 'State or region' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Counted by state or region' })).toBeVisible();
    const [inVermont = ''] = /\d+/.exec(await page.getByRole('row', { name: /^VT/ }).innerText()) ?? [];
    await expect(page.getByRole('row', { name: /The whole list/ })).toContainText(/\d\d/);
    await desk.expectAccessible();
    await page.getByRole('link', { name: 'VT', exact: true }).click();
    await expect(page.getByRole('combobox', { name: 'Which records?' })).toHaveValue('clients in VT');
    await expect(page.getByRole('grid').getByRole('link')).toHaveCount(Number(inVermont));
});

test('a list is looked at as cards, on the map and by what is next, and kept so', async ({ desk, page }) => {
    const name = unique('Cards');
    await page.goto('/directory?filter=vendors+or+tagged+claims');
    await page.getByRole('radio', { name: 'Cards' }).click();
    await expect(page.getByRole('gridcell', { name: /^Brass Lantern Foundry/ })).toContainText('1,780.00');
    await desk.expectAccessible();
    // By the keyboard alone.
    await page.keyboard.press('j');
    await expect(page.getByRole('link', { name: 'Aebi-Müller, Regula' })).toBeFocused();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Space');
    await expect(page.getByText('1 chosen')).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Alder & Ash Cabinetmakers' })).toBeVisible();
    await page.getByRole('button', { name: 'Back to the list' }).click();
    await page.getByRole('button', { name: 'Keep this list' }).click();
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/view=cards/);

    await page.getByRole('radio', { name: 'Map' }).click();
    const map = page.getByRole('group', { name: /^A map/ });
    await expect(map.getByRole('link', { name: /records around/ }).first()).toBeVisible();
    await expect(map.getByRole('link', { name: /Switzerland/ })).toBeVisible();
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Draw a rectangle' }).click();
    const box = await map.boundingBox() ?? { x: 0, y: 0, width: 0, height: 0 };
    await page.mouse.move(box.x + 10, box.y + 10);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height - 10, { steps: 5 });
    await page.mouse.up();
    await expect(page.getByRole('combobox', { name: 'Which records?' })).toHaveValue(/, inside \d/);
    await expect(map.getByRole('link', { name: /Switzerland/ })).toBeHidden();
    await page.getByRole('button', { name: 'Everybody' }).click();
    await expect(page.getByRole('button', { name: 'Everybody' })).toBeHidden();
    await map.focus();
    await page.keyboard.press('+');
    await expect(page.getByRole('link', { name: /without an address/ }).or(page.getByText('Everybody in the list has an address.'))).toBeVisible();

    await page.getByRole('radio', { name: 'Next steps' }).click();
    await expect(page.getByRole('row').nth(1)).toContainText('past its day');
    await desk.expectAccessible();
    await page.getByRole('list', { name: 'Lists of the directory' }).getByRole('link', { name: new RegExp(name) }).click();
    await expect(page.getByRole('radio', { name: 'Cards' })).toBeChecked();
});

test('the ledger is narrowed by a sentence, kept, and gone through document by document', async ({ desk, page }) => {
    const name = unique('Large invoices');
    await page.goto('/ledger');
    await expect(page.getByRole('grid').getByRole('row').nth(1)).toBeVisible();
    await page.keyboard.press('f');
    await page.keyboard.type('invoices, above 2000');
    await page.keyboard.press('Enter');
    const rows = page.getByRole('grid').getByRole('row');
    await expect(page).toHaveURL(/filter=/);
    await expect(rows.nth(1)).toContainText('Invoice');
    await page.getByRole('button', { name: 'Total' }).click();
    await expect(page.getByRole('columnheader', { name: /Total/ })).toHaveAttribute('aria-sort', 'descending');
    await expect(page.getByRole('list', { name: 'What the list comes to' })).toContainText('Total, USD');
    await desk.expectAccessible();
    await page.getByRole('button', { name: 'Keep this list' }).click();
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Lists of the ledger' }).getByRole('link', { name })).toBeVisible();
    await rows.nth(1).getByRole('link').first().click();
    const leaves = page.getByRole('navigation', { name: 'In the list' });
    await expect(leaves).toContainText(/1 of \d/);
    await page.keyboard.press('.');
    await expect(leaves).toContainText(/2 of \d/);
    await leaves.getByRole('button', { name: 'Back to the list' }).click();
    await expect(page.getByRole('combobox', { name: 'Which documents?' })).toHaveValue('invoices, above 2000.00');
    // A draft that is opened from the list has nothing against it: it has not been tried yet.
    await page.goto('/ledger?filter=draft');
    await rows.nth(1).getByRole('link').first().click();
    await expect(page.getByRole('button', { name: 'Change it' })).toBeVisible();
    await expect(leaves).toContainText(/1 of \d/);
    await expect(page.getByText('Not issued')).toBeHidden();
});

test('a list is saved as a table and as contact cards, and a record as one card', async ({ desk, page }) => {
    await page.goto('/directory?filter=vendors&columns=number,name,role');
    await expect(page.getByRole('grid').getByRole('link').first()).toBeVisible();
    const saved = async (menu: string, what: RegExp) => {
        await page.getByRole('button', { name: menu }).click();
        const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: what }).click()]);
        const text = await readFile(await file.path(), 'utf8');
        return [file.suggestedFilename(), text] as const;
    };
    const [name, table] = await saved('Save as', /list as a table/);
    expect(name).toBe('Records.csv');
    expect(table).toContain('Number,Name,Role');
    expect(table).toContain('"Brass Lantern Foundry",vendor');
    const [, cards] = await saved('Save as', /Contact cards \(vCard/);
    expect(cards.match(/BEGIN:VCARD/g)?.length).toBeGreaterThan(10);
    await desk.open('silas wren');
    const [card, one] = await saved('More', /Save as a contact card/);
    expect(card).toMatch(/^Record-\d+\.vcf$/);
    expect(one).toContain('FN:Mr. Silas A. Wren III');
});
