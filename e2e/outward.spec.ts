import { readFile } from 'node:fs/promises';
import { expect, test } from './desk';

test('labels of a list are set up by the keyboard, who gets none is told, and chosen records have their own', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/directory');
    await page.getByRole('button', { name: 'Print' }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog', { name: 'Labels and envelopes' });
    await expect(dialog.getByRole('status')).toHaveText(/^\d\d labels on 3 sheets$/);
    await expect(dialog.getByRole('region', { name: 'Who gets none' })).toContainText('no address');
    await desk.expectAccessible('[role=dialog]');
    const once = (await dialog.getByRole('status').textContent()) ?? '';
    await dialog.getByRole('checkbox', { name: 'One for all who live at one address' }).press('Space');
    await expect(dialog.getByRole('status')).not.toHaveText(once);
    await dialog.getByLabel('Start at label').fill('31');
    await expect(dialog.getByText('The sheet has 30 labels. Start at one of them.')).toBeVisible();
    await expect(dialog.getByRole('link', { name: 'Save as PDF' })).toBeHidden();
    await dialog.getByLabel('Start at label').fill('x');
    await expect(dialog.getByText('A number, from 1.')).toBeVisible();
    await dialog.getByLabel('Start at label').fill('8');
    await dialog.getByLabel('Of each').fill('2');
    await expect(dialog.getByRole('status')).toHaveText(/^1\d\d labels on \d sheets$/);
    await desk.choose(/Sheet/, 'Envelope No. 10, 9½ × 4⅛ in', dialog);
    await expect(dialog.getByLabel('Start at label')).toBeHidden();
    const saving = page.waitForEvent('download');
    await dialog.getByRole('link', { name: 'Save as PDF' }).click();
    const file = await saving;
    expect(file.suggestedFilename()).toBe('Envelopes.pdf');
    expect((await readFile(await file.path())).subarray(0, 5).toString()).toBe('%PDF-');
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
    // Those that were chosen, and nobody else.
    await page.getByRole('button', { name: /^Names in P/ }).click();
    await page.getByRole('checkbox', { name: 'Choose Penhallow Observatory' }).click();
    await page.getByRole('button', { name: 'Labels', exact: true }).click();
    await expect(dialog.getByRole('status')).toHaveText('1 label on 1 sheet');
    await expect(dialog).toContainText('Penhallow Observatory');
});

test('a document that was sent stands in the outbox, and is sent again', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/ledger');
    await page.getByRole('link', { name: 'Outbox' }).click();
    await expect(page.getByText('Nothing was sent yet.')).toBeVisible();
    await desk.open('penhallow observatory');
    await desk.section('Documents').getByRole('link', { name: /^Invoice/ }).first().click();
    await page.getByRole('button', { name: 'Send it' }).click();
    const dialog = page.getByRole('dialog', { name: /^Send/ });
    await dialog.getByRole('textbox').first().fill('post@penhallow.example');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('In the outbox, and noted in the log.')).toBeVisible();
    await page.goto('/outbox');
    const sent = page.getByRole('row', { name: /post@penhallow.example/ });
    await expect(sent).toHaveCount(1);
    await desk.expectAccessible();
    await sent.getByRole('button', { name: /^Send again/ }).click();
    await expect(page.getByText('Sent again to post@penhallow.example.')).toBeVisible();
    await expect(sent).toHaveCount(2);
    await page.getByRole('textbox', { name: 'To whom, or about what' }).fill('nobody there');
    await expect(page.getByText('Nothing like that was sent.')).toBeVisible();
    await page.getByRole('textbox', { name: 'To whom, or about what' }).fill('PENHALLOW');
    await expect(sent).toHaveCount(2);
});

test('an app password opens the book on a phone, and is revoked', async ({ desk, page, office }) => {
    await desk.signIn();
    await page.goto('/account');
    const form = page.getByRole('form', { name: 'New app password' });
    await form.getByLabel('For which phone or program').fill('my phone');
    await form.getByLabel('Your password').fill('pendulum-1742');
    await page.keyboard.press('Enter');
    const password = await form.getByLabel('The app password, shown only now').inputValue();
    await expect(page.getByRole('row', { name: /my phone/ })).toContainText('address books');
    await desk.expectAccessible();
    const ask = async () => (await fetch(`${office.url}/dav/books/all/`, {
        method: 'PROPFIND',
        headers: { Depth: '1', Authorization: `Basic ${Buffer.from(`maud@orreryvane.example:${password}`).toString('base64')}` },
    }));
    const answer = await ask();
    expect(answer.status).toBe(207);
    expect((await answer.text()).match(/\.vcf</g)?.length).toBeGreaterThan(50);
    await page.getByRole('button', { name: 'Revoke my phone' }).click();
    await expect(page.getByRole('row', { name: /my phone/ })).toBeHidden();
    expect((await ask()).status).toBe(401);
});
