import { chromium } from '@playwright/test';
const [, , width, height, out, path, ...acts] = process.argv;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width: +width, height: +height } });
page.on('console', (m) => ['error', 'warning'].includes(m.type()) && console.log('console', m.text().slice(0, 300)));
page.on('pageerror', (e) => console.log('pageerror', e.message.slice(0, 400)));
await page.goto(`http://127.0.0.1:4399${path}`);
for (const act of acts) {
  const [kind, ...rest] = act.split(':');
  const arg = rest.join(':');
  if (kind === 'wait') await page.waitForTimeout(+arg);
  else if (kind === 'button') await page.getByRole('button', { name: arg }).first().click();
  else if (kind === 'radio')
    await page
      .getByRole('radio', { name: new RegExp(arg) })
      .first()
      .click();
  else if (kind === 'see') await page.getByText(arg).first().waitFor({ timeout: 30000 });
  else if (kind === 'down') {
    await page.getByTestId(arg).first().scrollIntoViewIfNeeded();
    await page.mouse.move(+width / 2, +height - 200);
    await page.mouse.wheel(0, 500);
    await page.waitForTimeout(300);
  } else if (kind === 'wheel') {
    await page.mouse.move(+width > 900 ? +width - 200 : +width / 2, +height - 220);
    await page.mouse.wheel(0, +arg);
    await page.waitForTimeout(300);
  } else if (kind === 'text') console.log((await page.getByTestId(arg).first().innerText()).slice(0, 3000));
  else if (kind === 'fill') {
    const [n, v] = arg.split('=');
    await page.getByRole('textbox', { name: n }).first().fill(v);
    await page.keyboard.press('Enter');
  }
}
await page.screenshot({ path: out });
await browser.close();
