import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { accessible, key, newRoom, ONCE, sheetBox, takeBack } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer(false);

test('a station is added and moved by a tap on the sheet, dropped, and brought back', async ({ page }) => {
  await newRoom(page, running.url, 'Larder', '1400', '1000');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await key(page, '1330');
  await expect(page.getByText(/Read station 1 of 9/)).toBeVisible();
  const box = await sheetBox(page);
  await page.getByRole('button', { name: 'Set out stations' }).click();
  await page.getByRole('button', { name: 'Add a station' }).click();
  await page.mouse.click(box.x + box.width / 2 + 22, box.y + box.height / 2 + 9);
  await expect(page.getByText(/Read station \d+ of 10/)).toBeVisible();
  await expect(page.getByText(/from .* · .* from /)).toBeVisible();
  const where = await page.getByText(/from .* · .* from /).textContent();
  await page.getByRole('button', { name: /^Move station/ }).click();
  await page.mouse.click(box.x + box.width / 2 - 25, box.y + box.height / 2 - 9);
  await expect(page.getByText(where!)).toHaveCount(0);
  await page.getByRole('button', { name: /^Drop station/ }).click();
  await expect(page.getByText(/Read station \d+ of 9/)).toBeVisible();
  await takeBack(page);
  await expect(page.getByText(/Read station \d+ of 10/)).toBeVisible();
});

test('closer stations are more stations; a spacing out of range is asked back', async ({ page }) => {
  await newRoom(page, running.url, 'Larder', '1400', '1000');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await page.getByRole('button', { name: 'Set out stations' }).click();
  const spacing = page.getByRole('textbox', { name: 'Station spacing, mm' });
  await spacing.fill('20');
  await spacing.blur();
  await expect(page.getByRole('alert')).toContainText('150 mm to 2 m is taken');
  await spacing.fill('300');
  await spacing.blur();
  await expect(page.getByText(/^20 · 300 mm apart/)).toBeVisible();
});

test('a moved laser is a new set-up; one that closes badly is suspect and asks to be read again', async ({ page }) => {
  await newRoom(page, running.url, 'Closet', '700', '700');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await key(page, '1330');
  const total = Number(/of (\d+)/.exec((await page.getByText(/Read station 1 of/).textContent())!)![1]);
  await key(page, '1340');
  await page.getByRole('button', { name: 'Benchmark' }).click();
  await page.getByRole('button', { name: 'Laser moved' }).click();
  await key(page, '1400');
  for (let n = 2; n <= total; n++) {
    await expect(page.getByText(`Read station ${n} of ${total}`)).toBeVisible();
    await key(page, '1410');
  }
  await page.getByRole('button', { name: 'Close the set-up' }).click();
  await key(page, '1403', 'Close');
  await expect(page.getByText(/closes within 3 mm.*over 1 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'See the verdict' }).click();
  await expect(page.getByTestId('verdict')).toHaveText('Measure');
  await expect(page.getByText(/Read set-up B again/)).toBeVisible();
});

test('columns nobody can name are asked for and chosen', ONCE, async ({ page }) => {
  const room = await newRoom(page, running.url, 'Larder', '3000', '2000');
  await page.goto(`${running.url}/rooms/${room}/import`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (
    await chooser
  ).setFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('p;q;r\n0,5;0,5;1300\n1,0;0,5;1301\n') });
  await expect(page.getByRole('alert')).toContainText('Say which column is Along (x), Across (y), Rod');
  await accessible(page);
  for (const [header, role] of [
    ['p', 'Along (x)'],
    ['q', 'Across (y)'],
    ['r', 'Rod'],
  ] as const) {
    await page
      .getByRole('radiogroup', { name: `“${header}”` })
      .getByRole('radio', { name: role })
      .click();
  }
  await expect(page.getByText('2 readings understood')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take 2 readings' })).toBeEnabled();
});

test('rooms change places in the job', async ({ page }) => {
  await newRoom(page, running.url, 'First', '1400', '1000');
  await page.getByRole('button', { name: 'Site book' }).click();
  await page.getByRole('button', { name: 'Open Ferry Cottage' }).last().click();
  await page.getByRole('button', { name: 'Add a room' }).click();
  await page.getByRole('textbox', { name: 'What the room is called' }).fill('Second');
  await page.getByRole('textbox', { name: 'Along the door wall' }).fill('2000');
  await page.getByRole('textbox', { name: 'Across it' }).fill('1500');
  await page.getByRole('textbox', { name: 'Across it' }).blur();
  await page.getByRole('button', { name: 'Add the room' }).click();
  await page.waitForURL(/\/rooms\//);
  await page.goBack();
  const order = () =>
    page
      .getByRole('link', { name: /^(First|Second)/ })
      .evaluateAll((nodes) => nodes.map((node) => /^\w+/.exec(node.getAttribute('aria-label')!)![0]));
  await expect.poll(order).toEqual(['First', 'Second']);
  await page.getByRole('button', { name: 'Move or remove rooms' }).click();
  // By keys: picked up, moved, put down.
  await page.getByRole('button', { name: 'Move Second' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Second is (picked up at|over) place 2 of 2\.$/)).toBeAttached();
  // Picked up is told a timer before the next key is heard: asked of the page's own clock, whose timers come in order.
  await page.evaluate(() => new Promise((passed) => setTimeout(passed, 60)));
  await expect(page.getByText('Second is over place 2 of 2.')).toBeAttached();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Second is over place 1 of 2.')).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(order).toEqual(['Second', 'First']);
  await accessible(page);
  // By its handle, and back by undo.
  const [from, to] = [
    page.getByRole('button', { name: 'Move First' }),
    page.getByRole('button', { name: 'Move Second' }),
  ];
  await from.hover();
  await page.mouse.down();
  const { x, y } = (await to.boundingBox())!;
  await page.mouse.move(x + 20, y + 20, { steps: 8 });
  await page.mouse.up();
  await expect.poll(order).toEqual(['First', 'Second']);
  // A drag lets no press through for 50 ms after its end: asked of the page's own clock, whose timers come in order.
  await page.evaluate(() => new Promise((passed) => setTimeout(passed, 60)));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(order).toEqual(['Second', 'First']);
});

test('readings go out as a table, are mended in a spreadsheet and come back; what is wrong is named by line', async ({
  page,
}) => {
  await newRoom(page, running.url, 'Scullery', '1400', '1000');
  await page.getByRole('button', { name: /^Flat: / }).click();
  await key(page, '1330');
  await key(page, '1340');
  await expect(page.getByText(/Read station 2 of 9/)).toBeVisible();
  await page.getByRole('button', { name: 'Site book' }).click();
  await page
    .getByRole('button', { name: /^Open / })
    .last()
    .click();
  await page.getByRole('button', { name: 'Tables for a spreadsheet' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Reading \(\d+\)/ }).click();
  const table = readFileSync((await (await saved).path())!, 'utf8');
  expect(table).toMatch(/^readings,room,setupId,stationKey,xMm,yMm,rodMm,takenAt,note\r\n/);
  const [header, first, ...rest] = table.trim().split('\r\n');
  const bring = async (text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Bring in a table (CSV)' }).click();
    await (await chooser).setFiles({ name: 'mended.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await bring('stones,weight\n1,2\n');
  await expect(page.getByText(/mended.csv was not taken. The first column is called “stones”/)).toBeVisible();
  await bring([header, first!.replace(',1340,', ',1352.5,').replace(',1330,', ',1352.5,'), 'x,y'].join('\n'));
  await expect(page.getByText('mended.csv: 1 line to take')).toBeVisible();
  await expect(page.getByText(/Line 3 is not taken: /).first()).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText(/1 line taken from mended.csv/)).toBeVisible();
  const again = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Reading \(\d+\)/ }).click();
  const mended = readFileSync((await (await again).path())!, 'utf8');
  expect(mended).toContain(',1352.5,');
  expect(mended.trim().split('\r\n')).toHaveLength(2 + rest.length);
});

test('a removed job stands among the removed and comes back with its rooms, also on another visit', async ({
  page,
}) => {
  await newRoom(page, running.url, 'Pantry', '1400', '1000');
  await page.getByRole('button', { name: 'Site book' }).click();
  const open = page.getByRole('button', { name: /^Open / }).last();
  const name = (await open.getAttribute('aria-label'))!.replace('Open ', '');
  await open.click();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'The whole job' }).click();
  await page.getByRole('button', { name: 'Remove the job' }).click();
  await expect(page.getByTestId('sending')).toHaveText('all sent');
  await page.reload();
  await expect(page.getByRole('link', { name: /^Pantry/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Removed jobs and rooms' }).click();
  await expect(page.getByText(/^Job, removed \d{4}-\d\d-\d\d/).first()).toBeVisible();
  await accessible(page);
  await page
    .getByRole('button', { name: `Bring back. ${name}` })
    .first()
    .click();
  await expect(page.getByText(`${name} is back, with everything in it.`)).toBeVisible();
  await expect(page.getByRole('link', { name: /^Pantry/ })).toBeVisible();
});
