import { expect, test, unique } from './desk';

test('a colleague is added, signs in, and is retired', async ({ desk, page, browser }) => {
    await desk.signIn();
    await page.keyboard.press('g');
    await page.keyboard.press('o');
    await expect(page.getByRole('heading', { level: 1, name: 'Office' })).toBeVisible();
    await expect(page.getByRole('row', { name: /Jonas Pike/ })).toContainText('find and read');
    await desk.expectAccessible();

    const name = unique('Petra Lindgren');
    const email = `${name.replaceAll(' ', '.').toLowerCase()}@orreryvane.example`;
    await page.getByRole('button', { name: 'Add a colleague' }).click();
    await page.getByRole('button', { name: 'Add this colleague' }).click();
    await expect(page.getByText('Type the email to sign in with.')).toBeVisible();
    await desk.expectAccessible();
    const form = page.getByRole('form', { name: 'Add a colleague' });
    await form.getByLabel('Name').fill(name);
    await form.getByLabel('Email').fill(email);
    await form.getByLabel('First password').fill('anchor-escapement');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('row', { name: new RegExp(name) })).toContainText('clerk');

    const context = await browser.newContext();
    const other = await context.newPage();
    await other.goto('/sign-in');
    await other.getByLabel('Email').fill(email);
    await other.getByLabel('Password').fill('anchor-escapement');
    await other.keyboard.press('Enter');
    await expect(other.getByRole('heading', { name: 'Today' })).toBeVisible();
    await expect(other.getByRole('link', { name: 'Office', exact: true })).toHaveCount(0);

    await page.getByRole('button', { name: `Change ${name}` }).click();
    await page.getByText('no longer at the office').click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('row', { name: new RegExp(name) })).toContainText('retired');
    await other.reload();
    await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await context.close();
});

test('only an administrator comes in', async ({ desk, page }) => {
    await desk.signIn('tobias');
    await expect(page.getByRole('link', { name: 'Office', exact: true })).toHaveCount(0);
    await page.goto('/office');
    await expect(page.getByRole('heading', { name: 'This page is for administrators' })).toBeVisible();
    await expect(page.getByRole('form', { name: 'Name and country' })).toHaveCount(0);
});

test('payment terms are added to the list, previewed, and hold by default', async ({ desk, page }) => {
    const name = unique('Sixty net');
    await desk.signIn();
    await page.goto('/office');
    const section = page.getByRole('region', { name: 'Payment terms' });
    await section.getByRole('button', { name: 'Add payment terms' }).click();
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.getByLabel('Terms', { exact: true }).fill('2/40 net 30');
    await expect(section).toContainText('The discount (2/40) would end after the payment is due (net 30).');
    await page.getByLabel('Terms', { exact: true }).fill('2/10 net 60');
    await expect(section).toContainText('is due Sat 23 Jan 2027');
    await desk.expectAccessible();
    await section.getByRole('button', { name: 'Save these terms' }).click();
    await expect(section.getByRole('listitem').filter({ hasText: name })).toContainText('2/10 net 60');
    await section.getByRole('button', { name: 'Change the terms Standard' }).click();
    await section.getByText('retired: offered no more').click();
    await section.getByRole('button', { name: 'Save these terms' }).click();
    await expect(section).toContainText('These are the default. Make others the default first.');
});

test('the logo of the office is chosen, shown and removed, and what was typed beside it stays', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/office');
    const name = page.getByLabel('Name of the office');
    await name.fill('Orrery & Vane, Clockmakers');
    const logo = page.getByRole('group', { name: 'Logo' });
    const choose = logo.locator('input[type=file]');
    await choose.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: Buffer.from('<svg/>') });
    await expect(logo).toContainText('That is no picture that can be printed.');
    // A dot of one pixel is a picture.
    await choose.setInputFiles({
        name: 'logo.png',
        mimeType: 'image/png',
        buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==', 'base64'),
    });
    const picture = logo.getByRole('img', { name: 'The logo of the office' });
    await expect(picture).toBeVisible();
    await expect.poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1);
    await expect(name).toHaveValue('Orrery & Vane, Clockmakers');
    await desk.expectAccessible();
    await logo.getByRole('button', { name: 'Remove the logo' }).click();
    await expect(picture).toHaveCount(0);
    await expect(name).toHaveValue('Orrery & Vane, Clockmakers');
});

test('an archive of the whole book is made behind the screen, saved and discarded', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/office');
    const archive = page.getByRole('group', { name: 'Archive' });
    await archive.getByRole('button', { name: 'Make an archive' }).click();
    await expect(archive).toContainText(/\d% of the archive is made|Save the archive/);
    // It goes on while somebody is elsewhere.
    await page.goto('/');
    await page.goto('/office');
    const saved = archive.getByRole('link', { name: 'Save the archive (ZIP)' });
    await expect(saved).toBeVisible({ timeout: 60_000 });
    await desk.expectAccessible();
    expect(await page.evaluate(async (path) => (await (await fetch(path)).text()).slice(0, 2), await saved.getAttribute('href') ?? '')).toBe('PK');
    await archive.getByRole('button', { name: 'Discard it' }).click();
    await expect(archive.getByRole('button', { name: 'Make an archive' })).toBeVisible();
});
