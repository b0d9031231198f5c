import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { expect, test } from './desk';

const PEOPLE = [
    'Company,Contact First Name,Contact Last Name,Job Title,Work Phone,Mobile,E-mail Address,Street,City,State,Zip,Terms,Birthday,Hobby',
    'Penhallow Observatory,Augusta,Penhallow,Director,802-555-0143,802-555-0199,augusta@penhallow.example,,,,,,,',
    'Larch & Tolliver Joiners,Beatrix,Tolliver,Owner,802-555-0131,,beatrix@larchtolliver.example,4 Shaving Lane,Putney,VT,5346,net 30,3/4/1971,chess',
    'Larch & Tolliver Joiners,Rufus,Larch,Foreman,802-555-0131,802-555-0132,rufus@larchtolliver.example,,,,,,,',
    'Copper Kettle Tea Rooms,,,,802-555-0133,,hello@copperkettle.example,1 Square,Newfane,VT,05345,,,',
    ',Edith,Larkin,,,,,9 Pond Street,Newfane,VT,05345,,,',
    ',Ignatius,Pell,Verger,802-555-01,,ignatius at pell.example,,,,,,31/02/1960,',
];

function file(name: string, lines: string[]) {
    return { name, mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) };
}

test('a spreadsheet of people is understood, what is doubtful and wrong is settled, it is imported and taken back', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/directory');
    await page.getByRole('link', { name: 'Import a file' }).click();
    await expect(page.getByRole('heading', { name: 'Import a file' })).toBeVisible();
    await desk.expectAccessible();
    await page.locator('input[type=file]').setInputFiles(file('people.csv', PEOPLE));
    await expect(page.getByRole('heading', { name: 'What the columns are' })).toBeVisible();
    const main = page.getByRole('main');
    await expect(main).toContainText('6 lines. 1 of 14 columns are left out.');
    await expect(page.getByRole('combobox', { name: 'What Contact First Name is' })).toHaveValue('Given name');
    await expect(page.getByRole('combobox', { name: 'What Mobile is' })).toHaveValue('Phone, mobile');
    await desk.expectAccessible();
    // A column that nobody knows is something of the office's own, or a tag.
    const hobby = page.getByRole('combobox', { name: 'What Hobby is' });
    await expect(hobby).toHaveValue('left out');
    await hobby.click();
    await page.keyboard.press('Control+A');
    await page.keyboard.type('tag');
    await expect(page.getByRole('option', { name: 'Tags', exact: true })).toBeVisible();
    // Before what is typed narrows the list, its first is “left out”.
    await expect(page.getByRole('option').first()).toHaveText('Tags');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(hobby).toHaveValue('Tags');
    await page.keyboard.press('Control+Enter');

    await expect(page.getByRole('heading', { name: 'The lines' })).toBeVisible();
    const kinds = page.getByRole('radiogroup', { name: 'Which lines' });
    await expect(kinds.getByRole('radio')).toHaveText(['new 3', 'changes a record 1', 'doubtful 1', 'wrong 1']);
    // First what somebody has to look at: there is an Edith Larkin in the book.
    const edith = page.getByRole('listitem', { name: 'Line 6, Edith Larkin' });
    await expect(edith).toContainText('It may be somebody who is in the book.');
    await desk.expectAccessible();
    await edith.getByRole('button', { name: /It is Mrs. Edith Larkin/ }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['new 3', 'changes a record 1', 'the same already 1', 'wrong 1']);
    // The wrong line shows its cells, each with what is wrong; it is mended where it stands.
    const pell = page.getByRole('listitem', { name: /^Line 7/ });
    await expect(pell.getByText('There is no 31 February: February 1960 has 29 days.')).toBeVisible();
    await pell.getByRole('textbox', { name: 'Birthday' }).fill('28/02/1960');
    await pell.getByRole('textbox', { name: 'Work Phone' }).fill('802-555-0137');
    await pell.getByRole('textbox', { name: 'E-mail Address' }).fill('ignatius@pell.example');
    await page.keyboard.press('Control+Enter');
    await expect(kinds.getByRole('radio')).toHaveText(['new 4', 'changes a record 1', 'the same already 1']);
    await kinds.getByRole('radio', { name: /changes/ }).click();
    const augusta = page.getByRole('listitem', { name: /^Line 2/ });
    await expect(augusta).toContainText('Phone 802-555-0199 mobile');

    await page.getByRole('button', { name: 'Import 5 records' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'imported' })).toBeVisible();
    await expect(kinds.getByRole('radio')).toHaveText(['added 4', 'changed 1']);
    await desk.expectAccessible();
    await kinds.getByRole('radio', { name: /added/ }).click();
    await page.getByRole('link', { name: 'Beatrix Tolliver' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Beatrix Tolliver' })).toBeVisible();
    await expect(desk.section('Positions')).toContainText('Larch & Tolliver Joiners');
    await expect(page.getByRole('main')).toContainText('05346');
    await page.goBack();
    // The same file again changes nothing.
    await page.goto('/imports');
    await page.locator('input[type=file]').setInputFiles(file('people.csv', PEOPLE.slice(0, 5)));
    // What its columns are is remembered, the tags too.
    await expect(page.getByRole('combobox', { name: 'What Hobby is' })).toHaveValue('Tags');
    await page.getByRole('button', { name: 'Check the lines' }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['the same already 4']);
    await expect(page.getByRole('button', { name: /^Import/ })).toBeHidden();
    await page.getByRole('button', { name: 'Discard this file' }).click();
    await expect(page.getByText('people.csv is discarded. What was imported stays.')).toBeVisible();
    await page.getByRole('link', { name: 'people.csv' }).click();
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['taken back 5']);
    await page.keyboard.press('/');
    await desk.find.fill('tolliver');
    await expect(page.getByRole('option', { name: 'Add a company named “tolliver”' })).toBeVisible();
    await expect(page.getByRole('option', { name: /Beatrix/ })).toBeHidden();
});

test('a list of names is kept up: what was left out says what to do, and handed in again only what is new comes in', async ({ desk, page }) => {
    await desk.signIn();
    const names = ['First,Last', 'Ottilie,Marchbanks', ',Dunmore', 'Ottilie,Marchbanks'];
    const handIn = async (lines: string[]) => {
        await page.goto('/imports');
        await page.locator('input[type=file]').setInputFiles(file('names.csv', lines));
        await page.getByRole('button', { name: 'Check the lines' }).click();
    };
    await handIn(names);
    const kinds = page.getByRole('radiogroup', { name: 'Which lines' });
    await expect(kinds.getByRole('radio')).toHaveText(['new 2', 'doubtful 1']);
    await expect(page.getByRole('listitem', { name: 'Line 4, Ottilie Marchbanks' })).toContainText('Line 2 of the file looks the same.');
    await page.getByRole('button', { name: 'Import 2 records' }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['added 2', 'doubtful 1']);
    await expect(page.getByText('Not imported. Hand the file in once more to decide them: what was imported is the same already then.')).toBeVisible();
    await handIn([...names.slice(0, 3), 'Ida,Holm']);
    await expect(kinds.getByRole('radio')).toHaveText(['new 1', 'the same already 2']);
    await page.getByRole('button', { name: 'Import 1 record' }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['added 1']);
});

test('what cannot be read says so, and a table to fill in and the whole list go out and come in again', async ({ desk, page }) => {
    await desk.signIn('tobias');
    await page.goto('/imports');
    await page.locator('input[type=file]').setInputFiles({ name: 'people.csv', mimeType: 'text/csv', buffer: Buffer.from('%PDF-1.7\n') });
    await expect(page.getByRole('alert').filter({ hasText: 'people.csv: This is not a text table. Save it as CSV first.' })).toBeVisible();
    const downloading = page.waitForEvent('download');
    await page.getByRole('link', { name: 'as CSV' }).click();
    const template = await readFile(await (await downloading).path(), 'utf8');
    expect(template).toContain('Given name');
    expect(template).toContain('# for example: person');
    // From the list as a spreadsheet, and in again.
    await page.goto('/directory');
    await page.getByRole('button', { name: 'Save as' }).click();
    const saving = page.waitForEvent('download');
    await page.getByRole('menuitem', { name: 'Everything of these records (XLSX)' }).click();
    const book = await saving;
    expect(book.suggestedFilename()).toBe('Records.xlsx');
    await page.goto('/imports');
    await page.locator('input[type=file]').setInputFiles({
        name: 'Records.xlsx', mimeType: 'application/octet-stream', buffer: await readFile(await book.path()),
    });
    await expect(page.getByRole('main')).toContainText('Every column is understood.');
    await page.getByRole('button', { name: 'Check the lines' }).click();
    await expect(page.getByRole('radiogroup', { name: 'Which lines' }).getByRole('radio')).toHaveText([/^the same already \d\d$/]);
});

test('an administrator allows an address book elsewhere, and its contacts come in as a file does', async ({ desk, page }) => {
    const place = `127.0.0.1:${8441 + test.info().parallelIndex}`;
    const book = spawn('php', ['-S', place, 'bin/address-book-elsewhere.php'], { stdio: 'ignore' });
    try {
        await desk.signIn();
        await page.goto('/imports');
        await page.getByRole('link', { name: 'Office' }).last().click();
        await page.getByLabel(/^Where address books elsewhere may be read/).fill(`http://${place}/`);
        await page.keyboard.press('Control+Enter');
        await expect(page.getByText('Office saved.')).toBeVisible();
        await page.goto('/imports');
        await page.getByRole('button', { name: 'Fetch its contacts' }).focus();
        await page.keyboard.press('Enter');
        const form = page.getByRole('form', { name: 'An address book elsewhere' });
        await expect(form.getByRole('combobox', { name: 'Address' })).toHaveValue(`http://${place}`);
        await form.getByLabel('Name there').fill('maud');
        await form.getByLabel('Password there').fill('guessed');
        await page.keyboard.press('Control+Enter');
        await expect(page.getByText('It does not take that name and password.')).toBeVisible();
        await expect(form.getByLabel('Name there')).toHaveValue('maud');
        await form.getByLabel('Password there').fill('pendulum-1742');
        await desk.expectAccessible();
        await page.keyboard.press('Control+Enter');
        await expect(page.getByRole('heading', { name: 'How it is taken' })).toBeVisible();
        await page.getByRole('button', { name: 'Check the lines' }).click();
        await expect(page.getByRole('button', { name: 'Import 40 records' })).toBeVisible();
    } finally {
        book.kill();
    }
});

test('a table of documents in foreign words is said to be one, its columns by hand, and imported and taken back', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/imports');
    await page.locator('input[type=file]').setInputFiles({
        name: 'Rechnungen.csv', mimeType: 'text/csv',
        buffer: Buffer.from([
            'Art;Nummer;Kunde;Datum;Betrag', 'invoice;R-1;Penhallow Observatory;13/11/2026;1.250,50', 'invoice;R-2;Die Sternwarte;14/11/2026;20',
            'invoice;R-3;die sternwarte;14/11/2026;30', 'invoice;R-4;Penhallow Observatory;31/02/2026;40',
        ].join('\n')),
    });
    await expect(page.getByRole('heading', { name: 'What the columns are' })).toBeVisible();
    await desk.choose(/What is in it$/, 'documents');
    // It is read anew, and the field that was chosen in is where the keyboard stays.
    await expect(page.getByRole('button', { name: 'Check the documents' })).toBeVisible();
    await expect(page.getByRole('button', { name: /What is in it$/ })).toBeFocused();
    for (const [heading, what] of [['Art', 'Kind of document'], ['Nummer', 'Number'], ['Kunde', 'Client or vendor'], ['Datum', 'Date'], ['Betrag', 'Amount']]) {
        const field = page.getByRole('combobox', { name: `What ${heading} is` });
        await expect(field).toHaveValue('left out');
        await field.fill(what ?? '');
        // Before what is typed narrows the list, its first is “left out”.
        await expect(page.getByRole('option').first()).toHaveText(what ?? '');
        await page.keyboard.press('ArrowDown');
        await page.keyboard.press('Enter');
        await expect(field).toHaveValue(what ?? '');
    }
    await desk.choose(/Amounts$/, '1.250,50');
    await desk.expectAccessible();
    await page.keyboard.press('Control+Enter');
    const kinds = page.getByRole('radiogroup', { name: 'Which documents' });
    await expect(kinds.getByRole('radio')).toHaveText(['new 1', 'doubtful 2', 'wrong 1']);
    // Whose it is is chosen once for all of that name, by the keyboard.
    const star = page.getByRole('listitem', { name: 'Line 3, Invoice R-2' });
    await expect(star).toContainText('“Die Sternwarte” is not in the book.');
    await desk.expectAccessible();
    await star.getByRole('button', { name: 'Choose whose it is' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('combobox', { name: 'Whose Invoice R-2 is' })).toBeFocused();
    await page.keyboard.type('parish of st. os');
    await expect(page.getByRole('option').first()).toContainText('Parish of St. Osyth');
    await page.keyboard.press('Enter');
    await expect(kinds.getByRole('radio')).toHaveText(['new 3', 'wrong 1']);
    // What comes next is the one that is wrong: it is mended where it stands.
    const wrong = page.getByRole('listitem', { name: /^Line 5/ });
    await wrong.getByRole('textbox', { name: 'Datum' }).fill('28/02/2026');
    await page.keyboard.press('Control+Enter');
    await expect(kinds.getByRole('radio')).toHaveText(['new 4']);
    await page.getByRole('button', { name: 'Columns and choices' }).click();
    await page.getByRole('button', { name: 'Back to the documents' }).click();
    await page.getByRole('button', { name: 'Import 4 documents' }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['added 4']);
    await desk.expectAccessible();
    await page.getByRole('link', { name: 'Invoice R-1' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Invoice R-1' })).toBeVisible();
    await page.goBack();
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(kinds.getByRole('radio')).toHaveText(['taken back 4']);
    await page.goto('/ledger?q=R-2');
    await expect(page.getByRole('main')).not.toContainText('R-2');
});
