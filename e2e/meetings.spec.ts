import { expect, test } from './desk';

test('a meeting about a quote is arranged, held, and the quote becomes an order', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/ledger?kind=quote');
    await page.getByRole('link', { name: /^Quote Q/ }).first().click();
    const quote = (await page.getByRole('heading', { level: 1 }).innerText()).trim();
    await desk.more('Arrange a meeting about it');
    await expect(page.getByLabel('About', { exact: true })).toBeFocused();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Say what it is about.')).toBeVisible();
    await page.getByLabel('About', { exact: true }).fill('The price, and when');
    await page.getByLabel('Day', { exact: true }).fill('today');
    await page.getByLabel('Time', { exact: true }).fill('2pm');
    await page.getByLabel('Place', { exact: true }).fill('The workshop');
    await page.getByLabel('Agenda').fill('1. The price\n2. When');
    await page.getByText('Cordelia Vane').click();
    await page.getByText('send them invitations').click();
    await desk.expectAccessible('html', 'all');
    await page.getByLabel('Agenda').focus();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'The price, and when' })).toBeVisible();
    await expect(page.getByText('Tue 24 Nov 2026, 14:00 to 15:00, The workshop')).toBeVisible();
    await expect(page.getByRole('main')).toContainText(quote.split(' ')[1] ?? 'Quote');
    await desk.expectAccessible('html', 'all');

    await page.getByRole('button', { name: 'Move or change it' }).click();
    await page.getByLabel('Time', { exact: true }).fill('15:30');
    await page.getByRole('button', { name: 'Save the meeting' }).click();
    await expect(page.getByText('Tue 24 Nov 2026, 15:30 to 16:30, The workshop')).toBeVisible();

    await page.getByRole('button', { name: 'Write what came of it' }).click();
    await page.getByLabel('What was said and agreed').fill('They take it, in May.');
    await page.keyboard.press('Control+Enter');
    await expect(desk.section('What came of it')).toContainText('They take it, in May.');
    await page.getByRole('button', { name: 'Make the order' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Order');

    await page.goBack();
    await expect(desk.section('What came of it')).toContainText('They take it, in May.');
    await expect(page.getByRole('button', { name: 'Make the order' })).toBeHidden();
});

test('an invitation is sent, and called off again', async ({ desk, page }) => {
    await desk.signIn();
    await page.goto('/engagements');
    await page.getByRole('link', { name: /Transit telescope/ }).click();
    await desk.more('Arrange a meeting …');
    await page.getByLabel('About', { exact: true }).fill('The circles');
    await page.getByLabel('Day', { exact: true }).fill('+7');
    await page.getByLabel('Time', { exact: true }).fill('10');
    await page.getByRole('button', { name: 'Arrange it' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'the invitations are in the outbox' })).toBeVisible();
    await page.getByRole('button', { name: 'Call it off …' }).click();
    await page.getByRole('button', { name: 'Call it off', exact: true }).click();
    await expect(page.getByText('called off').first()).toBeVisible();
    await expect(page.getByRole('button', { name: /Move|Write what/ })).toHaveCount(0);
    await page.getByRole('link', { name: 'Penhallow Observatory' }).click();
    await expect(desk.section('Log')).toContainText('Called off: The circles (PR');
    await expect(desk.section('Log')).toContainText('Meeting: The circles, 10:00, called off');
});
