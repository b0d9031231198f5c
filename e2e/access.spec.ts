import { expect, PASSWORD, test } from './desk';

test.describe('an empty office', () => {
    test.use({ seed: 'empty' });

    test('an empty database asks for the first administrator and opens on an empty desk', async ({ desk, page }) => {
        await page.goto('/');
        await expect(page.getByRole('heading', { name: 'Open the book' })).toBeVisible();
        await desk.expectAccessible();
        await page.getByRole('button', { name: 'Open the book' }).click();
        await expect(page.getByText('Type the name of your office.')).toBeVisible();
        await expect(page.getByText('Choose a password.')).toBeVisible();

        await page.getByLabel('Name of your office').fill('Linden & Reed');
        await page.getByLabel('Your name').fill('Ada Linden');
        await page.getByLabel('Your email').fill('ada@linden.example');
        await page.getByLabel('A password').fill('quarter-days-4');
        await page.keyboard.press('Enter');
        await expect(page.getByRole('heading', { name: 'An empty desk' })).toBeVisible();
        await expect(page.getByText('The people and companies that Linden & Reed deals with belong here.')).toBeVisible();
        await desk.expectAccessible();

        await page.getByRole('link', { name: 'Add the first company' }).click();
        await page.getByLabel('Name', { exact: true }).fill('First & Only');
        await page.keyboard.press('Control+Enter');
        await expect(page.getByRole('heading', { level: 1, name: 'First & Only' })).toBeVisible();
        await page.goto('/set-up');
        await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    });
});

test('sign-in says what is wrong, lets in, and lets out', async ({ desk, page }) => {
    await page.goto('/records/1');
    await expect(page).toHaveURL(/sign-in/);
    await desk.expectAccessible();
    await page.getByLabel('Email').fill('maud@orreryvane.example');
    await page.getByLabel('Password').fill('wrong');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('The email and the password do not belong together.')).toBeVisible();
    await page.getByLabel('Password').fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Penhallow Observatory' })).toBeVisible();

    await page.getByRole('button', { name: /Maud Ferris/ }).click();
    await page.getByRole('menuitem', { name: 'Sign out' }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('a reader finds and reads, and is offered nothing to change', async ({ desk, page }) => {
    await desk.signIn('jonas');
    await page.keyboard.press('/');
    await desk.find.fill('nobody of this name');
    await expect(page.getByText('Nobody in the book matches that.')).toBeVisible();
    await expect(desk.answers).toHaveCount(0);
});

test('a reader sees a record without a single way to edit it', async ({ desk, page }) => {
    await desk.signIn('jonas');
    await page.goto('/records/1');
    await expect(desk.section('People')).toContainText('Dr. Augusta Penhallow');
    await expect(page.getByRole('button', { name: /Edit|Add|Save/ })).toHaveCount(0);
    await desk.section('When we bill them').getByLabel('An invoice dated').fill('+10');
    await expect(desk.section('When we bill them')).toContainText('An invoice of 4 Dec 2026 is due Sun 3 Jan 2027.');
    for (const path of ['/add/company?name=Sneaked', '/records/1/write/invoice', '/records/1/payment/client']) {
        await page.goto(path);
        await expect(page.getByRole('heading', { name: 'This page is for those who may change records' })).toBeVisible();
    }
    await page.goto('/office/log');
    await expect(page.getByRole('heading', { name: 'This page is for administrators' })).toBeVisible();
    await desk.expectAccessible();
});
