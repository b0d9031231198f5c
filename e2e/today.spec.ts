import { expect, test, unique } from './desk';

const PDF =
    '%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj 2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj 3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 300 200]>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('a reminder is set, seen today, put off, and done', async ({ desk, page }) => {
    const what = unique('Wind the clock');
    await desk.addCompany(unique('Winding'));
    await page.keyboard.press('Escape');
    const section = desk.section('Reminders');
    await section.getByRole('button', { name: 'Set a reminder' }).click();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Write what to do.')).toBeVisible();
    await page.getByLabel('What to do').fill(what);
    await page.getByLabel('On', { exact: true }).fill('3 Nov');
    await page.getByLabel('At', { exact: true }).fill('half past');
    await section.getByRole('combobox', { name: 'Again' }).fill('every week');
    await page.keyboard.press('Escape');
    await page.getByLabel('What to do').focus();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('“half past” is not a time.')).toBeVisible();
    await page.getByLabel('At', { exact: true }).fill('8:30');
    await page.evaluate(() => window.scrollTo(0, 0));
    await desk.expectAccessible();
    await desk.save('Reminder set.');
    await expect(section).toContainText('Tue 3 Nov 2026, 08:30 · every week');

    await page.keyboard.press('g');
    await page.keyboard.press('t');
    const todo = desk.section('To do');
    await expect(todo).toContainText(what);
    await expect(page.getByRole('link', { name: /Today.*due/ })).toBeVisible();
    await desk.expectAccessible();
    const line = todo.getByRole('listitem').filter({ hasText: what });
    await line.getByRole('button', { name: 'Put off' }).click();
    await page.getByRole('menuitem', { name: 'Until another day …' }).click();
    await page.getByLabel('Until', { exact: true }).fill('yesterday');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Choose a day from today on.')).toBeVisible();
    await page.getByLabel('Until', { exact: true }).fill('tomorrow');
    await page.keyboard.press('Enter');
    const soon = desk.section('In the next seven days');
    await expect(soon).toContainText(what);
    await soon.getByRole('button', { name: `Done: ${what}` }).click();
    await expect(soon.getByRole('listitem').filter({ hasText: what })).toContainText('Tue 1 Dec 2026, 08:30');
});

test('reminders are read in a calendar program at a secret address', async ({ page, request }) => {
    await page.getByRole('button', { name: 'See them in a calendar program …' }).click();
    await page.getByRole('button', { name: 'Make an address' }).click();
    const address = await page.getByLabel('Your address, shown only now').inputValue();
    const feed = await (await request.get(address)).text();
    expect(feed).toContain('BEGIN:VCALENDAR');
    expect(feed).toContain('Ask the verger');
    expect((await request.get(address.replace(/.\.ics$/, '_.ics'))).status()).toBe(200);
    expect(await (await request.get(address.replace(/.\.ics$/, '_.ics'))).text()).not.toContain('VCALENDAR');
});

test('files are sent, shown, given a date, and remind of it', async ({ desk, page }) => {
    await desk.addCompany(unique('Papers'));
    await page.keyboard.press('Escape');
    const files = desk.section('Files');
    await files.locator('input[type=file]').setInputFiles([
        { name: 'insurance.pdf', mimeType: 'application/pdf', buffer: Buffer.from(PDF) },
        { name: 'page.html', mimeType: 'text/html', buffer: Buffer.from('<html><script>1</script></html>') },
        { name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('Ring twice.') },
    ]);
    await expect(page.getByRole('status').filter({ hasText: '2 files kept.' })).toBeVisible();
    await expect(files).toContainText('“page.html” is a kind of file that is not kept here.');
    await desk.expectAccessible();
    await files.getByRole('button', { name: 'Dismiss' }).click();
    await files.getByRole('button', { name: 'Show insurance.pdf' }).click();
    await expect(page.getByTitle('insurance.pdf')).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).click();
    await files.getByRole('button', { name: 'Change insurance.pdf' }).click();
    const dialog = page.getByRole('dialog', { name: 'The file insurance.pdf' });
    await dialog.getByLabel('Expires on').fill('31 Feb');
    await dialog.getByRole('button', { name: 'Save it' }).click();
    await expect(dialog).toContainText('There is no 31 February');
    await dialog.getByLabel('Expires on').fill('+40');
    await desk.choose(/What it is/, 'certificate', dialog);
    await desk.expectAccessible();
    await dialog.getByRole('button', { name: 'Save it' }).click();
    await expect(files).toContainText('until 3 Jan 2027');
    await expect(desk.section('Reminders')).toContainText('“insurance.pdf” expires on 3 Jan 2027');
    const [download] = await Promise.all([page.waitForEvent('download'), files.getByRole('link', { name: 'notes.txt' }).click()]);
    expect(download.suggestedFilename()).toBe('notes.txt');
    await page.getByRole('link', { name: /^Today/ }).click();
    await expect(desk.section('Ending and expiring')).toContainText('insurance.pdf');
});
