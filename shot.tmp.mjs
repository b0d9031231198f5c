import { chromium } from '@playwright/test';
const [,, user, ...shots] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
p.on('console', m => ['error','warning'].includes(m.type()) && console.log('console', m.text().slice(0,300)));
p.on('pageerror', e => console.log('pageerror', e.message.slice(0,300)));
await p.goto('http://127.0.0.1:8430/sign-in');
await p.getByLabel('Email').fill(`${user}@orreryvane.example`); await p.getByLabel('Password').fill('pendulum-1742'); await p.keyboard.press('Enter');
await p.getByRole('heading', { name: 'Today', level: 1 }).waitFor();
for (const s of shots) {
  const [name, url, sel, full] = s.split('|');
  await p.goto('http://127.0.0.1:8430' + url); await p.waitForTimeout(1200);
  if (sel) { const l = p.locator(sel).first(); await l.scrollIntoViewIfNeeded(); await l.evaluate(e => e.scrollIntoView({block:'start'})); await p.waitForTimeout(300); }
  await p.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: full === 'full' });
}
await b.close();
