import { expect, test, unique } from './desk';

test.beforeEach(async ({ desk }) => {
    await desk.signIn();
});

test('two words find a person at a company, and say why', async ({ desk, page }) => {
    await desk.search('wren brass');
    await expect(desk.answers.first()).toContainText('Mr. Silas A. Wren III');
    await expect(desk.answers.first()).toContainText('name · works at Brass Lantern Foundry');
    await expect(desk.answers).toHaveText([/Silas/, /Add a company named “wren brass”/, /Add a person named “wren brass”/]);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await expect(desk.find).not.toBeFocused();
});

test('a slip of the typing still finds', async ({ desk }) => {
    await desk.search('Pennhalow');
    await expect(desk.answers.first()).toContainText('Penhallow Observatory');
    await expect(desk.answers.first()).toContainText('spelled much like “Penhallow”');
});

test('Enter pressed at once opens the answer to what was typed, not an older one', async ({ desk, page }) => {
    await page.route('**/api/find?*', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 400));
        await route.continue();
    });
    await page.keyboard.press('/');
    await page.keyboard.type('timber', { delay: 10 });
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Hollow Pine Timber Yard' })).toBeVisible();
    await expect(desk.section('Reach')).toBeVisible();
});

test('names in any letters are kept whole and found again', async ({ desk, page }) => {
    for (const name of [unique('شركة الفنار'), unique('李明钟表行'), unique('🦉 Owl & Sons')]) {
        await desk.addCompany(name);
        await page.keyboard.press('Escape');
        await desk.search(name);
        await expect(desk.answers.first()).toContainText(name);
        await page.keyboard.press('Enter');
        await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    }
});

test('when the server does not answer, the line says so', async ({ desk, page }) => {
    await page.keyboard.press('/');
    await page.context().setOffline(true);
    await desk.find.fill('wren');
    await expect(page.getByText('The server cannot be reached. Type on to try again.')).toBeVisible();
    await page.context().setOffline(false);
    await desk.find.fill('wren brass');
    await expect(desk.answers.first()).toContainText('Silas');
});

test('the keys of the screen are listed under the question mark', async ({ desk, page }) => {
    await page.keyboard.press('g');
    await page.keyboard.press('d');
    await expect(page.getByRole('link', { name: 'Aebi-Müller, Regula' })).toBeVisible();
    await page.keyboard.press('?');
    const keys = page.getByRole('dialog', { name: 'Keys on this screen' });
    await expect(keys).toContainText('Find or add');
    await expect(keys).toContainText('Next line of the list');
    await page.keyboard.press('Escape');
    await expect(keys).toBeHidden();

    await page.keyboard.press('j');
    await page.keyboard.press('j');
    await page.keyboard.press('k');
    await expect(page.getByRole('link', { name: 'Achterberg, Desmond' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Mr. Desmond Achterberg' })).toBeVisible();
    await page.keyboard.press('g');
    await page.keyboard.press('d');
    await expect(page.getByRole('heading', { name: 'Directory' })).toBeVisible();
    await expect(desk.find).not.toBeFocused();
});
