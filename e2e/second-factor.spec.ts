import { createHmac } from 'node:crypto';
import { expect, PASSWORD, test } from './desk';

/** What an authenticator app does (RFC 6238), written a second time. */
function codeOf(secret: string, at = Date.now()): string {
    const bits = [...secret].map((letter) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0')).join('');
    const key = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
    const counter = Buffer.alloc(8);
    counter.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
    const hash = createHmac('sha1', key).update(counter).digest();
    return String((hash.readUInt32BE((hash[19] ?? 0) & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('a second factor is set up, asked for at sign-in and before roles are changed', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/account');
    await page.getByRole('button', { name: 'Set up second factor' }).click();
    await page.getByRole('form', { name: 'Set up second factor' }).getByLabel('Your password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Continue' }).click();
    await expect(page.getByRole('img', { name: 'QR code for your authenticator app' })).toBeVisible();
    await desk.expectAccessible('html', 'all');
    const secret = (await page.getByText('No camera?').locator('strong').innerText()).replaceAll(' ', '');
    await page.getByLabel('Code that the app shows').fill('000000');
    await page.keyboard.press('Enter');
    await expect(page.getByText('That code is wrong, old or already used.')).toBeVisible();
    // One of the step before counts; the next is for signing in.
    await page.getByLabel('Code that the app shows').fill(codeOf(secret, Date.now() - 30_000));
    await page.keyboard.press('Enter');
    const codes = (await page.getByRole('textbox', { name: 'Recovery codes' }).inputValue()).split('\n');
    expect(codes).toHaveLength(10);
    await page.getByRole('button', { name: 'Codes are saved' }).click();
    await expect(page.getByText('10 recovery codes left.')).toBeVisible();

    // Somewhere else: the password alone opens nothing.
    await page.context().clearCookies();
    await page.goto('/sign-in');
    const signIn = async () => {
        await page.getByLabel('Email').fill('maud@orreryvane.example');
        await page.getByLabel('Password').fill(PASSWORD);
        await page.keyboard.press('Enter');
        await expect(page.getByRole('heading', { name: 'Enter your code' })).toBeVisible();
        await expect(page.getByRole('textbox', { name: 'Code' })).toBeFocused();
    };
    await signIn();
    await desk.expectAccessible('html', 'all');
    await page.reload();
    await signIn();
    await page.getByRole('textbox', { name: 'Code' }).fill('123');
    await page.keyboard.press('Enter');
    await expect(page.getByText('That code is wrong, old or already used.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Code' }).fill(codeOf(secret));
    await page.getByRole('checkbox', { name: 'Don’t ask for a code in this browser for 30 days' }).press('Space');
    await page.getByRole('button', { name: 'Sign in' }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();

    // The same browser the next day: the password is enough.
    await page.context().clearCookies({ name: 'neat_almanac' });
    await page.goto('/sign-in');
    await page.getByLabel('Email').fill('maud@orreryvane.example');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
    await page.goto('/account');
    await expect(page.getByRole('region', { name: 'Sessions' }).getByText('this browser')).toBeVisible();
    await page.getByRole('button', { name: 'Sign out everywhere else' }).click();
    await expect(page.getByRole('region', { name: 'Sessions' }).getByRole('row')).toHaveCount(2);

    await page.goto('/office');
    const required = page.getByRole('group', { name: 'Second factor required for' });
    // Before something delicate a code is asked for; without it nothing is done.
    await required.getByRole('checkbox', { name: 'Clerks' }).press('Space');
    const confirm = page.getByRole('dialog', { name: 'Confirm with a code' });
    await expect(confirm.getByRole('textbox', { name: 'Code' })).toBeFocused();
    await desk.expectAccessible('[role=dialog]');
    await page.keyboard.press('Escape');
    await expect(confirm).toBeHidden();
    await expect(required.getByText('Enter the code that your authenticator app shows.')).toBeVisible();
    await required.getByRole('checkbox', { name: 'Clerks' }).press('Space');
    await confirm.getByRole('textbox', { name: 'Code' }).fill(codes[0] ?? '');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Second factor requirement saved.')).toBeVisible();
});
